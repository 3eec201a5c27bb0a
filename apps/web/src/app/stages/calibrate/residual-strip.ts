import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatFigure, type UnitChoice } from '@grey-keel/core/units';
import type { Figure } from '@grey-keel/model';

export interface Residual {
  readonly place: number;
  readonly left: Figure;
  readonly apart: boolean;
}

const width = 300;
const height = 150;
const middle = 74;
const half = 54;
/** Beside it stand the figures, long ones in the sun's letters. */
const frameLeft = 84;

/** What each reading leaves over once the result is taken out, with the tolerance and how sure the result is. */
@Component({
  selector: 'gk-residual-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg viewBox="0 0 ${width} ${height}" role="img" [attr.aria-label]="it.words">
      @if (it.judged) {
        <rect
          x="${frameLeft}"
          width="${width - frameLeft}"
          [attr.y]="it.band.y"
          [attr.height]="it.band.height"
          class="tolerance"
        />
      }
      @if (it.sure; as sure) {
        <rect
          x="${frameLeft}"
          width="${width - frameLeft}"
          [attr.y]="sure.y"
          [attr.height]="sure.height"
          class="sure"
        />
      }
      <line x1="${frameLeft}" x2="${width}" y1="${middle}" y2="${middle}" class="axis" />
      <text x="${frameLeft - 6}" [attr.y]="it.band.y + 4" text-anchor="end" class="mono">{{ it.upper }}</text>
      <text x="${frameLeft - 6}" y="${middle + 4}" text-anchor="end" class="mono">0</text>
      <text x="${frameLeft - 6}" [attr.y]="it.band.y + it.band.height + 4" text-anchor="end" class="mono">
        {{ it.lower }}
      </text>
      @for (dot of it.dots; track $index) {
        @if (dot.apart) {
          <rect [attr.x]="dot.x - 5" [attr.y]="dot.y - 5" width="10" height="10" class="apart" />
        } @else {
          <circle [attr.cx]="dot.x" [attr.cy]="dot.y" r="5" class="dot" />
        }
        <text [attr.x]="dot.x" y="${height - 4}" text-anchor="middle" class="quiet">{{ dot.place }}</text>
      }
    </svg>
  `,
  styleUrl: '../../shared/drawing.css',
  styles: `
    .tolerance {
      fill: none;
      stroke: var(--check);
      stroke-dasharray: 4 4;
    }
    .sure {
      fill: var(--series-0);
      opacity: 0.16;
    }
    .dot {
      fill: var(--series-0);
    }
    .apart {
      fill: var(--check);
    }
  `,
})
export class ResidualStrip {
  readonly residuals = input.required<readonly Residual[]>();
  readonly tolerance = input.required<Figure>();
  readonly half = input.required<Figure | null>();
  readonly units = input.required<UnitChoice>();

  protected readonly drawing = computed(() => {
    const { value: tolerance, quantity } = this.tolerance();
    const residuals = this.residuals();
    const most = Math.max(tolerance * 1.15, ...residuals.map(({ left }) => Math.abs(left.value)));
    // A factor's readings leave speeds over, not shares: these are drawn against a speed of one metre a second.
    const same = residuals.every(({ left }) => left.quantity === quantity);
    const scale = half / (same ? most : Math.max(0.1, ...residuals.map(({ left }) => Math.abs(left.value))));
    const span = (value: number) => ({ y: middle - value * scale, height: 2 * value * scale });
    const edge = same ? tolerance : Math.max(0.1, ...residuals.map(({ left }) => Math.abs(left.value)));
    const edgeQuantity = same ? quantity : (residuals[0]?.left.quantity ?? quantity);
    const write = (value: number): string =>
      formatFigure({ value, quantity: edgeQuantity }, this.units(), { signed: true });
    const step = (width - frameLeft - 12) / Math.max(1, residuals.length);
    return {
      band: span(edge),
      /** Speeds that a factor leaves over are not held against a tolerance of shares. */
      judged: same,
      sure: same && this.half() ? span(Math.min(most, this.half()?.value ?? 0)) : null,
      upper: write(edge),
      lower: write(-edge),
      dots: residuals.map((one, i) => ({
        place: one.place,
        apart: one.apart,
        x: frameLeft + 4 + step * (i + 0.5),
        y: middle - one.left.value * scale,
      })),
      words: `Left over: ${residuals
        .map(
          ({ place, left, apart }) =>
            `reading ${place} ${formatFigure(left, this.units(), { signed: true })}${apart ? ', stands apart' : ''}`,
        )
        .join('; ')}`,
    };
  });
}
