import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  agroundInWords,
  agroundWith,
  cautions,
  changeOnEntering,
  depthAtSpeed,
  depthOffsetOf,
  type DepthOffsetResult,
  enteredResult,
  heldOffsetM,
  offsetKeyedIn,
  measuredOffset,
  offsetForDisplay,
  signInWords,
} from '@grey-keel/core';
import type { Edit } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe, SentencePipe } from '../../shared/figure-pipe.ts';
import { openBoat } from '../open-boat.ts';
import { type Entering, EnterOffset } from './enter-offset.ts';
import { EnteredBy } from '../entered-by.ts';
import type { ReadingRow } from './reading-rows.ts';
import { HeldLine } from './held-line.ts';

/** Below this a display's wrong sound speed is lost in its own steps. */
const noticeableError = 0.002;

/** What the readings give: the offset to enter, what it changes, whether it is sure enough, and the way to enter it. */
@Component({
  selector: 'gk-offset-result',
  imports: [ComputedNumber, DatePipe, EnterOffset, FigurePipe, HeldLine, SentencePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
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
        @if (running(); as words) {
          <p class="small">{{ words | sentence: units() }}</p>
        }
        @if (flaggedIn(); as words) {
          <p class="small check">{{ words }}</p>
        }
        @for (flag of it.flags; track flag) {
          <p class="small check">{{ flag }}</p>
        }
        <p class="caution" role="note">{{ caution }}</p>
        <gk-enter-offset
          [transducerId]="transducerId()"
          [answer]="it"
          [without]="without()"
          (entered)="enter($event)"
          (leaveOut)="leaveOut($event)"
        />
      } @else {
        <p class="is-missing wanting">
          <span>{{ wanting() }}</span>
        </p>
        <p class="caution" role="note">{{ caution }}</p>
      }
      @if (entered(); as entered) {
        <p class="small" [class.is-stale]="standing().state === 'stale'">
          {{ entered.values[0] | figure: 'length' : units() : { signed: true } }} entered
          {{ entered.at | date: 'yyyy-MM-dd HH:mm' }}{{ entered.by ? ' by ' + entered.by : ''
          }}{{ entered.reason ? ', because: ' + entered.reason : '' }}.
          @if (standing().state === 'stale') {
            Stale: {{ standing().changed.join(', ') || 'the calculation' }} changed since.
          }
        </p>
      }
      <gk-held-line of="depth" [sensorId]="transducerId()" />
    </section>
  `,
  styleUrl: './result.css',
})
export class OffsetResult {
  readonly transducerId = input.required<string>();
  readonly result = input.required<DepthOffsetResult | null>();
  readonly rows = input.required<readonly ReadingRow[]>();

  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  private readonly by = inject(EnteredBy).name;
  protected readonly units = this.open.units;
  protected readonly caution = cautions.grounding;
  protected readonly settings = computed(() => depthOffsetOf(this.plan(), this.transducerId()));
  protected readonly entered = computed(() => enteredResult(this.plan(), 'depth', this.transducerId()));
  protected readonly standing = computed(() => measuredOffset.standing(this.plan(), this.transducerId()));
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

  /** A reading that stands apart and is still in the mean: the figure above it must not be taken on trust. */
  protected readonly flaggedIn = computed(() => {
    const places = this.rows().filter(({ flagged }) => flagged);
    if (places.length === 0) return '';
    const named = places.map(({ place }) => place).join(' and ');
    return `Reading ${named} stands apart and is in this mean: leave it out, or know why not.`;
  });

  /** What it would be with the ones named left out; null where none is, or too few would be left. */
  protected readonly without = computed(() => {
    const inputs = measuredOffset.slice(this.plan(), this.transducerId());
    const flagged = this.answer()?.flagged ?? [];
    if (!inputs || flagged.length === 0) return null;
    const readingIds = flagged.flatMap((i) => inputs.readings[i]?.id ?? []);
    const result = measuredOffset.compute({
      ...inputs,
      readings: inputs.readings.filter(({ id }) => !readingIds.includes(id)),
    });
    const places = this.rows().filter(({ id }) => readingIds.includes(id));
    const words = `reading ${places.map(({ place }) => place).join(' and ')}`;
    return result.known ? { offsetM: result.answer.offsetM, readingIds, words } : null;
  });
  protected readonly running = computed(() => depthAtSpeed(this.plan(), this.transducerId()));

  /** The offset as the display takes it. */
  private readonly taken = computed(() =>
    offsetForDisplay(this.plan(), this.transducerId(), this.answer()?.offsetM ?? 0),
  );

  /** What it holds now: no longer what it held when the readings were taken, once something was entered. */
  private readonly heldM = computed(() => heldOffsetM(this.plan(), this.transducerId()));
  protected readonly sign = computed(() =>
    signInWords({ offsetM: this.taken(), offsetSetM: this.heldM(), reference: this.settings().reference }),
  );
  protected readonly change = computed(() => changeOnEntering({ offsetM: this.taken(), offsetSetM: this.heldM() }));
  protected readonly aground = computed(() =>
    agroundInWords(agroundWith(this.plan(), this.transducerId(), this.taken())),
  );
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

  protected leaveOut(readingIds: readonly string[]): void {
    this.open.edits.edit(
      'leave out a reading',
      ...readingIds.map((readingId): Edit => ({
        type: 'correctReading',
        transducerId: this.transducerId(),
        readingId,
        changes: { leftOut: true },
      })),
    );
  }

  protected enter({ offsetM, reason }: Entering): void {
    const entry = offsetKeyedIn(this.plan(), this.transducerId(), offsetM, {
      at: new Date().toISOString(),
      by: this.by() || null,
      reason,
    });
    if (entry) this.open.edits.edit('enter the depth offset', entry);
  }
}
