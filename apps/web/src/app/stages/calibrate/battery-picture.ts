import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatFigure, type UnitChoice } from '@grey-keel/core/units';
import { scaleLinear } from 'd3-scale';

/** A voltage at a charge taken and a current. */
export interface PicturedVoltage {
  readonly place: number;
  readonly usedAh: number;
  readonly voltsV: number;
  readonly loaded: boolean;
}

const width = 440;
const height = 230;
const frame = { left: 54, right: 424, top: 14, bottom: 190 };

/** Voltage against the charge taken: the readings, and the pack's own curve at rest once it is known. */
@Component({
  selector: 'gk-battery-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg viewBox="0 0 ${width} ${height}" role="img" [attr.aria-label]="it.words">
      @for (tick of it.volts; track tick.words) {
        <line x1="${frame.left}" x2="${frame.right}" [attr.y1]="tick.y" [attr.y2]="tick.y" class="grid" />
        <text x="${frame.left - 6}" [attr.y]="tick.y + 4" text-anchor="end" class="mono">{{ tick.words }}</text>
      }
      @for (tick of it.charges; track tick.words) {
        <text [attr.x]="tick.x" y="${frame.bottom + 18}" text-anchor="middle" class="mono">{{ tick.words }}</text>
      }
      <text x="${frame.right}" y="${height - 4}" text-anchor="end" class="quiet">taken since full</text>
      @if (it.curve) {
        <path [attr.d]="it.curve" class="curve" />
      }
      @for (mark of it.marks; track mark.place) {
        <circle [attr.cx]="mark.x" [attr.cy]="mark.y" r="5" [class.loaded]="mark.loaded" class="mark" />
      }
      @if (it.marks.length === 0) {
        <text x="${width / 2}" y="100" text-anchor="middle" class="quiet">
          Readings are drawn here as they are taken.
        </text>
      } @else {
        <g transform="translate(${frame.left + 8} ${frame.bottom - 30})">
          <circle cx="4" cy="2" r="5" class="mark" />
          <text x="16" y="6">at rest</text>
          <circle cx="4" cy="18" r="5" class="mark loaded" />
          <text x="16" y="22">under load</text>
        </g>
      }
    </svg>
  `,
  styleUrls: ['../../shared/drawing.css', './procedure-picture.css'],
  styles: `
    .grid {
      stroke: var(--rule);
    }
    .curve {
      fill: none;
      stroke: var(--water);
      stroke-width: 2.5;
    }
    .mark {
      fill: var(--water);
    }
    .mark.loaded {
      fill: var(--sheet);
      stroke: var(--series-1);
      stroke-width: 2.5;
    }
  `,
})
export class BatteryPicture {
  readonly readings = input.required<readonly PicturedVoltage[]>();
  /** Voltage at rest by charge taken, ampere hours; null while the pack is not known. */
  readonly restV = input.required<((usedAh: number) => number) | null>();
  readonly holdsAh = input.required<number>();
  readonly units = input.required<UnitChoice>();

  protected readonly drawing = computed(() => {
    const readings = this.readings();
    const restV = this.restV();
    const mostAh = Math.max(this.holdsAh(), ...readings.map(({ usedAh }) => usedAh), 1);
    const ends = restV ? [restV(0), restV(0.95 * this.holdsAh())] : [];
    const volts = [...readings.map(({ voltsV }) => voltsV), ...ends];
    const x = scaleLinear([0, mostAh], [frame.left, frame.right]);
    const y = scaleLinear([Math.min(...volts, 11.5), Math.max(...volts, 12.8)], [frame.bottom, frame.top]).nice(4);
    const figure = (value: number, quantity: 'voltage' | 'charge', decimals: number): string =>
      formatFigure({ value, quantity }, this.units(), { decimals });
    return {
      marks: readings.map(({ place, usedAh, voltsV, loaded }) => ({ place, loaded, x: x(usedAh), y: y(voltsV) })),
      volts: y.ticks(4).map((value) => ({ y: y(value), words: figure(value, 'voltage', 1) })),
      charges: x.ticks(5).map((value) => ({ x: x(value), words: figure(value, 'charge', 0) })),
      curve: restV
        ? Array.from({ length: 40 }, (_, i) => (i / 39) * 0.97 * this.holdsAh())
            .map((usedAh, i) => `${i ? 'L' : 'M'}${x(usedAh).toFixed(1)} ${y(restV(usedAh)).toFixed(1)}`)
            .join(' ')
        : '',
      words: readings.length
        ? `Voltage by charge taken: ${readings.map(({ usedAh, voltsV }) => `${figure(voltsV, 'voltage', 2)} after ${figure(usedAh, 'charge', 0)}`).join(', ')}`
        : 'Readings are drawn here as they are taken.',
    };
  });
}
