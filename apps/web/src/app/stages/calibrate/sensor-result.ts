import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  deviationCard,
  enteredResult,
  enteredInWords,
  alsoEntered,
  entryOf,
  followsFrom,
  kindWord,
  lineOfProcedure,
  type Measurement,
  moreFor,
  standingOf,
  toleranceOf,
  withoutApart,
} from '@grey-keel/core';
import { type CalibrationKind, type Edit, type Figure } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe, SentencePipe } from '../../shared/figure-pipe.ts';
import { PressButton } from '../../shared/press-button.ts';
import { openBoat } from '../open-boat.ts';
import { EnteredBy } from '../entered-by.ts';
import { EnteredByField } from '../entered-by-field.ts';
import { severalOf } from './procedures/procedure.ts';
import { procedures } from './procedures/procedures.ts';
import { HeldLine } from './held-line.ts';

/** What the readings of a sensor give: the figure to enter, what it changes, how sure it is, and the way to enter it. */
@Component({
  selector: 'gk-sensor-result',
  imports: [ComputedNumber, DatePipe, EnteredByField, FigurePipe, PressButton, HeldLine, SentencePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet result" aria-labelledby="result-title" id="result">
      <h2 id="result-title" class="faint">{{ words().result }}</h2>
      @if (known(); as it) {
        @if (it.says; as says) {
          <p class="word">{{ says.words }}</p>
        } @else {
          <p>
            @for (one of shown(); track $index) {
              @if (one.word) {
                <span class="small faint each">{{ one.word }}</span>
              }
              <gk-number
                [of]="one.word || kindWord()"
                [value]="one.figure.value"
                [quantity]="one.figure.quantity"
                [decimals]="decimals()"
                [signed]="signed()"
                [large]="true"
                [steps]="it.working"
              />
            }
            @if (it.half; as half) {
              <span class="mono faint">
                ±
                <gk-number
                  [of]="'Half of the 95 % interval, ' + kindWord()"
                  [value]="half.value"
                  [quantity]="half.quantity"
                  [decimals]="decimals()"
                  [steps]="it.working"
                />
              </span>
            }
          </p>
        }
        <p>{{ it.sign | sentence: units() }}</p>
        @if (curve()) {
          <table class="figures card">
            <caption class="small faint">
              Compass and deviation, east positive
            </caption>
            <tbody>
              @for (row of card(); track row[0]?.compassDeg) {
                <tr>
                  @for (cell of row; track cell.compassDeg) {
                    <th scope="row" class="mono">{{ cell.compassDeg }}°</th>
                    <td class="mono">{{ cell.deviationDeg | figure: 'angle' : units() : { signed: true } }}</td>
                  }
                </tr>
              }
            </tbody>
          </table>
        }
        @for (line of follows(); track $index) {
          <p>{{ line | sentence: units() }}</p>
        }
        @if (tolerance(); as wanted) {
          <p class="verdict {{ verdict().state }}">
            {{ verdict().words }} {{ wanted.value | figure: wanted.quantity : units() }} ({{ it.readings }}
            {{ it.readings === 1 ? word() : several() }}, 95 %).
          </p>
        }
        @if (it.naive; as naive) {
          <p class="small faint">{{ naive | sentence: units() }}</p>
        }
        @if (it.apart.length) {
          <p class="small check">
            A {{ word() }} that stands apart is in it: leave it out, or know why not. The program never does it by
            itself.
          </p>
        }
        @for (flag of it.flags; track flag) {
          <p class="small check">{{ flag }}</p>
        }
        <p class="caution" role="note">{{ words().caution }}</p>
        <gk-entered-by-field />
        @if (without(); as other) {
          <button
            type="button"
            pButton
            severity="secondary"
            id="enter-without"
            [disabled]="standing().state === 'fresh'"
            (click)="leaveOut(other.readingIds)"
          >
            Leave {{ other.readingIds.length === 1 ? 'it' : 'them' }} out: {{ other.says | sentence: units() }}
          </button>
        }
        <button type="button" pButton id="enter-calibration" [disabled]="isDone()" (click)="enter()">
          {{ isDone() ? words().done : words().enter }}
        </button>
      } @else {
        <p class="is-missing wanting">
          <span>{{ wanting() }}</span>
        </p>
        <p class="caution" role="note">{{ words().caution }}</p>
      }
      @if (entered(); as entered) {
        <p class="small" [class.is-stale]="standing().state === 'stale'">
          {{ held() | sentence: units() }} {{ words().done.toLowerCase() }} {{ entered.at | date: 'yyyy-MM-dd HH:mm'
          }}{{ entered.by ? ' by ' + entered.by : '' }}.
          @if (standing().state === 'stale') {
            Out of date: {{ standing().changed.join(', ') || 'the calculation' }} changed since.
          }
        </p>
      }
      <gk-held-line [of]="kind()" [sensorId]="sensorId()" />
    </section>
  `,
  styleUrl: './result.css',
  styles: `
    .word {
      font-size: var(--large, 22px);
      font-weight: 700;
    }
    .each {
      display: block;
    }
    .card caption {
      text-align: left;
    }
    .card td,
    .card th {
      padding: 1px 4px;
      text-align: right;
    }
  `,
})
export class SensorResult {
  readonly kind = input.required<CalibrationKind>();
  readonly sensorId = input.required<string>();
  readonly measurement = input.required<Measurement | null>();

  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly kindWord = computed(() => kindWord(this.kind()));
  private readonly by = inject(EnteredBy).name;
  protected readonly words = computed(() => procedures[this.kind()]);
  protected readonly word = computed(() => this.words().reading);
  protected readonly follows = computed(() => {
    const it = this.known();
    return it ? followsFrom(this.plan(), this.kind(), this.sensorId(), it) : [];
  });
  protected readonly several = computed(() => severalOf(this.word()));
  protected readonly curve = computed(() => this.words().picture === 'deviation');
  protected readonly entered = computed(() => enteredResult(this.plan(), this.kind(), this.sensorId()));
  protected readonly standing = computed(() => standingOf(this.plan(), this.kind(), this.sensorId()));
  protected readonly tolerance = computed(() => toleranceOf(this.plan(), this.kind(), this.sensorId()));
  protected readonly known = computed(() => {
    const it = this.measurement();
    return it?.known ? it : null;
  });
  protected readonly wanting = computed(() => {
    const it = this.measurement();
    return it && !it.known ? it.wanting : '';
  });
  /** Nothing is to be done: it is entered as it is now, and the device was not reset since. */
  protected readonly isDone = computed(
    () =>
      this.standing().state === 'fresh' &&
      lineOfProcedure(this.plan(), this.kind(), this.sensorId())?.standing !== 'look again',
  );
  /** The figures to enter, with what each is called where there are several; of a curve its largest deviation. */
  protected readonly shown = computed((): { readonly word: string; readonly figure: Figure }[] => {
    const it = this.known();
    if (!it) return [];
    if (this.curve()) return [{ word: '', figure: it.measured }];
    return it.enter.map((one, i) => ({ word: it.enterWords?.[i] ?? '', figure: one }));
  });
  protected readonly signed = computed(
    () =>
      !this.curve() && ['angle', 'length', 'temperatureDifference'].includes(this.shown()[0]?.figure.quantity ?? ''),
  );
  protected readonly decimals = computed(
    () => this.words().decimals ?? (this.shown()[0]?.figure.quantity === 'length' ? 2 : 1),
  );
  /** Of a curve, by rows of four headings. */
  protected readonly card = computed(() => {
    const cells = deviationCard(
      (this.known()?.enter ?? []).map(({ value }) => value),
      30,
    );
    return [0, 4, 8].map((from) => cells.slice(from, from + 4));
  });
  protected readonly verdict = computed(() => {
    const it = this.known();
    const tolerance = this.tolerance();
    if (!it?.half || !tolerance)
      return { state: 'bad', words: 'It says nothing about its own uncertainty yet. Your tolerance is' };
    const more = moreFor(this.plan(), this.kind(), this.sensorId(), it);
    if (it.half.value <= tolerance.value) return { state: 'good', words: 'Within your tolerance of' };
    return more === null
      ? { state: 'bad', words: 'More of the same will not do: something scatters. Your tolerance is' }
      : { state: 'bad', words: `Take about ${more} more to be within your tolerance of` };
  });
  protected readonly held = computed(() => enteredInWords(this.plan(), this.kind(), this.sensorId()) ?? []);

  /** What it would be with the ones named left out; null where none is, or too few would be left. */
  protected readonly without = computed(() => {
    const other = withoutApart(this.plan(), this.kind(), this.sensorId());
    const figure = this.curve() ? other?.it.measured : other?.it.enter[0];
    return other && figure ? { readingIds: other.readingIds, says: ['', figure] } : null;
  });

  protected leaveOut(readingIds: readonly string[]): void {
    this.open.edits.edit(
      `leave out a ${this.word()}`,
      ...readingIds.map((readingId): Edit => ({
        type: 'correctCalibration',
        of: this.kind(),
        sensorId: this.sensorId(),
        readingId,
        changes: { leftOut: true },
      })),
    );
  }

  protected enter(): void {
    const entry = entryOf(this.plan(), this.kind(), this.sensorId(), {
      at: new Date().toISOString(),
      by: this.by(),
    });
    const it = this.known();
    if (!entry || !it) return;
    this.open.edits.edit(
      `enter ${this.kindWord().toLowerCase()}`,
      entry,
      ...alsoEntered(this.plan(), this.sensorId(), it),
    );
  }
}
