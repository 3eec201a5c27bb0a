import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { drawSection, formatFigure, svgPoints, type Section, type UnitChoice } from '@grey-keel/core';
import { seriesVariable } from '../../shared/series.ts';
import { Wide } from '../../shared/wide.ts';

const width = 860;
const height = 230;
const left = 74;
const gap = 14;
const top = 40;
const panel = (width - left - gap) / 2;

/** The section as it stands on the card: from astern and from starboard, at one scale. */
@Component({
  selector: 'gk-card-section',
  hostDirectives: [Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg
      style="--drawn: ${width}px"
      viewBox="0 0 ${width} ${height}"
      role="img"
      aria-label="Section of the boat and its beams, from astern and from starboard"
    >
      @for (view of it.views; track view.title; let i = $index) {
        <clipPath [id]="'card-clip-' + i">
          <rect [attr.x]="view.left" y="0" width="${panel}" height="${height}" />
        </clipPath>
        <text [attr.x]="view.left" y="14" class="heading">{{ view.title }}</text>
        <g [attr.clip-path]="'url(#card-clip-' + i + ')'">
          <rect [attr.x]="view.left" y="${top}" width="${panel}" [attr.height]="it.bottom - ${top}" class="water" />
          @for (beam of view.beams; track $index) {
            <polygon [attr.points]="beam.points" [style.--c]="beam.colour" class="beam" [class.indirect]="!beam.down" />
          }
          @for (points of view.boat; track $index) {
            <polygon [attr.points]="points" class="boat" />
          }
          <line [attr.x1]="view.left" [attr.x2]="view.left + ${panel}" y1="${top}" y2="${top}" class="surface" />
          <line
            [attr.x1]="view.left"
            [attr.x2]="view.left + ${panel}"
            [attr.y1]="it.bottom"
            [attr.y2]="it.bottom"
            class="ground"
          />
        </g>
      }
      <text x="${left - 8}" y="${top + 5}" text-anchor="end" class="mono">{{ it.zero }}</text>
      <text x="${left - 8}" [attr.y]="it.bottom + 4" text-anchor="end" class="mono heading">{{ it.depth }}</text>
    </svg>
  `,
  styleUrl: '../../shared/drawing.css',
  styles: `
    svg {
      display: block;
      width: 100%;
    }
    .beam {
      fill: color-mix(in srgb, var(--c) 20%, transparent);
      stroke: var(--c);
    }
    .indirect {
      stroke-dasharray: 5 3;
      fill: color-mix(in srgb, var(--c) 9%, transparent);
    }
    .boat {
      fill: var(--boat);
      stroke: var(--ink);
      stroke-width: 0.6;
    }
    .ground {
      stroke: var(--ink);
      stroke-width: 2;
    }
  `,
})
export class CardSection {
  readonly section = input.required<Section>();
  readonly units = input.required<UnitChoice>();

  protected readonly drawing = computed(() => {
    const section = this.section();
    const { bottom, views } = drawSection(section, {
      left,
      panel,
      gap,
      surface: top,
      perMetre: Math.min(panel / (2 * section.halfWidthM), (height - top - 12) / section.depthM),
      amidships: 0.5,
    });
    const write = (value: number): string => formatFigure({ value, quantity: 'depth' }, this.units(), { decimals: 1 });
    return {
      bottom,
      zero: write(0),
      depth: write(section.depthM),
      views: views.map((view) => ({
        ...view,
        beams: view.beams.map(({ series, down, points }) => ({
          points: svgPoints(points),
          colour: seriesVariable(series),
          down,
        })),
        boat: view.boat.map(svgPoints),
      })),
    };
  });
}
