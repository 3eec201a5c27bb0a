import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatFigure, inOrder, silhouetteOf, workingWater, type Point, type UnitChoice } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import { scaleLinear } from 'd3-scale';
import { roundTicks } from '../../shared/round-ticks.ts';
import { Wide } from '../../shared/wide.ts';

const width = 900;
const height = 250;
const top = 46;
const bottom = 226;
const left = 70;

/** The boat on its water: its depths and temperatures, and where the target species stand. Depth to scale. */
@Component({
  selector: 'gk-water-column',
  hostDirectives: [Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg
      style="--drawn: ${width}px"
      [attr.viewBox]="'0 0 ${width} ${height}'"
      role="img"
      aria-labelledby="water-column-title"
    >
      <title id="water-column-title">{{ it.title }}</title>
      <rect
        [attr.x]="${left}"
        y="${top}"
        width="${width - left}"
        [attr.height]="it.y(it.deepest) - ${top}"
        class="water"
      />
      @if (it.usual; as band) {
        <rect
          x="${left}"
          [attr.y]="band.from"
          width="${width - left}"
          [attr.height]="band.to - band.from"
          class="usual"
        />
      }
      <line x1="${left}" x2="${width}" y1="${top}" y2="${top}" class="surface" />
      <g [attr.transform]="'translate(110 ${top}) scale(' + it.boatScale + ')'">
        @for (points of it.boat; track $index) {
          <polygon [attr.points]="points" class="boat" />
        }
      </g>
      @for (tick of it.ticks; track tick.label) {
        <line x1="${left - 6}" x2="${left}" [attr.y1]="tick.y" [attr.y2]="tick.y" class="rule" />
        <text x="${left - 10}" [attr.y]="tick.y + 4" text-anchor="end" class="mono">{{ tick.label }}</text>
      }
      @for (line of it.lines; track line.label) {
        <line x1="${left}" x2="${width}" [attr.y1]="line.y" [attr.y2]="line.y" class="depth" />
        <text x="${width - 6}" [attr.y]="line.y - 4" text-anchor="end">{{ line.label }}</text>
      }
      @for (thing of it.sought; track thing.id) {
        <rect
          [attr.x]="thing.x"
          [attr.y]="thing.from"
          width="12"
          [attr.height]="thing.to - thing.from"
          class="sought"
        />
        <text [attr.x]="thing.x + 18" [attr.y]="(thing.from + thing.to) / 2 + 4">{{ thing.label }}</text>
      }
      <rect x="${left}" [attr.y]="it.y(it.deepest)" width="${width - left}" height="10" class="bottom" />
      <text x="${width - 6}" y="16" text-anchor="end">{{ it.temperatures }}</text>
      <text x="190" y="${top - 8}">{{ it.boatWords }}</text>
    </svg>
  `,
  styleUrl: '../../shared/drawing.css',
  styles: `
    svg {
      display: block;
      width: 100%;
      max-height: 250px;
    }
    .usual {
      fill: var(--water-wash);
    }
    .boat {
      fill: var(--boat);
      stroke: var(--ink);
      vector-effect: non-scaling-stroke;
    }
    .depth {
      stroke: var(--water);
      stroke-dasharray: 4 3;
    }
    .rule {
      stroke: var(--ink);
    }
    .sought {
      fill: var(--series-1);
    }
    .bottom {
      fill: var(--hull-light);
    }
  `,
})
export class WaterColumn {
  readonly plan = input.required<Plan>();
  readonly units = input.required<UnitChoice>();

  protected readonly drawing = computed(() => {
    const plan = this.plan();
    const units = this.units();
    const water = workingWater(plan);
    const depths = [
      water?.greatestM,
      water?.usualDeepestM,
      ...Object.values(plan.sought).map(({ deepestM }) => deepestM),
    ];
    const deepest = Math.max(5, ...depths.map((depth) => depth ?? 0));
    const y = scaleLinear([0, deepest], [top, bottom]);
    const write = (value: number, quantity: 'depth' | 'temperature' | 'length', decimals = 1): string =>
      formatFigure({ value, quantity }, units, { decimals });
    const outline = silhouetteOf(plan.boat);
    const points = (list: readonly Point[]): string => list.map((p) => `${p.x},${-p.y}`).join(' ');
    const line = (value: number | null | undefined, words: string) =>
      value === null || value === undefined ? [] : [{ y: y(value), label: `${words} ${write(value, 'depth', 0)}` }];
    return {
      title: water ? `Depths of ${water.name} and the target species in it` : 'The water is not described yet',
      deepest,
      y,
      boat: outline.side.map(points),
      boatScale: 64 / outline.lengthM,
      boatWords: `${plan.boat.name}, drawn larger than the depth. Draught ${plan.boat.draughtM === null ? 'missing' : write(plan.boat.draughtM, 'length', 2)}`,
      ticks: roundTicks('depth', deepest, 5, units).map(({ atM, words }) => ({ y: y(atM), label: words })),
      usual:
        water?.shallowestM != null && water.usualDeepestM != null
          ? {
              from: y(Math.min(water.shallowestM, water.usualDeepestM)),
              to: y(Math.max(water.shallowestM, water.usualDeepestM)),
            }
          : null,
      lines: [...line(water?.usualDeepestM, 'usual to'), ...line(water?.greatestM, 'greatest')],
      sought: inOrder(plan.sought).flatMap(([id, thing], i) =>
        thing.shallowestM === null || thing.deepestM === null
          ? []
          : [
              {
                id,
                x: 240 + i * 190,
                from: y(Math.min(thing.shallowestM, thing.deepestM)),
                to: Math.max(
                  y(Math.max(thing.shallowestM, thing.deepestM)),
                  y(Math.min(thing.shallowestM, thing.deepestM)) + 4,
                ),
                label: `${thing.name}, ${write(thing.shallowestM, 'depth', 0)} to ${write(thing.deepestM, 'depth', 0)}`,
              },
            ],
      ),
      temperatures: water
        ? `${water.name}: ${write(water.temperatureC, 'temperature')}${water.coldestC !== null && water.warmestC !== null ? `, from ${write(water.coldestC, 'temperature')} to ${write(water.warmestC, 'temperature')}` : ''}, ${water.salinityPpt.toFixed(1)} ppt, ${water.clarity}`
        : '',
    };
  });
}
