import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { assumedPlaces } from '@grey-keel/core';
import { boatSchema, wordsOf, type Boat, type Quantity } from '@grey-keel/model';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { PressButton } from '../../shared/press-button.ts';
import { openBoat } from '../open-boat.ts';

interface Assumed {
  readonly place: string;
  readonly words: string;
  readonly value: number | null;
  readonly quantity: Quantity;
}

/** What comes from the kind of boat and not from this one: each to be confirmed, or changed in its field. */
@Component({
  selector: 'gk-assumed-list',
  imports: [FigurePipe, PlanPlace, PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (listed().length) {
      <section class="sheet" aria-labelledby="assumed-title" tabindex="-1">
        <h2 id="assumed-title">Assumed from the kind of boat</h2>
        <p class="small">
          These have not been checked on this boat. Change what is wrong in its field; press what is right. Draught,
          keel, propellers and offsets are never assumed.
        </p>
        <div class="all">
          @for (one of listed(); track one.place) {
            <button
              type="button"
              pButton
              severity="secondary"
              [attr.data-assumed]="one.place"
              (click)="confirm([one.place])"
            >
              <span class="hidden-label">Confirm</span> {{ one.words }}
              @if (one.value !== null) {
                <span class="mono">{{ one.value | figure: one.quantity : units() }}</span>
              }
            </button>
          }
          <button type="button" pButton id="confirm-assumed" [gkPlace]="['assumed']" (click)="confirm(places())">
            All of these are right
          </button>
        </div>
      </section>
    }
  `,
  styles: `
    /* Takes no place in the stage once nothing is assumed. */
    :host {
      display: contents;
    }
    .all {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin-top: 8px;
    }
  `,
})
export class AssumedList {
  private readonly open = openBoat();
  protected readonly units = this.open.units;
  protected readonly places = computed(() => assumedPlaces(this.open.plan()));
  protected readonly listed = computed(() => this.places().map((place) => this.inWords(place)));

  protected confirm(places: readonly string[]): void {
    this.open.edits.edit('confirm what is assumed', { type: 'confirmAssumed', places: [...places] });
  }

  private inWords(place: string): Assumed {
    const [part, name = ''] = place.split('/');
    const plan = this.open.plan();
    if (part !== 'boat')
      return {
        place,
        words: part === 'stations' ? `Station ${plan.stations[name]?.name ?? name}` : 'Ways of working',
        value: null,
        quantity: 'count',
      };
    const field = name as keyof Boat;
    const words = wordsOf(boatSchema.shape[field]);
    const label = words?.label ?? name;
    const value = plan.boat[field] ?? null;
    return {
      place,
      words: typeof value === 'string' ? `${label} ${value}` : value === false ? `no ${label}` : label,
      value: typeof value === 'number' ? value : null,
      quantity: words?.quantity ?? 'count',
    };
  }
}
