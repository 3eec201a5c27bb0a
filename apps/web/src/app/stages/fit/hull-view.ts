import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, signal, untracked } from '@angular/core';
import {
  deepestLoading,
  faceAboveWater,
  findingsOf,
  fitRules,
  hullChanges,
  loweredWays,
  lowestPoint,
  markingAntennas,
  markShift,
  placeRules,
  stationSight,
  usualPropellers,
} from '@grey-keel/core';
import {
  boatSchema,
  displayMounts,
  equipmentKinds,
  equipmentSchema,
  placeSchema,
  stationSchema,
  transducerSchema,
  type Boat,
  type Equipment,
  type EquipmentKind,
  type Place,
  type Station,
  type WaySet,
} from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe, SentencePipe } from '../../shared/figure-pipe.ts';
import { LoweredIn } from '../../shared/lowered-in.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TurnByTurn } from '../../shared/turn-by-turn.ts';
import { TextField } from '../../shared/text-field.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { fittedThings, placing, withPlace, type FittedThing } from './fitted-things.ts';
import { HullDrawing, type ThingMoved } from './hull-drawing.ts';

/** Where a new piece of equipment usually stands, as shares of length and beam, and above the keel. */
const usual: Readonly<Record<EquipmentKind, readonly [along: number, across: number, aboveKeelM: number]>> = {
  propeller: [-0.08, 0, 0],
  'bow motor': [0.98, 0.1, 0],
  'position antenna': [0.4, 0, 2.4],
  'heading sensor': [0.5, 0, 0.9],
  'speed and temperature sensor': [0.3, 0.1, 0.1],
  'temperature sensor': [0, 0.2, 0.2],
  'engine gateway': [0.1, 0, 0.7],
  'sounder module': [0.5, 0.15, 1],
  'battery box': [0.15, 0, 0.5],
  'strake or fitting': [0.3, 0.2, 0.1],
  'cable run': [0.1, 0.3, 0.8],
};

/** Whether a finding's id, "rule:subject", names a thing in its subject, which may name two. */
const speaksOf = (findingId: string, id: string): boolean => {
  const subject = findingId.slice(findingId.indexOf(':') + 1);
  return subject === id || subject.startsWith(`${id}-`) || subject.endsWith(`-${id}`);
};

