import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatFigure, type WhichFrequencyAnswer, type WhichFrequencyQuestion } from '@grey-keel/core';
import type { Asked } from '../../../shared/drill/drill-row.ts';
import { FigurePipe } from '../../../shared/figure-pipe.ts';
import { SlideField } from '../../../shared/slide-field.ts';
import { openBoat } from '../../open-boat.ts';

const lowestHz = 30_000;
const octaves = 6;

/** The highest frequency that covers a range, asked on a slider over six octaves. */
@Component({
  selector: 'gk-which-frequency-view',
  imports: [FigurePipe, SlideField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="question">
      Choose the highest frequency whose side-scan image still covers
      {{ it().rangeM | figure: 'length' : units() : { decimals: 0 } }} in this water ({{
        it().temperatureC | figure: 'temperature' : units()
      }}, {{ it().salinityPpt | figure: 'salinity' : units() }}).
    </p>
    <div class="row slide">
      <gk-slide-field
        label="Frequency"
        fieldId="drill-frequency"
        [max]="1000"
        [value]="slid()"
        [words]="kHz()"
        [disabled]="asked().score() !== null"
        (moved)="slide($event)"
      />
      <output for="drill-frequency" class="mono large">{{ kHz() }}</output>
    </div>
  `,
  styles: `
    .question {
      font-size: 17px;
    }
    .slide {
      align-items: center;
      margin-bottom: 14px;
    }
    gk-slide-field {
      flex: 1;
    }
    .large {
      font-size: 22px;
      font-weight: 700;
      min-width: 9ch;
    }
  `,
})
export class WhichFrequencyView {
  readonly asked = input.required<Asked<WhichFrequencyQuestion, WhichFrequencyAnswer>>();
  protected readonly units = openBoat().units;
  protected readonly it = computed(() => this.asked().question);
  private readonly frequencyHz = computed(() => this.asked().answer().frequencyHz);
  protected readonly slid = computed(() => Math.round((1000 * Math.log2(this.frequencyHz() / lowestHz)) / octaves));
  protected readonly kHz = computed(() =>
    formatFigure({ value: this.frequencyHz(), quantity: 'frequency' }, this.units(), { decimals: 0 }),
  );

  protected slide(step: number): void {
    this.asked().answer.set({ frequencyHz: lowestHz * 2 ** ((octaves * step) / 1000) });
  }
}
