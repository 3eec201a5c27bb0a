import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import {
  devicesOf,
  displayDepthError,
  feedChoices,
  inOrder,
  newSource,
  newUnitSettings,
  poorRank,
  shallowLimits,
  sourcesToDo,
  suggestSourceName,
  voltageLimits,
  workingWater,
  type DisplayWater,
} from '@grey-keel/core';
import {
  alarmsSchema,
  displayWaters,
  fedQuantities,
  housekeeping,
  sourceSchema,
  temperatureSensors,
  unitSettingsSchema,
  type Alarms,
  type Edit,
  type FedQuantity,
  type Housekeeping,
  type Source,
  type UnitSettings,
} from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { openBoat } from '../open-boat.ts';
import { ToDoList } from '../../shared/to-do-list.ts';
import { ActInTime } from './act-in-time.ts';
import { TravelView } from './travel-view.ts';
import { seriesVariable } from '../beams/series.ts';
import { TickField } from '../../shared/tick-field.ts';

/** The units displays show depth in, with the steps they show it in. */
const depthShown = (
  [
    ['m', 0.1, 'm, steps 0.1'],
    ['m', 0.01, 'm, steps 0.01'],
    ['ft', 0.1, 'ft, steps 0.1'],
    ['ft', 1, 'ft, steps 1'],
    ['fathom', 0.1, 'fm, steps 0.1'],
  ] as const
).map(([depthUnit, depthStep, label]) => ({ value: `${depthUnit} ${depthStep}`, depthUnit, depthStep, label }));

/** What a display uses that nobody has set otherwise. */
const usualMps = 1500;

const sides = ['not looked at', 'right', 'swapped'] as const;
const unset = { value: '' as const, label: 'not looked at' };