/** The hull with everything on it, what its places break, and what is known of the thing that is looked at. */
@Component({
  selector: 'gk-hull-view',
  imports: [ChoiceField, ComputedNumber, FigurePipe, HullDrawing, LoweredIn, QuantityField, SentencePipe, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="hull-title">
      <h2 id="hull-title">Everything where it is</h2>
      <gk-hull-drawing
        [plan]="shown()"
        [units]="units()"
        [chosen]="chosenKey()"
        [wrong]="wrong()"
        (chose)="chosenKey.set($event.key)"
        (moved)="drag($event)"
        (settled)="settle()"
      />
      <p class="small faint">
        Dotted ring: keep a face out of it, one diameter from the blades. Broken line: from the antenna to a sounder, by
        which each mark is off. Shaded in red: what is lost of a side-scan's view.
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
        <button type="button" class="action" id="confirm-places" (click)="confirm()">
          The places are right on the hull as it is now
        </button>
      }
    </section>
    <div class="two">
      <section class="sheet" aria-labelledby="things-title">
        <h2 id="things-title">What is aboard</h2>
        <table class="figures" aria-label="What is aboard and where">
          <thead>
            <tr>
              <th scope="col">No.</th>
              <th scope="col" class="left">Thing</th>
              <th scope="col" class="left">what it is</th>
              <th scope="col">forward</th>
              <th scope="col">starboard</th>
              <th scope="col">above keel</th>
            </tr>
          </thead>
          <tbody>
            @for (thing of things(); track thing.key; let i = $index) {
              <tr [class.chosen]="thing.key === chosenKey()">
                <td class="mono">{{ i + 1 }}</td>
                <td class="left">
                  <button
                    type="button"
                    class="plain"
                    [id]="'thing-' + thing.key"
                    [attr.aria-pressed]="thing.key === chosenKey()"
                    (click)="chosenKey.set(thing.key)"
                  >
                    {{ thing.name }}
                  </button>
                </td>
                <td class="left small faint">{{ thing.kind }}</td>
                @if (thing.place; as place) {
                  <td class="mono">{{ place.forwardM | figure: 'length' : units() }}</td>
                  <td class="mono">{{ place.starboardM | figure: 'length' : units() }}</td>
                  <td class="mono">{{ place.aboveKeelM | figure: 'length' : units() }}</td>
                } @else {
                  <td colspan="3" class="is-missing">not placed yet</td>
                }
              </tr>
            } @empty {
              <tr>
                <td colspan="5">
                  Nothing yet. Choose transducers on Beams, name the stations in the brief, add the rest here.
                </td>
              </tr>
            }
          </tbody>
        </table>
        <div class="row add">
          <gk-choice-field
            label="Another"
            fieldId="new-equipment-kind"
            [value]="newKind()"
            [choices]="kinds"
            (changed)="newKind.set($event)"
          />
          <button type="button" class="action" id="add-equipment" (click)="add()">Add it</button>
        </div>
      </section>
      <section class="sheet" aria-labelledby="chosen-thing">
        @if (chosen(); as it) {
          <h2 id="chosen-thing">{{ it.name }}</h2>
          <div class="fields">
            @if (piece(); as own) {
              <gk-text-field
                label="Name"
                [fieldId]="'equipment-name-' + it.id"
                [value]="own.name"
                [schema]="equipment.name"
                (changed)="describe({ name: $event })"
              />
              <gk-choice-field
                label="Kind"
                [fieldId]="'equipment-kind-' + it.id"
                [value]="own.kind"
                [choices]="kinds"
                (changed)="describe({ kind: $event })"
              />
            }
            @if (it.place; as at) {
              <gk-quantity-field
                label="Forward of transom"
                [fieldId]="'place-' + it.id"
                quantity="length"
                [value]="at.forwardM"
                [schema]="place.forwardM"
                (changed)="type(it, { forwardM: $event ?? at.forwardM })"
              />
              <gk-quantity-field
                label="Starboard of centre"
                [fieldId]="'place-starboard-' + it.id"
                quantity="length"
                [value]="at.starboardM"
                [schema]="place.starboardM"
                (changed)="type(it, { starboardM: $event ?? at.starboardM })"
              />
              <gk-quantity-field
                label="Above the keel"
                [fieldId]="'place-above-' + it.id"
                quantity="length"
                [value]="at.aboveKeelM"
                [schema]="place.aboveKeelM"
                (changed)="type(it, { aboveKeelM: $event ?? at.aboveKeelM })"
              />
            } @else {
              <button type="button" class="action chief" [id]="'place-' + it.id" (click)="putDown(it)">
                Put it on the boat
              </button>
            }
            @if (piece(); as own) {
              @if (own.kind === 'strake or fitting' || own.kind === 'cable run') {
                <gk-quantity-field
                  label="Runs forward from there"
                  [fieldId]="'runs-' + it.id"
                  quantity="length"
                  [value]="own.runsForwardM ?? null"
                  [schema]="equipment.runsForwardM"
                  (changed)="describe({ runsForwardM: $event })"
                />
              }
              @if (own.kind === 'propeller' || own.kind === 'bow motor') {
                <gk-quantity-field
                  label="Propeller, diameter"
                  [fieldId]="'propeller-' + it.id"
                  quantity="length"
                  [value]="own.propellerDiameterM"
                  [schema]="equipment.propellerDiameterM"
                  (changed)="describe({ propellerDiameterM: $event })"
                />
              }
            }
            @if (inHull(); as own) {
              <gk-quantity-field
                label="Levelled by a fairing"
                [fieldId]="'fairing-' + it.id"
                quantity="angle"
                [value]="own.fairingDeg ?? null"
                [schema]="fairing"
                (changed)="fair(it.id, $event)"
              />
            }
          </div>
          @if (raised(); as ways) {
            <gk-lowered-in
              [fieldId]="'lowered-' + it.id"
              [plan]="looked()"
              [lowered]="ways"
              (changed)="lower(it, $event)"
            />
          }
          @if (station(); as own) {
            <div class="fields">
              <gk-quantity-field
                label="Eye above the keel"
                [fieldId]="'eye-' + it.id"
                quantity="length"
                [value]="own.eyeAboveKeelM ?? null"
                [schema]="stationShape.eyeAboveKeelM"
                (changed)="setStation(it, { eyeAboveKeelM: $event })"
              />
              <gk-choice-field
                label="The screen is"
                [fieldId]="'mount-' + it.id"
                [value]="own.mount ?? 'fixed'"
                [choices]="mounts"
                (changed)="setStation(it, { mount: $event })"
              />
            </div>
          }
          @if (sight(); as seen) {
            <p>
              @if (seen.seenFromM !== null) {
                Running, the water is seen over the {{ seen.hiddenBy }} from
                <gk-number
                  of="Where the water is first seen"
                  [value]="seen.seenFromM"
                  quantity="length"
                  [decimals]="1"
                  [steps]="seen.working"
                />
                on; the most is {{ seen.limitM | figure: 'length' : units() : { decimals: 1 } }}.
              } @else {
                Running, the {{ seen.hiddenBy }} hides all the water ahead.
              }
            </p>
          }
          @for (shift of shifts(); track shift.name) {
            <p>
              At {{ shift.at }}, from {{ shift.name }}:
              <gk-number
                [of]="'From ' + shift.name"
                [value]="shift.byM"
                quantity="length"
                [decimals]="1"
                [steps]="[shift.working]"
              />
              off each mark, unless the display is told.
            </p>
          }
          @if (piece()) {
            <button type="button" class="action risky" (click)="remove(it)">Take {{ it.name }} off</button>
          }
        } @else {
          <h2 id="chosen-thing">Nothing chosen</h2>
          <p class="faint">Choose a thing in the drawing or the list to type where it is.</p>
        }
        <div class="fields hull">
          <gk-quantity-field
            label="Deadrise of the bottom"
            fieldId="boat-deadrise"
            quantity="angle"
            [value]="looked().boat.deadriseDeg ?? null"
            [schema]="boat.deadriseDeg"
            (changed)="setBoat({ deadriseDeg: $event })"
          />
          <gk-quantity-field
            label="Bow above the water"
            fieldId="boat-bow-height"
            quantity="length"
            [value]="looked().boat.bowHeightM ?? null"
            [schema]="boat.bowHeightM"
            (changed)="setBoat({ bowHeightM: $event })"
          />
          <gk-quantity-field
            label="Bow up when running"
            fieldId="boat-running-trim"
            quantity="angle"
            [value]="looked().boat.runningTrimDeg ?? null"
            [schema]="boat.runningTrimDeg"
            (changed)="setBoat({ runningTrimDeg: $event })"
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
    .left {
      text-align: left !important;
    }
    tr.chosen {
      background: var(--water-wash);
    }
    td .plain {
      padding: 0;
      min-width: 0;
      margin-right: 8px;
      text-align: left;
    }
    .fields + .fields,
    .add,
    .hull,
    .broken {
      margin-top: 10px;
    }
    .broken {
      padding-left: 18px;
    }
    .broken li {
      color: var(--check);
    }
    .broken li.good {
      color: var(--ink);
    }
    .action.risky {
      margin-top: 10px;
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
  protected readonly units = this.open.units;
  protected readonly place = placeSchema.shape;
  protected readonly equipment = equipmentSchema.shape;
  protected readonly fairing = transducerSchema.shape.fairingDeg;
  protected readonly boat = boatSchema.shape;
  protected readonly stationShape = stationSchema.shape;
  protected readonly mounts = choicesOf(displayMounts);
  protected readonly kinds = choicesOf(equipmentKinds);
  protected readonly newKind = signal<EquipmentKind>('propeller');
  /** What a way out leads to: its fields are only there while its thing is chosen. */
  readonly lookedFor = input({ target: '' });
  protected readonly chosenKey = linkedSignal<{ readonly target: string }, string | null>({
    source: () => this.lookedFor(),
    computation: ({ target }, before) =>
      fittedThings(untracked(this.plan)).find(({ id }) => target.endsWith(`-${id}`))?.key ?? before?.value ?? null,
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
          .filter((id) => this.broken().some((one) => speaksOf(one.id, id))),
      ),
  );
  protected readonly chosen = computed(
    () => fittedThings(this.looked()).find(({ key }) => key === this.chosenKey()) ?? null,
  );
  protected readonly piece = computed((): Equipment | null => {
    const it = this.chosen();
    return it?.of === 'equipment' ? (this.looked().equipment[it.id] ?? null) : null;
  });
  protected readonly inHull = computed(() => {
    const it = this.chosen();
    const own = it?.of === 'transducer' ? this.looked().transducers[it.id] : undefined;
    return own && ['through-hull', 'shoot-through-hull'].includes(own.mounting) ? own : null;
  });
  /** Of what can be raised out of the water, the ways of working it is down in; null for what always is. */
  protected readonly raised = computed(() => {
    const it = this.chosen();
    const kind = it?.of === 'equipment' ? this.looked().equipment[it.id]?.kind : undefined;
    const mounting = it?.of === 'transducer' ? this.looked().transducers[it.id]?.mounting : undefined;
    const lifts = kind === 'propeller' || kind === 'bow motor' || mounting === 'bow motor' || mounting === 'pole';
    return it && lifts ? loweredWays(this.looked(), it.id) : null;
  });
  protected readonly touches = computed(() => {
    const lowest = lowestPoint(this.looked());
    const loading = deepestLoading(this.looked());
    return loading && { lowest, loading, needsM: loading.draughtM + lowest.belowKeelM };
  });
  protected readonly station = computed((): Station | null => {
    const it = this.chosen();
    return it?.of === 'station' ? (this.looked().stations[it.id] ?? null) : null;
  });
  protected readonly sight = computed(() => {
    const it = this.chosen();
    return it?.of === 'station' ? stationSight(this.looked(), it.id) : null;
  });
  protected readonly shifts = computed(() => {
    const it = this.chosen();
    const at = it?.of === 'transducer' ? it.place : null;
    return at
      ? markingAntennas(this.looked()).map(({ antenna, stationIds }) => ({
          name: antenna.name,
          at: stationIds.map((id) => this.looked().stations[id]?.name ?? id).join(' and '),
          ...markShift(antenna, at),
        }))
      : [];
  });

  protected drag(moved: ThingMoved): void {
    this.dragged.set(moved);
    this.figures.follow(this.shown());
  }

  protected settle(): void {
    const moved = this.dragged();
    this.figures.catchUp(this.shown());
    if (moved) this.open.edits.edit(`where ${moved.thing.name} is`, placing(moved.thing, moved.place));
  }

  protected type(thing: FittedThing, changes: Partial<Place>): void {
    if (thing.place) this.open.edits.edit(`where ${thing.name} is`, placing(thing, { ...thing.place, ...changes }));
  }

  protected putDown(thing: FittedThing): void {
    const lengthM = this.plan().boat.lengthM ?? 6;
    this.open.edits.edit(
      `where ${thing.name} is`,
      placing(thing, { forwardM: Math.round(50 * lengthM) / 100, starboardM: 0, aboveKeelM: 1.5 }),
    );
  }

  protected describe(changes: Partial<Equipment>): void {
    const it = this.chosen();
    if (it) this.open.edits.edit(it.name, { type: 'describeEquipment', id: it.id, changes });
  }

  protected fair(id: string, fairingDeg: number | null): void {
    this.open.edits.edit('the fairing', { type: 'describeTransducer', id, changes: { fairingDeg } });
  }

  protected lower({ of, id, name }: FittedThing, loweredIn: WaySet): void {
    this.open.edits.edit(
      `when ${name} is down`,
      of === 'equipment'
        ? { type: 'describeEquipment', id, changes: { loweredIn } }
        : { type: 'describeTransducer', id, changes: { loweredIn } },
    );
  }

  protected readonly changed = computed(() => hullChanges(this.plan()));

  protected confirm(): void {
    this.open.edits.edit('the places, looked over', { type: 'confirmPlaces' });
  }

  protected setBoat(changes: Partial<Boat>): void {
    this.open.edits.edit('the hull', { type: 'describeBoat', changes });
  }

  protected setStation({ id, name }: FittedThing, changes: Partial<Station>): void {
    this.open.edits.edit(name, { type: 'describeStation', id, changes });
  }

  protected add(): void {
    const { lengthM, beamM } = this.plan().boat;
    const kind = this.newKind();
    const [along, across, aboveKeelM] = usual[kind];
    const id = newId();
    const round = (value: number): number => Math.round(100 * value) / 100;
    const already = Object.values(this.plan().equipment).filter((one) => one.kind === kind).length;
    // The next of a kind goes to the other side, the one after that a little further on.
    const side = already % 2 === 0 ? 1 : -1;
    const propeller = kind === 'propeller' ? usualPropellers(this.plan())[already] : undefined;
    const turns = kind === 'propeller' || kind === 'bow motor';
    this.open.edits.edit(`add a ${kind}`, {
      type: 'placeEquipment',
      id,
      equipment: {
        name: `${kind[0]?.toUpperCase() ?? ''}${kind.slice(1)}`,
        kind,
        forwardM: round((along - 0.03 * Math.floor(already / 2)) * (lengthM ?? 6)),
        starboardM: round(side * (already > 0 ? Math.max(0.1, across) : across) * (beamM ?? 2)),
        aboveKeelM,
        propellerDiameterM: propeller?.diameterM ?? (turns ? 0.35 : null),
        ...propeller?.place,
      },
    });
    this.chosenKey.set(`equipment-${id}`);
  }

  protected remove({ id, name }: FittedThing): void {
    this.chosenKey.set(null);
    this.open.edits.edit(`take ${name} off`, { type: 'removeEquipment', id });
  }
}
