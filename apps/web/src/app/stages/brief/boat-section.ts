import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import { inOrder } from '@grey-keel/core';
import { boatSchema, loadingSchema, type Boat, type Loading } from '@grey-keel/model';
import { newId } from '../../state/open-plan.ts';
import { boatFields } from './boat-fields.ts';
import { focusField } from './focus-field.ts';
import { openBoat } from '../open-boat.ts';
import { Fold } from '../../shared/fold.ts';
import { PlanFields } from '../../shared/plan-fields.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { PressButton } from '../../shared/press-button.ts';

/** What the boat is, and how deep it floats when it is loaded. */
@Component({
  selector: 'gk-boat-section',
  imports: [Fold, PlanFields, PlanPlace, PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = plan();
    <section class="sheet" aria-labelledby="boat-title">
      <h2 id="boat-title">Boat</h2>
      <div class="fields">
        <gk-plan-fields
          [of]="it.boat"
          [shape]="boat"
          [names]="boatFields"
          [at]="['boat']"
          ids="boat"
          (changed)="set($event)"
        />
      </div>
      <gk-fold heading="Owner, numbers and notes" [(open)]="telling">
        @if (telling()) {
          <div class="fields">
            <gk-plan-fields
              [of]="it.boat"
              [shape]="boat"
              [names]="known"
              [at]="['boat']"
              ids="boat"
              (changed)="set($event)"
            />
          </div>
        }
      </gk-fold>
      <h3>Loaded deeper</h3>
      <p class="small faint">
        The draught above is as the boat floats when it is calibrated. Grounding counts from the deepest of these.
      </p>
      @for (entry of loadings(); track entry[0]) {
        <div class="fields loading">
          <gk-plan-fields
            [of]="entry[1]"
            [shape]="loading"
            [names]="loadingFields"
            [at]="['loadings', entry[0]]"
            ids="loading"
            [one]="entry[0]"
            (changed)="setLoading(entry, $event)"
          />
          <button
            type="button"
            pButton
            text
            (click)="edits.edit('delete ' + entry[1].name, { type: 'putLoading', id: entry[0], loading: null })"
            [attr.aria-label]="'Delete loading ' + entry[1].name"
          >
            Delete
          </button>
        </div>
      }
      <button
        type="button"
        pButton
        severity="secondary"
        id="add-loading"
        [gkPlace]="['loadings']"
        (click)="addLoading()"
      >
        Add a loading
      </button>
      @if (it.boat.hullMaterial === 'cored composite') {
        <p class="caution" role="note">
          Cored hull: haul out to drill, seal the hole to the core; structural work is for a yard.
        </p>
      }
    </section>
  `,
  styles: `
    :host {
      display: contents;
    }
    h2 {
      margin-bottom: 6px;
    }
    .loading {
      align-items: end;
      margin-bottom: 8px;
    }
    h3 {
      margin-top: 12px;
    }
    .caution {
      margin-top: 10px;
    }
  `,
})
export class BoatSection {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly edits = this.open.edits;
  protected readonly boat = boatSchema.shape;
  protected readonly loading = loadingSchema.shape;
  protected readonly boatFields = boatFields;
  /** Whose it is and what it is known by: read aboard or told, none of it is computed with. */
  protected readonly known = ['owner', 'contact', 'hullNumber', 'engine', 'installer', 'shop', 'notes'] as const;
  protected readonly telling = signal(false);
  protected readonly loadingFields = ['name', 'draughtM'] as const;
  protected readonly loadings = computed(() => inOrder(this.plan().loadings));

  protected set(changes: Partial<Boat>): void {
    this.edits.edit('the boat', { type: 'describeBoat', changes });
  }

  protected setLoading([id, before]: readonly [string, Loading], changes: Partial<Loading>): void {
    this.edits.edit('a loading', { type: 'putLoading', id, loading: { ...before, ...changes } });
  }

  protected addLoading(): void {
    const id = newId();
    this.edits.edit('add a loading', {
      type: 'putLoading',
      id,
      loading: { name: 'people and fuel', draughtM: this.plan().boat.draughtM ?? 0.5 },
    });
    focusField(`loading-draught-${id}`);
  }
}