/** The first power-up, in the order it is done: on, tags and types, names, feeds, settings, housekeeping. */
@Component({
  selector: 'gk-sources-page',
  imports: [
    ActInTime,
    ChoiceField,
    ComputedNumber,
    FigurePipe,
    QuantityField,
    TextField,
    TickField,
    ToDoList,
    TravelView,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <gk-to-do-list [items]="toDo()" />
    <section class="sheet" aria-labelledby="on-title">
      <h2 id="on-title">1 Everything on, and wait</h2>
      @if (slowest(); as it) {
        <p>
          Wait <strong class="mono">{{ it.afterS | figure: 'wait' : units() : { decimals: 0 } }}</strong> before looking
          for faults: {{ it.name }} takes that long to appear.
        </p>
      } @else {
        <p class="faint">Say below how long each unit takes to appear; look for faults only after the longest.</p>
      }
    </section>

    <section class="sheet" aria-labelledby="tags-title">
      <h2 id="tags-title">2 Tags, types and names</h2>
      <p class="small faint">
        Read the tag on the cable and select just that type. A name says where, which channel, what kind.
      </p>
      @for (it of sources(); track it.id) {
        <article class="source" [attr.aria-label]="it.unit">
          <p>
            <span class="swatch" [style.background]="it.colour" aria-hidden="true"></span><strong>{{ it.unit }}</strong>
            <span class="small faint">{{ it.kind }}</span>
            @if (it.source.name !== it.suggested) {
              <button
                type="button"
                class="plain small"
                [id]="'name-by-rule-' + it.id"
                (click)="set(it.id, it.unit, { name: it.suggested })"
              >
                Call it "{{ it.suggested }}"
              </button>
            }
            @if (it.source.tag && !it.source.selected) {
              <button
                type="button"
                class="plain small"
                [id]="'as-on-tag-' + it.id"
                (click)="set(it.id, it.unit, { selected: it.source.tag })"
              >
                Select "{{ it.source.tag }}"
              </button>
            }
          </p>
          <gk-text-field
            label="The tag on its cable says"
            [fieldId]="'source-tag-' + it.id"
            [value]="it.source.tag"
            [schema]="shape.tag"
            (changed)="set(it.id, it.unit, { tag: $event })"
          />
          <gk-text-field
            label="Type selected on the display"
            [fieldId]="'source-selected-' + it.id"
            [value]="it.source.selected"
            [schema]="shape.selected"
            (changed)="set(it.id, it.unit, { selected: $event })"
          />
          <gk-text-field
            label="Listed as"
            [fieldId]="'source-name-' + it.id"
            [value]="it.source.name"
            [schema]="shape.name"
            (changed)="set(it.id, it.unit, { name: $event })"
          />
          @if (it.transducer) {
            <gk-choice-field
              label="Temperature"
              [fieldId]="'source-temperature-' + it.id"
              [value]="it.source.temperature"
              [choices]="sensors"
              (changed)="set(it.id, it.unit, { temperature: $event })"
            />
          } @else {
            <span></span>
          }
          <gk-quantity-field
            label="Appears after"
            [fieldId]="'source-after-' + it.id"
            quantity="wait"
            [value]="it.source.appearsAfterS"
            [schema]="shape.appearsAfterS"
            (changed)="set(it.id, it.unit, { appearsAfterS: $event })"
          />
        </article>
      } @empty {
        <p class="faint">Nothing to name yet: choose transducers on Beams, add sensors on Fit.</p>
      }
    </section>

    <section class="sheet" aria-labelledby="feeds-title">
      <h2 id="feeds-title">3 What each screen listens to</h2>
      @if (stations().length) {
        <div class="scroll">
          <table class="figures feeds" aria-label="Which source feeds each number at each station">
            <thead>
              <tr>
                <th scope="col">Number</th>
                @for (station of stations(); track station.id) {
                  <th scope="col">{{ station.name }}</th>
                }
              </tr>
            </thead>
            <tbody>
              @for (row of feeds(); track row.quantity) {
                <tr>
                  <th scope="row">{{ row.quantity }}</th>
                  @for (cell of row.cells; track cell.stationId) {
                    <td [class.poor]="cell.poor" [class.is-missing]="!cell.sourceId && row.quantity === 'depth'">
                      <gk-choice-field
                        [label]="row.quantity + ' from'"
                        [labelHidden]="true"
                        [fieldId]="'feed-' + cell.stationId + '-' + row.id"
                        [value]="cell.sourceId"
                        [choices]="row.choices"
                        (changed)="feed(cell.stationId, row.quantity, $event, cell.fallbackId)"
                      />
                      @if (cell.because) {
                        <span class="small" [class.faint]="!cell.poor">{{ cell.because }}</span>
                      }
                      @if (cell.sourceId && row.choices.length > 2) {
                        <gk-choice-field
                          label="if it fails"
                          [fieldId]="'fallback-' + cell.stationId + '-' + row.id"
                          [value]="cell.fallbackId"
                          [choices]="row.choices"
                          (changed)="feed(cell.stationId, row.quantity, cell.sourceId, $event)"
                        />
                      }
                    </td>
                  }
                </tr>
              }
            </tbody>
          </table>
        </div>
        <button type="button" class="action" id="feed-best" (click)="feedBest()">
          Fill what is empty with the best of each
        </button>
      } @else {
        <p class="faint">No station has a display yet: fit one on Pages.</p>
      }
    </section>

    <section class="sheet" aria-labelledby="units-title">
      <h2 id="units-title">4 What each display keeps for itself</h2>
      <div class="scroll">
        <table class="figures units" aria-label="Settings of each display">
          <thead>
            <tr>
              <th scope="col">Display</th>
              <th scope="col">its water</th>
              <th scope="col">shows depth in</th>
              <th scope="col">north</th>
              <th scope="col">port is drawn on port</th>
              <th scope="col">antenna’s distance entered</th>
              <th scope="col">housekeeping</th>
            </tr>
          </thead>
          <tbody>
            @for (it of stations(); track it.id) {
              <tr>
                <td>
                  {{ it.name }}<br /><span class="small faint">{{ it.display }}</span>
                </td>
                <td>
                  <gk-choice-field
                    label="Water type"
                    [labelHidden]="true"
                    [fieldId]="'unit-water-' + it.id"
                    [value]="it.unit.ownSoundSpeedMps != null ? 'own figure' : (it.unit.waterType ?? '')"
                    [choices]="waters"
                    (changed)="setWater(it.id, it.name, $event)"
                  />
                  @if (it.unit.ownSoundSpeedMps != null) {
                    <gk-quantity-field
                      [label]="'Speed of sound of ' + it.name"
                      [labelHidden]="true"
                      [fieldId]="'unit-own-speed-' + it.id"
                      quantity="soundSpeed"
                      [value]="it.unit.ownSoundSpeedMps"
                      [schema]="unitShape.ownSoundSpeedMps"
                      (changed)="setUnit(it.id, it.name, { ownSoundSpeedMps: $event })"
                    />
                  }
                  <span class="small faint">
                    @if (it.error; as error) {
                      <gk-number
                        [of]="'Error of the depth ' + it.name + ' shows at the working depth'"
                        [value]="error.value"
                        quantity="depth"
                        [signed]="true"
                        [steps]="[error]"
                      />
                      at the working depth
                    } @else {
                      the brief: {{ water() }}
                    }
                  </span>
                </td>
                <td>
                  <gk-choice-field
                    label="Unit and step of depth"
                    [labelHidden]="true"
                    [fieldId]="'unit-depth-' + it.id"
                    [value]="depthOf(it.unit)"
                    [choices]="depths"
                    (changed)="setDepth(it.id, it.name, $event)"
                  />
                </td>
                <td>
                  <gk-choice-field
                    label="North"
                    [labelHidden]="true"
                    [fieldId]="'unit-north-' + it.id"
                    [value]="it.unit.north ?? ''"
                    [choices]="norths"
                    (changed)="setUnit(it.id, it.name, { north: $event || null })"
                  />
                </td>
                <td>
                  <gk-choice-field
                    label="Sides"
                    [labelHidden]="true"
                    [fieldId]="'unit-sides-' + it.id"
                    [value]="it.unit.sidesRight"
                    [choices]="sideChoices"
                    (changed)="setUnit(it.id, it.name, { sidesRight: $event })"
                  />
                </td>
                <td>
                  <gk-tick-field
                    wordless
                    [label]="'The antenna’s distance is entered at ' + it.name"
                    [fieldId]="'unit-antenna-' + it.id"
                    [value]="it.unit.antennaOffsetSet === true"
                    (changed)="setUnit(it.id, it.name, { antennaOffsetSet: $event })"
                  />
                </td>
                <td class="left">
                  <details>
                    <summary>{{ it.done }} of {{ items.length }} done</summary>
                    @for (item of items; track item) {
                      <gk-tick-field
                        [label]="item"
                        [value]="it.unit.done[item] === true"
                        (changed)="tick(it.id, it.unit, item, $event)"
                      />
                    }
                  </details>
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <h3 id="alarms-title">Alarms, empty where off</h3>
      <div class="scroll">
        <table class="figures units" aria-labelledby="alarms-title">
          <thead>
            <tr>
              <th scope="col">Display</th>
              @for (alarm of alarmFields; track alarm.key) {
                <th scope="col">{{ alarm.label }}</th>
              }
            </tr>
          </thead>
          <tbody>
            @for (it of stations(); track it.id) {
              <tr>
                <th scope="row">{{ it.name }}</th>
                @for (alarm of alarmFields; track alarm.key) {
                  <td>
                    <gk-quantity-field
                      [label]="alarm.label + ' at ' + it.name"
                      [labelHidden]="true"
                      [fieldId]="'alarm-' + alarm.id + '-' + it.id"
                      [quantity]="alarm.quantity"
                      [decimals]="1"
                      [value]="it.unit.alarms?.[alarm.key] ?? null"
                      [schema]="alarmShape[alarm.key]"
                      (changed)="setAlarm(it.id, it.name, alarm.key, $event)"
                    />
                    <span class="small faint">
                      @if (it.limits[alarm.key]; as limit) {
                        at least
                        <gk-number
                          [id]="'alarm-' + alarm.id + '-' + it.id + '-least'"
                          [of]="'Least for the ' + alarm.label + ' alarm of ' + it.name"
                          [value]="limit.least"
                          [quantity]="alarm.quantity"
                          [decimals]="1"
                          [steps]="limit.working"
                        />
                      } @else {
                        {{ alarm.unknown }}
                      }
                    </span>
                  </td>
                }
              </tr>
            }
          </tbody>
        </table>
      </div>
      <gk-act-in-time />
      <p class="small faint">
        Shallow is as the display shows it. An alarm that calls all day is switched off: turn off the nuisance ones, so
        that these are heeded.
      </p>
    </section>
    <section class="sheet" aria-labelledby="travels-title">
      <gk-travel-view />
    </section>
    <p class="caution" role="note">
      Depth from the wrong unit grounds a boat. Sonar alone is no aid to navigation, and an alarm is no look-out. Never
      transmit out of the water.
    </p>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .scroll {
      overflow-x: auto;
    }
    td {
      vertical-align: top;
      min-width: 120px;
    }
    .units td {
      min-width: 92px;
    }
    .units thead th {
      white-space: normal;
      vertical-align: bottom;
    }
    th[scope='row'] {
      text-align: left;
      font-weight: 700;
      color: var(--ink);
    }
    .left,
    .feeds td,
    .feeds th,
    .units td,
    .units th {
      text-align: left;
    }
    .source p {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0 8px;
    }
    .poor {
      outline: 2px solid var(--check);
      outline-offset: -2px;
    }
    .swatch {
      width: 11px;
      height: 11px;
    }
    .source {
      display: grid;
      grid-template-columns: minmax(0, 3fr) minmax(0, 3fr) minmax(0, 2fr) minmax(0, 1.2fr) minmax(0, 1fr);
      gap: 2px 12px;
      padding: 8px 0;
      border-bottom: var(--hairline) solid var(--rule);
    }
    .source p {
      grid-column: 1 / -1;
    }
    @media (max-width: 900px) {
      .source {
        grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      }
    }
    summary {
      display: flex;
      gap: 8px;
      align-items: center;
      min-height: var(--touch);
      cursor: pointer;
      color: var(--water);
      font-weight: 600;
    }
    .action,
    h3 {
      margin-top: 10px;
    }
  `,
})
export class SourcesPage {
  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly shape = sourceSchema.shape;
  protected readonly sensors = choicesOf(temperatureSensors);
  /** What is ticked off; the alarms have a figure of their own. */
  protected readonly items = housekeeping.filter((item) => !item.endsWith('alarm'));
  protected readonly alarmShape = alarmsSchema.shape;
  protected readonly alarmFields = [
    {
      key: 'shallowM',
      id: 'shallow',
      label: 'shallow water',
      quantity: 'depth',
      unknown: 'least not known: its depth offset is missing or stale',
    },
    {
      key: 'lowVoltageV',
      id: 'voltage',
      label: 'low voltage',
      quantity: 'voltage',
      unknown: 'least not known: say on Fit, under power, which load it is',
    },
    {
      key: 'engineTemperatureC',
      id: 'engine',
      label: 'engine temperature',
      quantity: 'temperature',
      unknown: 'as the engine’s maker says',
    },
  ] as const;
  protected readonly waters = [
    unset,
    ...choicesOf(displayWaters),
    { value: 'own figure' as const, label: 'own figure' },
  ];
  protected readonly unitShape = unitSettingsSchema.shape;
  protected readonly depths = [unset, ...depthShown.map(({ value, label }) => ({ value, label }))];
  protected readonly norths = [unset, ...choicesOf(['true', 'magnetic'] as const)];
  protected readonly sideChoices = choicesOf(sides);
  protected readonly water = computed(() => workingWater(this.plan())?.kind ?? 'not described');

  protected readonly toDo = computed(() => sourcesToDo(this.plan()));
  protected readonly sources = computed(() => {
    const plan = this.plan();
    return [
      ...inOrder(plan.transducers).map(([id, { name, kind, mounting }], i) => ({
        id,
        unit: name,
        kind: `${kind}, ${mounting}`,
        colour: seriesVariable(i),
        transducer: true,
      })),
      ...devicesOf(plan).flatMap(({ id }) => {
        const piece = plan.equipment[id];
        return piece
          ? [{ id, unit: piece.name, kind: piece.kind, colour: 'var(--hull-light)', transducer: false }]
          : [];
      }),
    ].map((one) => ({
      ...one,
      source: plan.sources[one.id] ?? newSource(),
      suggested: suggestSourceName(plan, one.id),
    }));
  });

  protected readonly slowest = computed(() => {
    const timed = this.sources().flatMap(({ unit, source: { appearsAfterS } }) =>
      appearsAfterS === null ? [] : [{ name: unit, afterS: appearsAfterS }],
    );
    return timed.length ? timed.reduce((a, b) => (b.afterS > a.afterS ? b : a)) : null;
  });

  protected readonly stations = computed(() => {
    const plan = this.plan();
    return inOrder(plan.stations).flatMap(([id, { name }]) => {
      const display = plan.displays[id];
      if (!display) return [];
      const unit = plan.units[id] ?? newUnitSettings();
      const limits = {
        shallowM: shallowLimits(plan, id),
        lowVoltageV: voltageLimits(plan, id),
        engineTemperatureC: null,
      };
      const error = displayDepthError(plan, id, plan.working.depthM)?.step ?? null;
      const done = this.items.filter((item) => unit.done[item]).length;
      return [{ id, name, display: display.name, unit, limits, done, error }];
    });
  });

  protected readonly feeds = computed(() => {
    const plan = this.plan();
    return fedQuantities.map((quantity) => {
      const options = feedChoices(plan, quantity);
      return {
        quantity,
        id: quantity.replaceAll(' ', '-'),
        choices: [{ value: '', label: 'nothing' }, ...options.map(({ id, name }) => ({ value: id, label: name }))],
        cells: this.stations().map(({ id: stationId }) => {
          const feed = plan.feeds[stationId]?.[quantity];
          const now = options.find(({ id }) => id === feed?.sourceId);
          return {
            stationId,
            sourceId: feed?.sourceId ?? '',
            fallbackId: feed?.fallbackId ?? '',
            because: now?.because ?? (feed ? 'it is gone, or does not measure this' : ''),
            poor: feed !== undefined && (!now || now.rank >= poorRank),
          };
        }),
      };
    });
  });

  protected set(id: string, unit: string, changes: Partial<Source>): void {
    this.open.edits.edit(unit, { type: 'describeSource', id, changes });
  }

  protected feed(stationId: string, quantity: FedQuantity, sourceId: string, fallbackId: string): void {
    this.open.edits.edit(`the ${quantity}`, {
      type: 'feed',
      stationId,
      quantity,
      feed:
        sourceId === ''
          ? null
          : { sourceId, fallbackId: fallbackId === '' || fallbackId === sourceId ? null : fallbackId },
    });
  }

  /** What stands is left alone: only what is empty is filled. */
  protected feedBest(): void {
    const plan = this.plan();
    const edits = this.stations().flatMap(({ id: stationId }) =>
      fedQuantities.flatMap((quantity): Edit[] => {
        const [best, second] = feedChoices(plan, quantity).filter(({ rank }) => rank < poorRank);
        if (!best || plan.feeds[stationId]?.[quantity]) return [];
        return [{ type: 'feed', stationId, quantity, feed: { sourceId: best.id, fallbackId: second?.id ?? null } }];
      }),
    );
    if (edits.length) this.open.edits.edit('the feeds', ...edits);
  }

  protected setUnit(stationId: string, name: string, changes: Partial<UnitSettings>): void {
    this.open.edits.edit(name, { type: 'describeUnit', stationId, changes });
  }

  protected setWater(stationId: string, name: string, setTo: DisplayWater | 'own figure' | ''): void {
    this.setUnit(
      stationId,
      name,
      setTo === 'own figure'
        ? { waterType: null, ownSoundSpeedMps: usualMps }
        : { waterType: setTo || null, ownSoundSpeedMps: null },
    );
  }

  protected setDepth(stationId: string, name: string, value: string): void {
    const shown = depthShown.find((one) => one.value === value);
    if (shown) this.setUnit(stationId, name, { depthUnit: shown.depthUnit, depthStep: shown.depthStep });
  }

  protected depthOf({ depthUnit, depthStep }: UnitSettings): string {
    return depthShown.find((one) => one.depthUnit === depthUnit && one.depthStep === depthStep)?.value ?? '';
  }

  protected setAlarm(stationId: string, name: string, key: keyof Alarms, value: number | null): void {
    this.setUnit(stationId, name, { alarms: { [key]: value } });
  }

  protected tick(stationId: string, unit: UnitSettings, item: Housekeeping, on: boolean): void {
    const { [item]: _was, ...others } = unit.done;
    this.setUnit(stationId, item, { done: on ? { ...others, [item]: true } : others });
  }
}
