import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, untracked } from '@angular/core';
import {
  deepestLoading,
  faceAboveWater,
  findingsOf,
  fitRules,
  hullChanges,
  lowestPoint,
  placeRules,
} from '@grey-keel/core';
import { boatSchema, type Boat, type Target } from '@grey-keel/model';
import { FigurePipe, SentencePipe } from '../../shared/figure-pipe.ts';
import { TurnByTurn } from '../../shared/turn-by-turn.ts';
import { openBoat } from '../open-boat.ts';
import { type FittedThing, fittedThings, placing, withPlace } from './fitted-things.ts';
import { HullDrawing, type ThingMoved } from './hull-drawing.ts';
import { PlanFields } from '../../shared/plan-fields.ts';
import { ThingForm } from './thing-form.ts';
import { ThingPlace } from './thing-place.ts';
import { ThingsList } from './things-list.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { PressButton } from '../../shared/press-button.ts';

/** The hull with everything on it, what its places break, and what is known of the thing that is looked at. */
@Component({
  selector: 'gk-hull-view',
  imports: [
    FigurePipe,
    HullDrawing,
    PlanFields,
    PlanPlace,
    PressButton,
    SentencePipe,
    ThingForm,
    ThingPlace,
    ThingsList,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="hull-title">
      <h2 id="hull-title">Where everything is</h2>
      <gk-hull-drawing
        [plan]="shown()"
        [units]="units()"
        [chosen]="chosenKey()"
        [wrong]="wrong()"
        (chose)="chosenKey.set($event.key)"
        (moved)="drag($event)"
        (settled)="settle()"
      />
      @if (chosen(); as thing) {
        <gk-thing-place [thing]="thing" />
      }
      <p class="small faint">
        Dotted ring: keep a face out of it, one diameter from the blades. Broken line: from the antenna to a sounder, by
        which each mark is off. Shaded in red: what is lost of a side-scan's view. A short line: to the place of what is
        drawn beside it, since something else lies there.
      </p>
      @if (touches(); as it) {
        <p>
          <strong>{{ it.lowest.id === null ? 'The keel' : it.lowest.name }} touches first</strong
          >{{
            it.lowest.id === null
              ? ''
              : ', ' +
                (it.lowest.belowKeelM | figure: 'length' : units()) +
                ' below the keel while ' +
                it.lowest.ways.join(', ')
          }}: the boat needs {{ it.needsM | figure: 'length' : units() }} of water, {{ it.loading.name }}.
        </p>
      }
      <ul class="broken" aria-live="polite" aria-label="What these places break">
        @for (one of broken(); track one.id) {
          <li>
            <strong>{{ one.title }}.</strong> {{ one.reason | sentence: units() }}
          </li>
        } @empty {
          <li class="good">Nothing the program judges is wrong with these places.</li>
        }
      </ul>
      @if (changed().length) {
        <button
          type="button"
          pButton
          severity="secondary"
          id="confirm-places"
          [gkPlace]="['fittedHull']"
          (click)="confirm()"
        >
          The places are right on the hull as it is now
        </button>
      }
    </section>
    <div class="two">
      <gk-things-list [things]="things()" [chosen]="chosenKey()" (chose)="chosenKey.set($event)" />
      <section class="sheet" aria-labelledby="chosen-thing">
        <gk-thing-form [thing]="chosen()" [plan]="looked()" (removed)="remove($event)" />
        <div class="fields hull">
          <gk-plan-fields
            [of]="looked().boat"
            [shape]="boatShape"
            [names]="['deadriseDeg', 'bowHeightM', 'runningTrimDeg']"
            [at]="['boat']"
            ids="boat"
            (changed)="setBoat($event)"
          />
        </div>
      </section>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .two {
      display: grid;
      grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
      gap: 10px;
      align-items: start;
    }
    .hull {
      margin-top: 10px;
    }
    .broken {
      margin-top: 10px;
      padding-left: 18px;
    }
    .broken li {
      color: var(--check);
    }
    .broken li.good {
      color: var(--ink);
    }
    @media (max-width: 1100px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class HullView {
  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly boatShape = boatSchema.shape;
  protected readonly units = this.open.units;
  /** What a fix leads to: its fields are only there while its thing is chosen. */
  readonly wanted = input<Target | null>(null);
  protected readonly chosenKey = linkedSignal<Target | null, string | null>({
    source: () => this.wanted(),
    computation: (target, before) => {
      const id = target && 'path' in target ? target.path[1] : undefined;
      const part = target && 'path' in target ? target.path[0] : undefined;
      const things = part === 'transducers' || part === 'equipment' || part === 'stations';
      const thing = things ? fittedThings(untracked(this.plan)).find((one) => one.id === id) : undefined;
      return thing?.key ?? before?.value ?? null;
    },
  });

  /** What is under the finger; nothing once the plan has it. */
  private readonly dragged = linkedSignal<unknown, ThingMoved | null>({
    source: () => this.plan(),
    computation: () => null,
  });
  protected readonly shown = computed(() => {
    const moved = this.dragged();
    return moved ? withPlace(this.plan(), moved.thing, moved.place) : this.plan();
  });
  /**
   * What is said of the places beside the picture. All of it and the picture are more than one frame holds, so while
   * something is dragged each event brings the picture and one of these up to date, turn by turn.
   */
  private readonly listed = linkedSignal(() => this.plan());
  private readonly judged = linkedSignal(() => this.plan());
  protected readonly looked = linkedSignal(() => this.plan());
  private readonly figures = new TurnByTurn([this.judged, this.listed, this.looked]);

  protected readonly things = computed(() => fittedThings(this.listed()));
  protected readonly broken = computed(() =>
    [faceAboveWater, ...placeRules, ...fitRules].flatMap((rule) => findingsOf(rule, this.judged())),
  );
  /** By the ids in the finding's own id: what is marked in the drawing. */
  protected readonly wrong = computed(
    () =>
      new Set(
        fittedThings(this.judged())
          .map(({ id }) => id)
          .filter((id) => this.broken().some(({ of }) => of.includes(id))),
      ),
  );
  protected readonly chosen = computed(
    () => fittedThings(this.looked()).find(({ key }) => key === this.chosenKey()) ?? null,
  );
  protected readonly touches = computed(() => {
    const lowest = lowestPoint(this.looked());
    const loading = deepestLoading(this.looked());
    return loading && { lowest, loading, needsM: loading.draughtM + lowest.belowKeelM };
  });

  protected setBoat(changes: Partial<Boat>): void {
    this.open.edits.edit('the hull', { type: 'describeBoat', changes });
  }

  protected drag(moved: ThingMoved): void {
    this.dragged.set(moved);
    this.figures.follow(this.shown());
  }

  protected settle(): void {
    const moved = this.dragged();
    this.figures.catchUp(this.shown());
    if (moved) this.open.edits.edit(`where ${moved.thing.name} is`, placing(moved.thing, moved.place));
  }

  protected readonly changed = computed(() => hullChanges(this.plan()));

  protected confirm(): void {
    this.open.edits.edit('the places, looked over', { type: 'confirmPlaces' });
  }

  protected remove({ id, name }: FittedThing): void {
    this.chosenKey.set(null);
    this.open.edits.edit(`delete ${name}`, { type: 'removeEquipment', id });
  }
}
