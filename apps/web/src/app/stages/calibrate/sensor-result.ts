import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import {
  calibrationOf,
  deviationCard,
  entryOf,
  heldValue,
  kindWords,
  type Measurement,
  moreFor,
  standingOf,
  toleranceOf,
} from '@grey-keel/core';
import { type CalibrationKind, enteredCalibrationSchema, type Figure } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe, SentencePipe } from '../../shared/figure-pipe.ts';
import { PressButton } from '../../shared/press-button.ts';
import { TextField } from '../../shared/text-field.ts';
import { openBoat } from '../open-boat.ts';
import { enteredBy } from './entered-by.ts';
import { procedureWords } from './procedure-words.ts';

/** What the readings of a sensor give: the figure to enter, what it changes, how sure it is, and the way to enter it. */
@Component({
  selector: 'gk-sensor-result',
  imports: [ComputedNumber, DatePipe, FigurePipe, PressButton, SentencePipe, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet result" aria-labelledby="result-title" id="result">
      <h2 id="result-title" class="faint">{{ curve() ? 'Deviation card' : 'Enter on the display' }}</h2>
      @if (known(); as it) {
        <p>
          <gk-number
            [of]="kindWords[kind()]"
            [value]="large().value"
            [quantity]="large().quantity"
            [decimals]="decimals()"
            [signed]="kind() !== 'speed' && !curve()"
            [large]="true"
            [steps]="it.working"
          />
          @if (it.half; as half) {
            <span class="mono faint">
              ±
              <gk-number
                [of]="'Half of the 95 % interval, ' + kindWords[kind()]"
                [value]="half.value"
                [quantity]="half.quantity"
                [decimals]="decimals()"
                [steps]="it.working"
              />
            </span>
          }
        </p>
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
        <p class="verdict {{ verdict().state }}">
          {{ verdict().words }} {{ tolerance().value | figure: tolerance().quantity : units() }} ({{ it.readings }}
          {{ word() }}{{ it.readings === 1 ? '' : 's' }}, 95 %).
        </p>
        @if (it.naive; as naive) {
          <p class="small faint">{{ naive | sentence: units() }}</p>
        }
        @if (it.apart.length) {
          <p class="small check">A {{ word() }} that stands apart is in it: leave it out, or know why not.</p>
        }
        @for (flag of it.flags; track flag) {
          <p class="small check">{{ flag }}</p>
        }
        <p class="caution" role="note">{{ words().caution }}</p>
        <gk-text-field
          label="Entered by"
          fieldId="entered-by"
          [value]="by()"
          [schema]="bySchema"
          (changed)="by.set($event)"
        />
        <button
          type="button"
          pButton
          id="enter-calibration"
          [disabled]="standing().state === 'fresh'"
          (click)="enter()"
        >
          {{
            standing().state === 'fresh'
              ? curve()
                ? 'Card made'
                : 'Entered'
              : curve()
                ? 'Put the card by the compass'
                : 'I have entered it on the display'
          }}
        </button>
      } @else {
        <p class="is-missing wanting">
          <span>{{ wanting() }}</span>
        </p>
        <p class="caution" role="note">{{ words().caution }}</p>
      }
      @if (settings().entered; as entered) {
        <p class="small" [class.is-stale]="standing().state === 'stale'">
          {{ held() }} {{ curve() ? 'made' : 'entered' }} {{ entered.at | date: 'yyyy-MM-dd HH:mm'
          }}{{ entered.by ? ' by ' + entered.by : '' }}.
          @if (standing().state === 'stale') {
            Out of date: {{ standing().changed.join(', ') || 'the calculation' }} changed since.
          }
        </p>
        @if (!curve()) {
          @if (entered.seenAgainAt) {
            <p class="small">
              Seen again after power off and on, {{ entered.seenAgainAt | date: 'yyyy-MM-dd HH:mm' }}.
            </p>
          } @else {
            <p class="small">Switch the display off and on, and look whether it is still there.</p>
            <button type="button" pButton severity="secondary" id="seen-again" (click)="seenAgain()">
              It is still there
            </button>
          }
        }
      }
    </section>
  `,
  styleUrl: './result.css',
  styles: `
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
  protected readonly kindWords = kindWords;
  protected readonly by = enteredBy();
  protected readonly bySchema = enteredCalibrationSchema.shape.by;
  protected readonly words = computed(() => procedureWords[this.kind()]);
  protected readonly word = computed(() => this.words().reading);
  protected readonly curve = computed(() => this.kind() === 'deviation');
  protected readonly settings = computed(() => calibrationOf(this.plan(), this.kind(), this.sensorId()));
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
  /** The figure to enter; of a curve its largest deviation. */
  protected readonly large = computed((): Figure => {
    const it = this.known();
    const enter = it?.enter[0];
    if (!it || !enter) return { value: 0, quantity: 'angle' };
    return this.curve() ? it.measured : enter;
  });
  protected readonly decimals = computed(() => (this.kind() === 'temperature' ? 2 : 1));
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
    if (!it?.half) return { state: 'bad', words: 'It says nothing about its own uncertainty yet. Your tolerance is' };
    const more = moreFor(this.plan(), this.kind(), this.sensorId(), it);
    if (it.half.value <= this.tolerance().value) return { state: 'good', words: 'Within your tolerance of' };
    return more === null
      ? { state: 'bad', words: 'More of the same will not do: something scatters. Your tolerance is' }
      : { state: 'bad', words: `Take about ${more} more to be within your tolerance of` };
  });
  protected readonly held = computed((): string => {
    const value = this.settings().entered?.values[0] ?? heldValue(this.plan(), this.kind(), this.sensorId()) ?? 0;
    return this.curve()
      ? 'Deviation card'
      : new FigurePipe().transform(value, this.large().quantity, this.units(), {
          signed: this.kind() !== 'speed',
          decimals: this.decimals(),
        });
  });

  protected enter(): void {
    const entered = entryOf(this.plan(), this.kind(), this.sensorId(), {
      at: new Date().toISOString(),
      by: this.by(),
    });
    if (!entered) return;
    this.open.edits.edit(`enter ${kindWords[this.kind()].toLowerCase()}`, {
      type: 'enterCalibration',
      of: this.kind(),
      sensorId: this.sensorId(),
      entered,
    });
  }

  protected seenAgain(): void {
    this.open.edits.edit('seen again after power off', {
      type: 'seeCalibrationAgain',
      of: this.kind(),
      sensorId: this.sensorId(),
      at: new Date().toISOString(),
    });
  }
}
