import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { deviationCard, wrapped } from '@grey-keel/core';
import { formatNumber } from '@grey-keel/core/units';

const width = 440;
const height = 250;
const left = 44;
const top = 16;
const bottom = 214;

/** The deviation curve over the headings by compass, with what was read. */
@Component({
  selector: 'gk-deviation-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg viewBox="0 0 ${width} ${height}" role="img" [attr.aria-label]="it.words">
      @for (line of it.lines; track line.deg) {
        <line
          x1="${left}"
          x2="${width - 22}"
          [attr.y1]="line.y"
          [attr.y2]="line.y"
          [class.axis]="line.deg === 0"
          class="rule"
        />
        <text x="${left - 6}" [attr.y]="line.y + 4" text-anchor="end" class="mono">{{ line.words }}</text>
      }
      @for (tick of it.ticks; track tick.deg) {
        <line [attr.x1]="tick.x" [attr.x2]="tick.x" y1="${bottom}" y2="${bottom + 5}" class="axis" />
        <text [attr.x]="tick.x" y="${bottom + 19}" text-anchor="middle" class="mono">{{ tick.words }}</text>
      }
      <text x="${width - 8}" y="${height - 2}" text-anchor="end" class="quiet">heading by compass</text>
      <text x="${left + 4}" y="${top + 10}" class="quiet">deviation, east positive</text>
      @if (it.curve) {
        <path [attr.d]="it.curve" class="curve" />
      }
      @for (dot of it.dots; track $index) {
        <circle [attr.cx]="dot.x" [attr.cy]="dot.y" r="5" class="dot" [class.apart]="dot.apart" />
      }
    </svg>
  `,
  styleUrl: '../../shared/drawing.css',
  styles: `
    .rule {
      stroke: var(--rule);
    }
    .rule.axis {
      stroke: var(--ink);
    }
    .curve {
      fill: none;
      stroke: var(--series-0);
      stroke-width: 2;
    }
    .dot {
      fill: var(--series-1);
    }
    .dot.apart {
      fill: var(--check);
    }
  `,
})
export class DeviationPicture {
  /** A to E; null while no curve is fitted. */
  readonly coefficients = input.required<readonly number[] | null>();
  readonly readings =
    input.required<readonly { readonly compassDeg: number; readonly magneticDeg: number; readonly apart: boolean }[]>();

  protected readonly drawing = computed(() => {
    const coefficients = this.coefficients();
    const curve = coefficients ? deviationCard(coefficients, 5) : [];
    const dots = this.readings().map(({ compassDeg, magneticDeg, apart }) => ({
      compassDeg,
      deviationDeg: wrapped(magneticDeg - compassDeg),
      apart,
    }));
    const most = Math.max(2, ...[...curve, ...dots].map(({ deviationDeg }) => Math.abs(deviationDeg)));
    const step = [1, 2, 5, 10, 20, 45, 90].find((size) => most / size <= 3) ?? 90;
    const edge = step * Math.ceil(most / step);
    const x = (deg: number): number => left + ((width - 22 - left) * deg) / 360;
    const y = (deg: number): number => (top + bottom) / 2 - (deg * (bottom - top)) / 2 / edge;
    return {
      lines: Array.from({ length: (2 * edge) / step + 1 }, (_, i) => i * step - edge).map((deg) => ({
        deg,
        y: y(deg),
        words: `${formatNumber(deg, 0, true)}°`,
      })),
      ticks: [0, 90, 180, 270, 360].map((deg) => ({ deg, x: x(deg), words: `${deg}°` })),
      curve: curve.length
        ? [...curve, { ...curve[0], compassDeg: 360 }]
            .map(
              ({ compassDeg, deviationDeg }, i) =>
                `${i ? 'L' : 'M'}${x(compassDeg).toFixed(1)} ${y(deviationDeg ?? 0).toFixed(1)}`,
            )
            .join(' ')
        : '',
      dots: dots.map(({ compassDeg, deviationDeg, apart }) => ({ x: x(compassDeg), y: y(deviationDeg), apart })),
      words: `Deviation by compass heading: ${dots
        .map(({ compassDeg, deviationDeg }) => `${formatNumber(deviationDeg, 1, true)}° at ${compassDeg.toFixed(0)}°`)
        .join('; ')}`,
    };
  });
}
