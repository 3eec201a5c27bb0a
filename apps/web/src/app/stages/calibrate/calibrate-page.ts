import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import {
  agroundBy,
  agroundInWords,
  cautions,
  changeOnEntering,
  depthOffsetFingerprint,
  depthOffsetInputs,
  depthOffsetOf,
  depthGivers,
  depthOffsetResult,
  inOrder,
  offsetStanding,
  readingSetTo,
  readingSoundSpeedMps,
  readingWater,
  removesFrom,
  signInWords,
  type DepthOffsetAnswer,
} from '@grey-keel/core';
import { depthPairSchema, type DepthOffset, type Edit, type DepthPair, type WorkingStep } from '@grey-keel/model';
import { RouterLink } from '@angular/router';
import { DatePipe } from '@angular/common';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { DifferencesChart, type Difference } from '../../shared/differences-chart.ts';
import { FigurePipe, SentencePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { newId } from '../../state/open-plan.ts';
import { Store } from '@ngrx/store';
import { TimesIcon } from 'primeng/icons/times';
import { selectFindings } from '../../state/plan.selectors.ts';
import { openBoat } from '../open-boat.ts';
import { GoTo } from '../../shared/go-to.ts';
import { EnterOffset, type Entering } from './enter-offset.ts';
import { ReadingConditions } from './reading-conditions.ts';
import { LeadLinePicture, type PicturedReading } from './lead-line-picture.ts';

interface ReadingRow {
  readonly id: string;
  readonly place: number;
  readonly pair: DepthPair;
  readonly recorded: boolean;
  /** Lead line less what was displayed, as anyone would subtract it. */
  readonly rawM: number | null;
  readonly differenceM: number | null;
  readonly flagged: boolean;
  readonly excluded: boolean;
  readonly working: readonly WorkingStep[];
}

/** Below this a display's wrong sound speed is lost in its own steps. */
const noticeableError = 0.002;

const blank: DepthPair = { leadLineM: null, displayedM: null, leftOut: false };

@Component({
  selector: 'gk-calibrate-page',
  imports: [
    ComputedNumber,
    DatePipe,
    DifferencesChart,
    EnterOffset,
    FigurePipe,
    LeadLinePicture,
    QuantityField,
    ReadingConditions,
    RouterLink,
    SentencePipe,
    TimesIcon,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (sounders().length === 0) {
      <section class="sheet">
        <p>There is nothing aboard that gives a depth yet, so there is none to calibrate.</p>
        <p><a routerLink="../beams">Choose transducers first</a></p>
      </section>
    } @else {
      <section class="sheet list" aria-label="What is calibrated">
        @for (one of sounders(); track one.id) {
          <button
            type="button"
            [attr.aria-current]="chosen() === one.id"
            (click)="chosen.set(one.id)"
            [attr.data-sounder]="one.id"
          >
            <strong>Depth</strong>
            <span class="small">{{ one.name }}</span>
            <span
              class="value mono"
              [class.is-stale]="one.state === 'stale'"
              [class.is-missing]="one.offsetM === null"
              >{{
                one.offsetM === null ? 'missing' : (one.offsetM | figure: 'length' : units() : { signed: true })
              }}</span
            >
            <span class="small state {{ one.state }}">{{ one.state }}</span>
          </button>
        }
      </section>

      <div class="work">
        <section
          class="sheet top"
          [attr.aria-label]="'Depth offset, ' + name()"
          [id]="'offset-' + chosen()"
          tabindex="-1"
        >
          <div>
            <h2>Depth offset, {{ name() }}</h2>
            <gk-lead-line-picture [boat]="plan().boat" [reading]="pictured()" [units]="units()" />
          </div>
          <div>
            <div class="row to">
              <span class="faint small" id="to-the">to the</span>
              <div role="group" aria-labelledby="to-the" class="either">
                <button
                  type="button"
                  [attr.aria-pressed]="settings().reference === 'waterline'"
                  (click)="set({ reference: 'waterline' })"
                >
                  waterline
                </button>
                <button
                  type="button"
                  [attr.aria-pressed]="settings().reference === 'keel'"
                  (click)="set({ reference: 'keel' })"
                >
                  keel
                </button>
              </div>
            </div>
            <h3>Differences</h3>
            @if (answer(); as it) {
              <gk-differences-chart
                [points]="points()"
                [meanM]="meanM()"
                [halfIntervalM]="it.halfInterval95M"
                [units]="units()"
              />
            } @else {
              <p class="faint empty is-missing"><span>They are drawn when the first pair is complete.</span></p>
            }
          </div>
        </section>

        <div class="two">
          <section class="sheet" aria-labelledby="readings-title">
            <h2 id="readings-title">Readings</h2>
            <div class="wide">
              <table class="figures">
                <thead>
                  <tr>
                    <th scope="col">lead line</th>
                    <th scope="col">displayed</th>
                    <th scope="col">as read</th>
                    <th scope="col">corrected</th>
                    <th scope="col"><span class="hidden-label">Actions</span></th>
                  </tr>
                </thead>
                <tbody>
                  @for (row of rows(); track row.id) {
                    <tr
                      [class.out]="row.pair.leftOut || row.excluded"
                      [attr.data-reading]="row.recorded ? row.id : 'new'"
                    >
                      <td>
                        <gk-quantity-field
                          [label]="'Lead line, reading ' + row.place"
                          [labelHidden]="true"
                          [fieldId]="'reading-' + chosen() + '-' + row.id"
                          quantity="depth"
                          [value]="row.pair.leadLineM"
                          [schema]="pair.leadLineM"
                          (changed)="write(row, { leadLineM: $event })"
                        />
                      </td>
                      <td>
                        <gk-quantity-field
                          [label]="'Displayed, reading ' + row.place"
                          [labelHidden]="true"
                          [fieldId]="'shown-' + chosen() + '-' + row.id"
                          quantity="depth"
                          [value]="row.pair.displayedM"
                          [schema]="pair.displayedM"
                          (changed)="write(row, { displayedM: $event })"
                        />
                      </td>
                      <td class="mono">
                        {{ row.rawM === null ? '' : (row.rawM | figure: 'length' : units()) }}
                      </td>
                      <td>
                        @if (row.differenceM !== null) {
                          <gk-number
                            [of]="'Difference of reading ' + row.place"
                            [value]="row.differenceM"
                            quantity="length"
                            [steps]="row.working"
                            [class.flagged]="row.flagged"
                          />
                        } @else if (row.recorded && !row.pair.leftOut) {
                          <span class="small check"
                            >{{ row.pair.leadLineM === null ? 'lead line' : 'display' }} missing</span
                          >
                        } @else if (row.pair.leftOut) {
                          <span class="small faint">left out</span>
                        }
                      </td>
                      <td class="acts">
                        @if (row.recorded) {
                          <button
                            type="button"
                            class="plain small"
                            (click)="write(row, { leftOut: !row.pair.leftOut })"
                            [attr.aria-label]="
                              (row.pair.leftOut ? 'Take back reading ' : 'Leave out reading ') + row.place
                            "
                          >
                            {{ row.pair.leftOut ? 'take back' : 'leave out' }}
                          </button>
                          <button
                            type="button"
                            class="plain small"
                            (click)="remove(row)"
                            [attr.aria-label]="'Remove reading ' + row.place"
                          >
                            <svg data-p-icon="times" aria-hidden="true"></svg>
                          </button>
                        }
                      </td>
                    </tr>
                  }
                </tbody>
              </table>
            </div>
            <p class="small faint">
              "As read" is the lead line less what was shown; "corrected" takes off the offset that was set and goes by
              the speed of sound in the water. A reading that stands apart is named, and left out by itself only from
              {{ removesFrom }} readings on. Spread them over the depths you work in.
            </p>
            <gk-reading-conditions [transducerId]="chosen()" />
          </section>

          <section class="sheet result" aria-labelledby="result-title" id="result">
            <h2 id="result-title" class="faint">Enter on the display</h2>
            @if (answer(); as it) {
              <p>
                <gk-number
                  of="Depth offset"
                  [value]="it.offsetM"
                  quantity="length"
                  [signed]="true"
                  [large]="true"
                  [steps]="it.working"
                />
                @if (it.halfInterval95M !== null) {
                  <span class="mono faint">
                    ±
                    <gk-number
                      of="Half of the 95 % interval of the depth offset"
                      [value]="it.halfInterval95M"
                      quantity="length"
                      [steps]="it.working"
                    />
                  </span>
                }
              </p>
              <p>
                {{ sign() | sentence: units() }}
                <gk-number
                  of="What entering it changes on the display"
                  [value]="change().value"
                  quantity="length"
                  [signed]="true"
                  [steps]="[change()]"
                />
              </p>
              <p>
                <strong>{{ aground() | sentence: units() }}</strong>
              </p>
              <p class="verdict {{ verdict().state }}">
                {{ verdict().words }} {{ settings().toleranceM | figure: 'length' : units() }} ({{ it.readingsUsed }}
                {{ it.readingsUsed === 1 ? 'reading' : 'readings' }}, 95 %).
              </p>
              @if (soundSpeed(); as sound) {
                <p class="small">
                  Sound at
                  <gk-number
                    of="Sound speed of this water"
                    [value]="sound.soundSpeedMps"
                    quantity="soundSpeed"
                    [steps]="sound.working"
                  />
                  in this water.
                  @if (readsOff()) {
                    <strong>
                      The display used {{ it.soundSpeedAssumedMps | figure: 'soundSpeed' : units() }} and is
                      <gk-number
                        of="How far the display is off in depth"
                        [value]="it.displayDepthError"
                        quantity="fraction"
                        [signed]="true"
                        [steps]="it.working.slice(-1)"
                      />
                      off in depth: set its water or its speed first.
                    </strong>
                  }
                </p>
              }
              @if (flaggedIn(); as words) {
                <p class="small check">{{ words }}</p>
              }
              @for (flag of it.flags; track flag) {
                <p class="small check">{{ flag }}</p>
              }
              <p class="caution" role="note">{{ caution }}</p>
              <gk-enter-offset [transducerId]="chosen()" [answer]="it" (entered)="enter(it, $event)" />
            } @else {
              <p class="is-missing wanting">
                <span>{{ wanting() }}</span>
              </p>
              <p class="caution" role="note">{{ caution }}</p>
            }
            @if (settings().entered; as entered) {
              <p class="small" [class.is-stale]="standing().state === 'stale'">
                {{ entered.offsetM | figure: 'length' : units() : { signed: true } }} entered
                {{ entered.at | date: 'yyyy-MM-dd HH:mm' }}{{ entered.reason ? ', because: ' + entered.reason : '' }}.
                @if (standing().state === 'stale') {
                  Stale: {{ standing().changed.join(', ') || 'the calculation' }} changed since.
                }
              </p>
            }
          </section>
        </div>
      </div>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: 168px minmax(0, 1fr);
      gap: 10px;
    }
    .list {
      padding: 0;
      align-self: start;
    }
    .list button {
      width: 100%;
      display: grid;
      grid-template-columns: 1fr auto;
      gap: 2px 6px;
      padding: 10px 12px;
      min-height: 60px;
      text-align: left;
      color: var(--ink);
      background: var(--sheet);
      border: 0;
      border-bottom: var(--hairline) solid var(--rule);
      border-left: 4px solid transparent;
      cursor: pointer;
    }
    .list button[aria-current='true'] {
      background: var(--water-wash);
      border-left-color: var(--water);
    }
    .list .small {
      grid-column: 1;
    }
    .list .value {
      grid-column: 2;
      grid-row: 1;
      text-align: right;
      font-size: var(--small);
      font-weight: 700;
    }
    .list .value.is-missing {
      font-weight: 400;
    }
    .list .state {
      grid-column: 2;
      text-align: right;
    }
    .state.fresh {
      color: var(--fresh);
    }
    .state.stale,
    .check {
      color: var(--check);
    }
    .work {
      display: grid;
      gap: 10px;
      min-width: 0;
    }
    .top {
      display: grid;
      grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
      gap: 14px;
    }
    .to {
      justify-content: flex-end;
      align-items: center;
    }
    .either {
      display: flex;
    }
    .either button {
      min-height: var(--touch);
      padding: 0 14px;
      background: var(--sheet);
      color: var(--ink);
      border: var(--hairline) solid var(--hull-light);
      font-weight: 600;
      cursor: pointer;
    }
    .either button[aria-pressed='true'] {
      background: var(--water);
      color: var(--on-water);
    }
    .empty {
      min-height: 200px;
      display: grid;
      place-items: center;
    }
    .empty span,
    .wanting span {
      background: var(--sheet);
      padding: 4px 8px;
    }
    .two {
      display: grid;
      grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
      gap: 10px;
    }
    td gk-quantity-field {
      width: 86px;
      margin-left: auto;
    }
    .acts .plain {
      vertical-align: middle;
      padding: 0 2px;
      min-width: 30px;
    }
    table.figures td {
      padding: 2px 3px;
    }
    td:first-child gk-quantity-field {
      margin-left: 0;
    }
    tr.out {
      color: var(--faint);
      text-decoration: line-through;
    }
    .flagged {
      color: var(--check);
      font-weight: 700;
    }
    .acts {
      white-space: nowrap;
    }
    h3 {
      margin: 10px 0 4px;
    }
    .result {
      display: grid;
      gap: 8px;
      align-content: start;
    }
    .verdict {
      font-weight: 700;
    }
    .verdict.good {
      color: var(--fresh);
    }
    .verdict.bad {
      color: var(--check);
    }
    .wanting {
      padding: 24px 12px;
    }
    .wide {
      overflow-x: auto;
    }
    @media (max-width: 1100px) {
      :host {
        grid-template-columns: minmax(0, 1fr);
      }
      .list {
        display: flex;
      }
    }
    @media (max-width: 760px) {
      .top,
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class CalibratePage {
  private readonly open = openBoat();
  private readonly found = inject(Store).selectSignal(selectFindings);
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly pair = depthPairSchema.shape;
  protected readonly removesFrom = removesFrom;
  protected readonly caution = cautions.grounding;

  protected readonly sounders = computed(() =>
    depthGivers(this.plan()).map(({ id, name }) => ({
      id,
      name,
      state: offsetStanding(this.plan(), id).state,
      offsetM: this.plan().depthOffsets[id]?.entered?.offsetM ?? null,
    })),
  );
  /** The one looked at: the first that is not fresh, until another is chosen. */
  protected readonly chosen = linkedSignal<string[], string>({
    source: computed(() => this.sounders().map(({ id }) => id), { equal: (a, b) => a.join() === b.join() }),
    computation: (ids, before) => (before && ids.includes(before.value) ? before.value : this.mostPressing(ids)),
  });
  protected readonly name = computed(() => this.plan().transducers[this.chosen()]?.name ?? '');
  protected readonly settings = computed(() => depthOffsetOf(this.plan(), this.chosen()));
  protected readonly standing = computed(() => offsetStanding(this.plan(), this.chosen()));
  private readonly inputs = computed(() => depthOffsetInputs(this.plan(), this.chosen()));
  private readonly result = computed(() => {
    const inputs = this.inputs();
    return inputs && depthOffsetResult(inputs);
  });
  protected readonly answer = computed(() => {
    const result = this.result();
    return result?.known ? result.answer : null;
  });
  protected readonly soundSpeed = computed(() => {
    const result = this.result();
    return result?.known ? result.soundSpeed : null;
  });
  protected readonly wanting = computed(() => {
    const result = this.result();
    return result && !result.known ? result.wanting : '';
  });

  constructor() {
    const goTo = inject(GoTo);
    // A way out leads to one transducer's field: it is shown before its field is looked for.
    effect(() => {
      const target = goTo.target();
      const wanted = this.sounders().find(({ id }) => target?.includes(`-${id}`));
      if (!wanted) return;
      untracked(() => this.chosen.set(wanted.id));
      goTo.target.set(null);
    });
  }

  private readonly nextId = signal(newId());
  protected readonly rows = computed<ReadingRow[]>(() => {
    const answer = this.answer();
    const calculated = this.inputs()?.readings.map(({ id }) => id) ?? [];
    const recorded = inOrder(this.settings().readings).map(([id, pair], place): ReadingRow => {
      const i = calculated.indexOf(id);
      const step = answer?.working[i];
      return {
        id,
        place: place + 1,
        pair,
        recorded: true,
        rawM: pair.leadLineM === null || pair.displayedM === null ? null : pair.leadLineM - pair.displayedM,
        differenceM: answer?.differencesM[i] ?? null,
        flagged: answer?.flagged.includes(i) ?? false,
        excluded: answer?.excluded.includes(i) ?? false,
        working: i >= 0 && step ? [step] : [],
      };
    });
    return [
      ...recorded,
      {
        id: this.nextId(),
        place: recorded.length + 1,
        pair: blank,
        recorded: false,
        rawM: null,
        differenceM: null,
        flagged: false,
        excluded: false,
        working: [],
      },
    ];
  });

  protected readonly points = computed<Difference[]>(() => {
    const answer = this.answer();
    const readings = this.inputs()?.readings ?? [];
    return (answer?.differencesM ?? []).map((differenceM, i) => ({
      depthM: readings[i]?.leadLineM ?? 0,
      differenceM,
      flagged: answer?.flagged.includes(i) ?? false,
    }));
  });
  /** The mean of the differences themselves: the offset before the keel is taken off. */
  protected readonly meanM = computed(() => {
    const answer = this.answer();
    if (!answer) return 0;
    return answer.offsetM + (this.settings().reference === 'keel' ? (this.plan().boat.draughtM ?? 0) : 0);
  });

  protected readonly pictured = computed<PicturedReading | null>(() => {
    const answer = this.answer();
    const readings = this.inputs()?.readings ?? [];
    const i = readings.findIndex((_, k) => !answer?.flagged.includes(k));
    const reading = readings[i];
    const missedM = answer?.differencesM[i];
    return reading && missedM !== undefined
      ? { leadLineM: reading.leadLineM, displayedM: reading.displayedM, rangeM: reading.leadLineM - missedM, missedM }
      : null;
  });

  /** A reading that stands apart and is still in the mean: the figure above it must not be taken on trust. */
  protected readonly flaggedIn = computed(() => {
    const places = this.rows().filter(({ flagged, excluded }) => flagged && !excluded);
    if (places.length === 0) return '';
    const named = places.map(({ place }) => place).join(' and ');
    return `Reading ${named} stands apart and is in this mean: leave it out, or know why not.`;
  });

  protected readonly sign = computed(() => {
    const { offsetSetM, reference } = this.settings();
    return signInWords({ offsetM: this.answer()?.offsetM ?? 0, offsetSetM, reference });
  });
  protected readonly change = computed(() =>
    changeOnEntering({ offsetM: this.answer()?.offsetM ?? 0, offsetSetM: this.settings().offsetSetM }),
  );
  protected readonly aground = computed(() => agroundInWords(agroundBy(this.plan(), this.settings().reference)));
  protected readonly verdict = computed(() => {
    const half = this.answer()?.halfInterval95M ?? null;
    const { toleranceM } = this.settings();
    if (half === null)
      return { state: 'bad', words: 'One reading says nothing about its own uncertainty. Your tolerance is' };
    return half <= toleranceM
      ? { state: 'good', words: 'Within your tolerance of' }
      : { state: 'bad', words: 'Not sure enough for your tolerance of' };
  });
  /** The offset only holds once the display works with this water's own speed of sound. */
  protected readonly readsOff = computed(() => Math.abs(this.answer()?.displayDepthError ?? 0) >= noticeableError);

  /** The sounder to look at first: one that a stop speaks of, then one that is not fresh. */
  private mostPressing(ids: readonly string[]): string {
    const stopped = this.found().find(({ stage, severity }) => stage === 'calibrate' && severity === 'stop');
    return (
      ids.find((id) => stopped?.id.endsWith(`:${id}`)) ??
      this.sounders().find(({ state }) => state !== 'fresh')?.id ??
      ids[0] ??
      ''
    );
  }

  protected set(changes: Partial<Omit<DepthOffset, 'readings' | 'entered'>>): void {
    this.open.edits.edit('how depth is calibrated', {
      type: 'describeDepthOffset',
      transducerId: this.chosen(),
      changes,
    });
  }

  protected write(row: ReadingRow, changes: Partial<DepthPair>): void {
    const place = { transducerId: this.chosen(), readingId: row.id };
    if (row.recorded)
      return this.open.edits.edit(`reading ${row.place}`, { type: 'correctReading', ...place, changes });
    if (Object.values(changes).every((value) => value === null)) return;
    this.open.edits.edit(
      `reading ${row.place}`,
      { type: 'recordReading', ...place, reading: { ...blank, ...changes } },
      ...this.asItIsNow(),
    );
    this.nextId.set(newId());
  }

  protected remove(row: ReadingRow): void {
    this.open.edits.edit(`remove reading ${row.place}`, {
      type: 'removeReading',
      transducerId: this.chosen(),
      readingId: row.id,
    });
  }

  /** With the first reading, what the display is set to and the water it lies in are kept with it. */
  private asItIsNow(): Edit[] {
    const [plan, transducerId] = [this.plan(), this.chosen()];
    const { readings, takenIn, displaySetTo, soundSpeedAssumedMps } = this.settings();
    const water = readingWater(plan, transducerId);
    if (Object.keys(readings).length > 0 || !water) return [];
    const setTo = readingSetTo(plan, transducerId);
    const known = displaySetTo !== undefined || soundSpeedAssumedMps !== null || setTo === null;
    return [
      {
        type: 'describeDepthOffset',
        transducerId,
        changes: {
          takenIn: takenIn ?? water,
          ...(known
            ? {}
            : {
                displaySetTo: setTo,
                soundSpeedAssumedMps: setTo === 'own figure' ? readingSoundSpeedMps(plan, transducerId) : null,
              }),
        },
      },
    ];
  }

  protected enter(answer: DepthOffsetAnswer, { offsetM, reason }: Entering): void {
    const inputs = this.inputs();
    if (!inputs) return;
    this.open.edits.edit('enter the depth offset', {
      type: 'enterDepthOffset',
      transducerId: this.chosen(),
      entered: {
        offsetM,
        ...(reason ? { reason } : {}),
        standardErrorM: answer.standardErrorM,
        at: new Date().toISOString(),
        fingerprint: depthOffsetFingerprint(inputs),
        inputs: JSON.parse(JSON.stringify(inputs)) as never,
      },
    });
  }
}
