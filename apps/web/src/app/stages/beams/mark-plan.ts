import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { formatFigure, silhouetteOf, svgPoints, type UnitChoice } from '@grey-keel/core';
import type { Boat } from '@grey-keel/model';
import { Movable } from '../../shared/movable.ts';
import { roundTicks } from '../../shared/round-ticks.ts';

const width = 460;
const height = 400;
const radian = Math.PI / 180;

export interface PlanBeam {
  readonly id: string;
  readonly name: string;
  readonly colour: string;
  readonly beamwidthDeg: number;
  /** Forward, starboard. */
  readonly atM: readonly [number, number];
  /** Not asked: drawn faint. */
  readonly quiet: boolean;
}

export interface PlanPlace {
  readonly forwardM: number;
  readonly starboardM: number;
}

/** The boat from above, bow up, with what its cones cover at a depth, where a mark may be, and a cross to set. */
@Component({
  selector: 'gk-mark-plan',
  imports: [Movable],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg viewBox="0 0 ${width} ${height}" role="group" aria-label="Plan of the boat, bow up, with its cones">
      <defs>
        <pattern id="area-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" x2="0" y1="0" y2="6" class="hatch" />
        </pattern>
      </defs>
      <rect width="${width}" height="${height}" class="water" />
      @for (line of it.grid; track line.key) {
        <line [attr.x1]="line.x1" [attr.x2]="line.x2" [attr.y1]="line.y1" [attr.y2]="line.y2" class="grid" />
      }
      <path [attr.d]="it.area" fill="url(#area-hatch)" fill-rule="evenodd" class="area" />
      <polygon [attr.points]="it.boat" class="outline" />
      @for (beam of it.beams; track beam.id) {
        <circle
          [attr.cx]="beam.x"
          [attr.cy]="beam.y"
          [attr.r]="beam.r"
          [style.--c]="beam.colour"
          class="cone"
          [class.quiet]="beam.quiet"
        />
        <circle [attr.cx]="beam.x" [attr.cy]="beam.y" r="3" [style.fill]="beam.colour" />
      }
      @if (it.move; as move) {
        <line [attr.x1]="move.x1" [attr.y1]="move.y1" [attr.x2]="move.x2" [attr.y2]="move.y2" class="move" />
        <circle [attr.cx]="move.x2" [attr.cy]="move.y2" r="5" class="end" />
      }
      @if (it.mark; as at) {
        <g
          class="mark"
          gkMovable
          aria-label="Where the mark is; arrows move it"
          [attr.aria-valuenow]="at.forwardM"
          [attr.aria-valuetext]="at.words"
          [attr.transform]="'translate(' + at.x + ' ' + at.y + ')'"
          (moved)="drag($event)"
          (nudged)="put(at.forwardM - $event.down / 10, at.starboardM + $event.right / 10)"
        >
          <circle r="22" class="grip" />
          <path d="M-12 0 H12 M0 -12 V12" />
        </g>
      }
      <text x="8" y="18" class="heading">ahead</text>
      <text x="8" y="${height - 8}" class="quiet-words">{{ it.step }} a square</text>
      <text x="${width - 8}" y="${height - 8}" text-anchor="end" class="quiet-words">starboard</text>
    </svg>
  `,
  styleUrl: '../../shared/drawing.css',
  styles: `
    svg {
      max-height: 62vh;
    }
    .quiet-words {
      fill: var(--ink);
    }
    .grid {
      stroke: var(--rule);
    }
    .hatch {
      stroke: var(--stop);
      stroke-width: 2;
    }
    .area {
      stroke: var(--stop);
      stroke-width: 1.5;
    }
    .outline {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.4;
    }
    .cone {
      fill: none;
      stroke: var(--c);
      stroke-width: 2;
    }
    .cone.quiet {
      opacity: 0.35;
      stroke-dasharray: 4 4;
    }
    .move {
      stroke: var(--ink);
      stroke-width: 2.5;
    }
    .end {
      fill: var(--ink);
    }
    .mark {
      cursor: move;
      touch-action: none;
    }
    .mark path {
      stroke: var(--ink);
      stroke-width: 4;
    }
    .mark:focus-visible {
      outline: none;
    }
    .mark:focus-visible .grip {
      stroke: var(--water);
      stroke-width: 3;
    }
  `,
})
export class MarkPlan {
  readonly boat = input.required<Boat>();
  readonly beams = input.required<readonly PlanBeam[]>();
  readonly depthM = input.required<number>();
  readonly units = input.required<UnitChoice>();
  /** Rings of [forward, starboard], the first of each an edge and the others holes. */
  readonly polygons = input<readonly (readonly (readonly (readonly [number, number])[])[])[]>([]);
  readonly move = input<{ readonly from: PlanPlace; readonly to: PlanPlace } | null>(null);
  /** A cross to be set by the hand or the arrows; none where null. */
  readonly mark = input<PlanPlace | null>(null);
  readonly marked = output<PlanPlace>();

  /** Pixels a metre, so that the widest cone and the boat fit; amidships stands in the middle. */
  private readonly frame = computed(() => {
    const lengthM = this.boat().lengthM ?? 6;
    const radius = ({ beamwidthDeg }: PlanBeam): number => this.depthM() * Math.tan((beamwidthDeg / 2) * radian);
    const reach = this.beams().map(
      (beam) => Math.max(Math.abs(beam.atM[0] - lengthM / 2), Math.abs(beam.atM[1])) + 1.25 * radius(beam),
    );
    const halfM = Math.max(0.75 * lengthM, ...reach);
    return { perMetre: height / 2 / halfM, middleM: lengthM / 2, radius };
  });

  protected readonly drawing = computed(() => {
    const { perMetre, middleM, radius } = this.frame();
    const x = (starboard: number): number => width / 2 + starboard * perMetre;
    const y = (forward: number): number => height / 2 - (forward - middleM) * perMetre;
    const [, step] = roundTicks('length', width / perMetre, 6, this.units());
    const stepM = step?.atM ?? 1;
    const across = Math.ceil(width / 2 / perMetre / stepM);
    const lines = Array.from({ length: 2 * across + 1 }, (_, i) => (i - across) * stepM);
    const mark = this.mark();
    const move = this.move();
    return {
      grid: lines.flatMap((metres) => [
        { key: `x${metres}`, x1: x(metres), x2: x(metres), y1: 0, y2: height },
        { key: `y${metres}`, x1: 0, x2: width, y1: y(metres + middleM), y2: y(metres + middleM) },
      ]),
      step: step?.words,
      boat: svgPoints(silhouetteOf(this.boat()).plan.map((p) => ({ x: x(p.x), y: y(p.y) }))),
      beams: this.beams().map((beam) => ({
        ...beam,
        x: x(beam.atM[1]),
        y: y(beam.atM[0]),
        r: radius(beam) * perMetre,
      })),
      area: this.polygons()
        .flat()
        .map((ring) => `M${ring.map(([f, s]) => `${x(s).toFixed(1)} ${y(f).toFixed(1)}`).join('L')}Z`)
        .join(''),
      move: move && {
        x1: x(move.from.starboardM),
        y1: y(move.from.forwardM),
        x2: x(move.to.starboardM),
        y2: y(move.to.forwardM),
      },
      mark: mark && { ...mark, x: x(mark.starboardM), y: y(mark.forwardM), words: this.inWords(mark) },
    };
  });

  private inWords({ forwardM, starboardM }: PlanPlace): string {
    const far = (value: number): string =>
      formatFigure({ value: Math.abs(value), quantity: 'length' }, this.units(), { decimals: 1 });
    const side = starboardM < 0 ? 'port' : 'starboard';
    return `${far(forwardM)} ${forwardM < 0 ? 'astern' : 'forward'} of the transom, ${far(starboardM)} to ${side}`;
  }

  protected drag(at: { readonly x: number; readonly y: number }): void {
    const { perMetre, middleM } = this.frame();
    this.put(middleM - (at.y - height / 2) / perMetre, (at.x - width / 2) / perMetre);
  }

  protected put(forwardM: number, starboardM: number): void {
    const { perMetre, middleM } = this.frame();
    const tenth = (value: number, most: number): number => Math.round(10 * Math.min(most, Math.max(-most, value))) / 10;
    this.marked.emit({
      forwardM: middleM + tenth(forwardM - middleM, height / 2 / perMetre),
      starboardM: tenth(starboardM, width / 2 / perMetre),
    });
  }
}
