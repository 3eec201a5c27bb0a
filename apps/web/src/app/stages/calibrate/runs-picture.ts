import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { eastNorth, formatFigure, type UnitChoice } from '@grey-keel/core';

/** One run: over ground, and as the instruments have it through the water. */
export interface PicturedRun {
  readonly place: number;
  readonly sogMps: number;
  readonly cogDeg: number;
  /** True, as it was shown. */
  readonly headingDeg: number;
  /** As it was shown; null where the log is not looked at. */
  readonly logMps: number | null;
}

const width = 440;
const height = 330;
const centre = { x: 220, y: 166 };
const radius = 128;

/**
 * The runs in plan, north up: from the middle each goes over ground; from the tip of the current the boat went through the
 * water, and dashed it would have gone if the instruments were right. What lies between the two is what they are off by.
 */
@Component({
  selector: 'gk-runs-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg viewBox="0 0 ${width} ${height}" role="img" [attr.aria-label]="it.words">
      @if (it.runs.length === 0) {
        <text x="${centre.x}" y="${centre.y + 4}" text-anchor="middle" class="quiet">
          Runs are drawn here, north up, as they are taken.
        </text>
      }
      @for (ring of it.rings; track ring.words) {
        <circle cx="${centre.x}" cy="${centre.y}" [attr.r]="ring.r" class="ring" />
        <text [attr.x]="${centre.x} + 4" [attr.y]="${centre.y} + ring.r - 4" class="quiet mono">{{ ring.words }}</text>
      }
      <path d="M${centre.x} 8 l-6 14 l6 -4 l6 4 z" class="north" />
      <text x="${centre.x + 12}" y="20">north</text>
      @for (run of it.runs; track run.place) {
        <line x1="${centre.x}" y1="${centre.y}" [attr.x2]="run.tip.x" [attr.y2]="run.tip.y" class="ground" />
        <line
          [attr.x1]="it.current.x"
          [attr.y1]="it.current.y"
          [attr.x2]="run.tip.x"
          [attr.y2]="run.tip.y"
          class="water"
        />
        <line
          [attr.x1]="it.current.x"
          [attr.y1]="it.current.y"
          [attr.x2]="run.shown.x"
          [attr.y2]="run.shown.y"
          class="shown"
        />
        <circle [attr.cx]="run.tip.x" [attr.cy]="run.tip.y" r="5" class="tip" />
        <rect [attr.x]="run.shown.x - 4" [attr.y]="run.shown.y - 4" width="8" height="8" class="mark" />
        <text [attr.x]="run.label.x" [attr.y]="run.label.y" text-anchor="middle" class="strong">{{ run.place }}</text>
      }
      @if (it.flows) {
        <line x1="${centre.x}" y1="${centre.y}" [attr.x2]="it.current.x" [attr.y2]="it.current.y" class="current" />
        <circle [attr.cx]="it.current.x" [attr.cy]="it.current.y" r="4" class="flow" />
      }
      <g transform="translate(6 ${height - 46})">
        <line x1="0" x2="22" y1="6" y2="6" class="water" />
        <circle cx="22" cy="6" r="4" class="tip" />
        <text x="32" y="10">as the boat went</text>
        <line x1="0" x2="22" y1="22" y2="22" class="shown" />
        <rect x="18" y="18" width="8" height="8" class="mark" />
        <text x="32" y="26">as it was shown</text>
        @if (it.flows) {
          <line x1="0" x2="22" y1="38" y2="38" class="current" />
          <text x="32" y="42">
            current
            <tspan class="mono">{{ it.flows }}</tspan>
          </text>
        }
      </g>
    </svg>
  `,
  styleUrls: ['../../shared/drawing.css', './procedure-picture.css'],
  styles: `
    .ring {
      fill: none;
      stroke: var(--rule);
    }
    .north {
      fill: var(--ink);
    }
    .ground {
      stroke: var(--hull-light);
      stroke-width: 1;
    }
    line.water {
      stroke: var(--water);
      stroke-width: 2.5;
      opacity: 1;
    }
    .shown {
      stroke: var(--series-1);
      stroke-width: 2;
      stroke-dasharray: 5 4;
    }
    .tip {
      fill: var(--water);
    }
    .mark {
      fill: var(--series-1);
    }
    .current {
      stroke: var(--ink);
      stroke-width: 3;
    }
    .flow {
      fill: var(--ink);
    }
  `,
})
export class RunsPicture {
  readonly runs = input.required<readonly PicturedRun[]>();
  readonly current = input.required<{ readonly eastMps: number; readonly northMps: number } | null>();
  readonly units = input.required<UnitChoice>();

  protected readonly drawing = computed(() => {
    const runs = this.runs();
    const current = this.current();
    const flow = { east: current?.eastMps ?? 0, north: current?.northMps ?? 0 };
    const most = Math.max(
      0.5,
      ...runs.map(({ sogMps, logMps }) => Math.max(sogMps, (logMps ?? 0) + Math.hypot(flow.east, flow.north))),
    );
    const scale = radius / most;
    const at = ({ east, north }: { east: number; north: number }) => ({
      x: centre.x + east * scale,
      y: centre.y - north * scale,
    });
    const speed = (value: number): string => formatFigure({ value, quantity: 'speed' }, this.units());
    const drawn = runs.map((run) => {
      const ground = eastNorth(run.cogDeg, run.sogMps);
      const through = Math.hypot(ground.east - flow.east, ground.north - flow.north);
      const way = eastNorth(run.headingDeg, run.logMps ?? through);
      const out = eastNorth(run.cogDeg, run.sogMps + 14 / scale);
      return {
        place: run.place,
        tip: at(ground),
        shown: at({ east: flow.east + way.east, north: flow.north + way.north }),
        label: { x: at(out).x, y: at(out).y + 5 },
      };
    });
    const drift = Math.hypot(flow.east, flow.north);
    return {
      runs: drawn,
      current: at(flow),
      flows: current && drift > 0.02 ? speed(drift) : '',
      rings: (runs.length ? [0.5, 1] : []).map((share) => ({ r: radius * share, words: speed(most * share) })),
      words: runs.length
        ? `Runs in plan, north up: ${runs
            .map(
              ({ place, cogDeg, sogMps, headingDeg }) =>
                `run ${place} went ${cogDeg.toFixed(0)}° at ${speed(sogMps)}, heading shown ${headingDeg.toFixed(0)}°`,
            )
            .join('; ')}${current ? `; current ${speed(drift)}` : ''}`
        : 'Runs are drawn here, north up, as they are taken.',
    };
  });
}
