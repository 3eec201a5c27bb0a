import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatFigure, silhouetteOf, type UnitChoice } from '@grey-keel/core';
import type { Boat } from '@grey-keel/model';

const width = 440;
const height = 250;
const surface = 62;
const bottom = 222;
const face = surface + 26;

export interface PicturedReading {
  readonly leadLineM: number;
  readonly displayedM: number;
  readonly rangeM: number;
  readonly missedM: number;
}

/** What a lead line measures, what the sounder measures, and what it misses. Heights are not to scale; the figures are. */
@Component({
  selector: 'gk-lead-line-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg viewBox="0 0 ${width} ${height}" role="img" [attr.aria-label]="it.words">
      <rect x="0" y="${surface}" width="${width}" height="${bottom - surface}" class="water" />
      <g transform="translate(130 ${surface}) scale(210 120)">
        @for (points of it.boat; track $index) {
          <polygon [attr.points]="points" class="boat" />
        }
      </g>
      <line x1="0" x2="${width}" y1="${surface}" y2="${surface}" class="surface" />
      <line x1="0" x2="${width}" y1="${bottom}" y2="${bottom}" class="ground" />
      <rect x="0" y="${bottom}" width="${width}" height="12" class="bed" />
      <text x="4" y="${surface - 6}" class="wet">waterline</text>
      <line x1="70" x2="70" y1="${surface}" y2="${bottom}" class="measure" />
      <path d="M62 ${surface} h16 M62 ${bottom} h16" class="measure" />
      <rect x="124" y="${face - 5}" width="14" height="10" class="face" />
      <polygon points="131,${face + 5} 112,${bottom} 150,${bottom}" class="cone" />
      <line x1="170" x2="170" y1="${face}" y2="${bottom}" class="measure sounder" />
      <path d="M162 ${face} h16 M162 ${bottom} h16" class="measure sounder" />
      <line x1="138" x2="392" y1="${face}" y2="${face}" class="dash" />
      <line x1="384" x2="384" y1="${surface}" y2="${face}" class="measure wetline" />
      <path d="M376 ${surface} h16 M376 ${face} h16" class="measure wetline" />
      @if (it.lead) {
        <text x="62" y="140" text-anchor="end" class="mono strong">{{ it.lead }}</text>
        <text x="62" y="157" text-anchor="end">lead line</text>
        <text x="184" y="146" class="mono strong sounder">{{ it.range }} from the face</text>
        <text x="184" y="166">
          display shows
          <tspan class="mono">{{ it.shown }}</tspan>
        </text>
        <text x="372" y="${face + 22}" text-anchor="end" class="wet">
          what the sounder misses
          <tspan class="mono strong">{{ it.missed }}</tspan>
        </text>
      } @else {
        <text x="184" y="146">Measure the depth with a lead line and read</text>
        <text x="184" y="164">the display at the same moment.</text>
      }
      <text x="${width - 6}" y="14" text-anchor="end" class="quiet">heights not to scale</text>
    </svg>
  `,
  styleUrl: '../../shared/drawing.css',
  styles: `
    svg {
      display: block;
      width: 100%;
    }
    .strong {
      font-weight: 700;
    }
    .ground {
      stroke: var(--ink);
      stroke-width: 2;
    }
    .bed {
      fill: var(--hull-light);
      opacity: 0.5;
    }
    .measure {
      stroke: var(--ink);
      stroke-width: 1.5;
      fill: none;
    }
    .measure.sounder {
      stroke: var(--series-1);
    }
    text.sounder {
      fill: var(--series-1);
    }
    .wetline {
      stroke: var(--water);
    }
    .wet {
      fill: var(--water);
    }
    .dash {
      stroke: var(--series-1);
      stroke-dasharray: 3 3;
    }
    .face {
      fill: var(--series-1);
      stroke: var(--ink);
    }
    .cone {
      fill: var(--series-1);
      opacity: 0.18;
    }
  `,
})
export class LeadLinePicture {
  readonly boat = input.required<Boat>();
  readonly reading = input.required<PicturedReading | null>();
  readonly units = input.required<UnitChoice>();

  protected readonly drawing = computed(() => {
    const reading = this.reading();
    const units = this.units();
    const write = (value: number, quantity: 'depth' | 'length'): string => formatFigure({ value, quantity }, units);
    const outline = silhouetteOf(this.boat());
    const { lengthM } = outline;
    return {
      boat: outline.side.map((points) =>
        points.map((p) => `${(p.x / lengthM).toFixed(3)},${(-p.y / lengthM).toFixed(3)}`).join(' '),
      ),
      lead: reading && write(reading.leadLineM, 'depth'),
      shown: reading && write(reading.displayedM, 'depth'),
      range: reading && write(reading.rangeM, 'depth'),
      missed: reading && write(reading.missedM, 'length'),
      words: reading
        ? `Lead line ${write(reading.leadLineM, 'depth')}, from the face ${write(reading.rangeM, 'depth')}, the sounder misses ${write(reading.missedM, 'length')}`
        : 'A lead line from the surface to the bottom beside the sounder',
    };
  });
}
