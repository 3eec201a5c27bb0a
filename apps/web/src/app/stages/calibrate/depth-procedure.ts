import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { depthOffsetOf, foundSet, isLetDown, measuredOffset } from '@grey-keel/core';
import type { DepthOffset } from '@grey-keel/model';
import { ChoiceButtons } from '../../shared/choice-buttons.ts';
import { choicesOf } from '../../shared/choice-field.ts';
import { type Difference, DifferencesChart } from '../../shared/differences-chart.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { openBoat } from '../open-boat.ts';
import { LeadLinePicture, type PicturedReading } from './lead-line-picture.ts';
import { OffsetReadings } from './offset-readings.ts';
import { OffsetResult } from './offset-result.ts';
import { readingRows } from './reading-rows.ts';

/** Depth of one transducer against a lead line: the picture, the readings and what they give. */
@Component({
  selector: 'gk-depth-procedure',
  imports: [ChoiceButtons, DifferencesChart, LeadLinePicture, OffsetReadings, OffsetResult, PlanPlace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section
      class="sheet top"
      [attr.aria-label]="'Depth offset, ' + name()"
      [id]="'offset-' + transducerId()"
      [gkPlace]="['depthOffsets', transducerId()]"
      tabindex="-1"
    >
      <div>
        <h2>Depth offset, {{ name() }}</h2>
        <gk-lead-line-picture [boat]="plan().boat" [reading]="pictured()" [units]="units()" />
      </div>
      <div>
        <gk-choice-buttons
          label="Depth is counted from the"
          fieldId="offset-reference"
          [value]="settings().reference"
          [choices]="references"
          (changed)="set({ reference: $event })"
        />
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
      <gk-offset-readings [transducerId]="transducerId()" [rows]="rows()" [letDown]="letDown()" />
      <gk-offset-result [transducerId]="transducerId()" [result]="result()" [rows]="rows()" />
    </div>
  `,
  styleUrl: './procedure.css',
  styles: `
    @media (min-width: 761px) {
      .two {
        grid-template-columns: minmax(0, 9fr) minmax(0, 5fr);
      }
    }
    .empty {
      min-height: 200px;
      display: grid;
      place-items: center;
    }
    .empty span {
      background: var(--sheet);
      padding: 4px 8px;
    }
  `,
})
export class DepthProcedure {
  readonly transducerId = input.required<string>();

  protected readonly references = choicesOf(['waterline', 'keel'] as const);
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly name = computed(() => this.plan().transducers[this.transducerId()]?.name ?? '');
  protected readonly letDown = computed(() => {
    const transducer = this.plan().transducers[this.transducerId()];
    return transducer !== undefined && isLetDown(transducer);
  });
  protected readonly settings = computed(() => depthOffsetOf(this.plan(), this.transducerId()));
  private readonly inputs = computed(() => measuredOffset.slice(this.plan(), this.transducerId()));
  protected readonly result = computed(() => measuredOffset.of(this.plan(), this.transducerId()));
  protected readonly answer = computed(() => {
    const result = this.result();
    return result?.known ? result.answer : null;
  });

  protected readonly rows = computed(() =>
    readingRows(this.settings().readings, this.inputs()?.readings.map(({ id }) => id) ?? [], this.answer()),
  );

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

  protected set(changes: Partial<Omit<DepthOffset, 'readings'>>): void {
    this.open.edits.edit(
      'how depth is calibrated',
      { type: 'describeDepthOffset', transducerId: this.transducerId(), changes },
      ...foundSet(this.plan(), 'depth', this.transducerId(), changes, new Date().toISOString()),
    );
  }
}
