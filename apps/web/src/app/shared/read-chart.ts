import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import type { Quantity } from '@grey-keel/model';
import { formatFigure } from '@grey-keel/core/units';
import { Store } from '@ngrx/store';
import { selectUnitChoice } from '../state/view.ts';
import { Chart, type Colour } from './chart.ts';
import { SlideField } from './slide-field.ts';

/** What one line of a chart says at a place along its axis. */
export interface ChartReading {
  readonly name: string;
  /** The variable of its colour; none where it has no line of its own. */
  readonly colour: string;
  readonly text: string;
}

const steps = 200;

/**
 * A chart that is read along one axis: a line follows the pointer, a slider does the same for the keys and the thumb, and
 * what every curve says there stands under it.
 */
@Component({
  selector: 'gk-read-chart',
  imports: [Chart, SlideField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="plot" (pointermove)="follow($event)" (pointerleave)="line.set(null)">
      <gk-chart [label]="label()" [height]="height()" [options]="options()" />
      @if (line(); as at) {
        <div
          class="line"
          [class.down]="along() === 'down'"
          [style.left.px]="at.left"
          [style.top.px]="at.top"
          [style.width.px]="at.width"
          [style.height.px]="at.height"
        ></div>
      }
    </div>
    <div class="read">
      <gk-slide-field
        [fieldId]="sliderId()"
        [label]="'Read at ' + where()"
        [max]="steps"
        [value]="slid()"
        [words]="where()"
        (moved)="slide($event)"
      />
      <output [attr.for]="sliderId()">
        @for (one of readings(); track one.name) {
          <span class="one"
            ><span class="swatch" [style.background]="one.colour" aria-hidden="true"></span>{{ one.name }}
            <strong class="mono">{{ one.text }}</strong></span
          >
        }
      </output>
    </div>
  `,
  styles: `
    .plot {
      position: relative;
    }
    .line {
      position: absolute;
      pointer-events: none;
      border-left: 1.5px solid var(--ink);
    }
    .line.down {
      border-left: 0;
      border-top: 1.5px solid var(--ink);
    }
    .read {
      display: grid;
    }
    output {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 18px;
      min-height: 24px;
    }
    .swatch {
      display: inline-block;
      width: 11px;
      height: 11px;
      margin-right: 6px;
    }
  `,
})
export class ReadChart {
  readonly label = input.required<string>();
  readonly height = input.required<number>();
  readonly options = input.required<(colour: Colour) => ApexCharts.ApexOptions>();
  /** Which way the axis that is read runs: `down` for depth, `across` for a range. */
  readonly along = input.required<'down' | 'across'>();
  readonly from = input.required<number>();
  readonly to = input.required<number>();
  readonly quantity = input.required<Quantity>();
  readonly sliderId = input.required<string>();
  readonly read = input.required<(at: number) => readonly ChartReading[]>();

  protected readonly steps = steps;
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly units = inject(Store).selectSignal(selectUnitChoice);
  protected readonly line = signal<Readonly<Record<'left' | 'top' | 'width' | 'height', number>> | null>(null);
  private readonly at = linkedSignal(() => (this.from() + this.to()) / 2);
  protected readonly slid = computed(() => Math.round((steps * (this.at() - this.from())) / (this.to() - this.from())));
  protected readonly where = computed(() =>
    formatFigure({ value: this.at(), quantity: this.quantity() }, this.units(), { decimals: 1 }),
  );
  protected readonly readings = computed(() => this.read()(this.at()));

  protected slide(step: number): void {
    this.at.set(this.from() + ((this.to() - this.from()) * step) / steps);
    this.draw(step / steps);
  }

  protected follow({ clientX, clientY }: PointerEvent): void {
    const grid = this.grid();
    if (!grid) return;
    const share = this.along() === 'down' ? (clientY - grid.top) / grid.height : (clientX - grid.left) / grid.width;
    if (share < 0 || share > 1) return this.line.set(null);
    this.at.set(this.from() + (this.to() - this.from()) * share);
    this.draw(share);
  }

  /** Where the curves are drawn, on the screen. */
  private grid(): DOMRect | null {
    const box = this.host.nativeElement.querySelector('.apexcharts-grid')?.getBoundingClientRect();
    return box && box.width > 0 && box.height > 0 ? box : null;
  }

  private draw(share: number): void {
    const grid = this.grid();
    const plot = this.host.nativeElement.querySelector('.plot')?.getBoundingClientRect();
    if (!grid || !plot) return;
    const [left, top] = [grid.left - plot.left, grid.top - plot.top];
    this.line.set(
      this.along() === 'down'
        ? { left, top: top + share * grid.height, width: grid.width, height: 0 }
        : { left: left + share * grid.width, top, width: 0, height: grid.height },
    );
  }
}
