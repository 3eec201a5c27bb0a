import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { HiddenErrorAnswer, HiddenErrorQuestion } from '@grey-keel/core';
import * as z from 'zod';
import type { Asked } from '../../../shared/drill/drill-row.ts';
import { FigurePipe } from '../../../shared/figure-pipe.ts';
import { PressButton } from '../../../shared/press-button.ts';
import { QuantityField } from '../../../shared/quantity-field.ts';
import { openBoat } from '../../open-boat.ts';
import { type PicturedRun, RunsPicture } from '../runs-picture.ts';

const schemas = { heading: z.number().min(-180).max(180), speed: z.number().min(0.3).max(3) };

/** What an instrument is off by, asked over its runs: more of them can be taken, and the figure is entered with its sign. */
@Component({
  selector: 'gk-hidden-error-view',
  imports: [FigurePipe, PressButton, QuantityField, RunsPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="question">
      @if (it().of === 'heading') {
        The heading sensor is off. Take as few pairs of runs as it takes, and enter the offset: what is added to what it
        shows.
      } @else {
        The log is off, and a current runs. Take as few runs as it takes, and enter the factor: true speed for one
        shown.
      }
    </p>
    <div class="both">
      <gk-runs-picture [runs]="runs()" [current]="null" [units]="units()" />
      <div>
        <table class="figures">
          <thead>
            <tr>
              <th scope="col">run</th>
              <th scope="col">heading shown</th>
              @if (it().of === 'speed') {
                <th scope="col">log</th>
              }
              <th scope="col">over ground</th>
              <th scope="col">course</th>
            </tr>
          </thead>
          <tbody>
            @for (run of seen(); track $index) {
              <tr class="mono">
                <td>{{ $index + 1 }}</td>
                <td>{{ run.headingDeg | figure: 'angle' : units() : { decimals: 0 } }}</td>
                @if (it().of === 'speed') {
                  <td>{{ run.logMps | figure: 'speed' : units() : { decimals: 2 } }}</td>
                }
                <td>{{ run.sogMps | figure: 'speed' : units() : { decimals: 2 } }}</td>
                <td>{{ run.cogDeg | figure: 'angle' : units() : { decimals: 0 } }}</td>
              </tr>
            }
          </tbody>
        </table>
        <div class="row">
          <button
            type="button"
            pButton
            severity="secondary"
            id="drill-more"
            [disabled]="over() || seen().length >= it().runs.length"
            (click)="more()"
          >
            Run {{ it().of === 'heading' ? 'another pair' : 'another heading' }}
          </button>
          <gk-quantity-field
            fieldId="drill-entered"
            [label]="it().of === 'heading' ? 'Offset to enter' : 'Factor to enter'"
            [quantity]="it().of === 'heading' ? 'angle' : 'fraction'"
            [decimals]="1"
            [schema]="schema()"
            [value]="asked().answer().entered"
            (changed)="enter($event)"
          />
        </div>
      </div>
    </div>
  `,
  styles: `
    .question {
      font-size: 17px;
    }
    .both {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      gap: 14px;
    }
    .row {
      margin-top: 10px;
    }
    @media (max-width: 760px) {
      .both {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class HiddenErrorView {
  readonly asked = input.required<Asked<HiddenErrorQuestion, HiddenErrorAnswer>>();
  protected readonly units = openBoat().units;
  protected readonly it = computed(() => this.asked().question);
  protected readonly over = computed(() => this.asked().score() !== null);
  protected readonly schema = computed(() => schemas[this.it().of]);
  protected readonly seen = computed(() => this.it().runs.slice(0, this.asked().answer().taken));
  protected readonly runs = computed<PicturedRun[]>(() =>
    this.seen().map(({ headingDeg, sogMps, cogDeg, logMps }, i) => ({
      place: i + 1,
      headingDeg,
      sogMps,
      cogDeg,
      logMps: this.it().of === 'speed' ? logMps : null,
    })),
  );

  protected more(): void {
    const step = this.it().of === 'heading' ? 2 : 1;
    this.asked().answer.update((answer) => ({
      ...answer,
      taken: Math.min(this.it().runs.length, answer.taken + step),
    }));
  }

  protected enter(entered: number | null): void {
    if (!this.over()) this.asked().answer.update((answer) => ({ ...answer, entered: entered ?? answer.entered }));
  }
}
