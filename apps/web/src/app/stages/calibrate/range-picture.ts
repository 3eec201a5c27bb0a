import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatFigure, type UnitChoice } from '@grey-keel/core/units';
import { roundTicks } from '../../shared/round-ticks.ts';

/** A target at a known distance over the ground, and the range that is shown of it, metres. */
export interface PicturedTarget {
  readonly place: number;
  readonly knownM: number;
  readonly shownM: number;
  readonly heightM: number;
  readonly targetHeightM: number;
}

const width = 440;
const height = 230;
const left = 40;
const ground = 190;
/** Half the angle an arc is drawn over. */
const arcRad = 0.12;

/** The face over the bottom, each target where it stands, and the range that is shown laid out as an arc through it. */
@Component({
  selector: 'gk-range-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg viewBox="0 0 ${width} ${height}" role="img" [attr.aria-label]="it.words">
      <rect x="0" y="${ground}" width="${width}" height="${height - ground}" class="bed" />
      @if (it.marks.length === 0) {
        <text x="${width / 2}" y="110" text-anchor="middle" class="quiet">
          Targets are drawn, to scale, as they are read.
        </text>
      }
      @for (mark of it.marks; track mark.place) {
        <line x1="${left}" [attr.y1]="mark.faceY" [attr.x2]="mark.x" [attr.y2]="mark.y" class="sight" />
        <path [attr.d]="mark.arc" class="shown" />
        <circle [attr.cx]="mark.x" [attr.cy]="mark.y" r="6" class="known" />
        <circle cx="${left}" [attr.cy]="mark.faceY" r="4" class="face" />
      }
      @for (mark of it.marks; track mark.place) {
        <text [attr.x]="mark.nameX" [attr.y]="mark.nameY" text-anchor="middle" class="strong over">
          {{ mark.place }}
        </text>
      }
      @for (tick of it.ticks; track tick.words) {
        <line [attr.x1]="tick.x" [attr.x2]="tick.x" y1="${ground}" y2="${ground + 6}" class="tick" />
        <text [attr.x]="tick.x" y="${ground + 20}" text-anchor="middle" class="mono">{{ tick.words }}</text>
      }
      <g transform="translate(${width - 200} 8)">
        <circle cx="6" cy="6" r="5" class="known" />
        <text x="18" y="10">where it stands</text>
        <path d="M0 30 Q10 24 8 14" class="shown" />
        <text x="18" y="28">the range that is shown</text>
      </g>
    </svg>
  `,
  styleUrls: ['../../shared/drawing.css', './procedure-picture.css'],
  styles: `
    .bed {
      fill: var(--bottom, var(--hull-light));
      opacity: 0.35;
    }
    .sight {
      stroke: var(--hull-light);
    }
    .shown {
      fill: none;
      stroke: var(--series-1);
      stroke-width: 2;
      stroke-dasharray: 5 3;
    }
    .known {
      fill: var(--water);
    }
    .face {
      fill: var(--ink);
    }
    .tick {
      stroke: var(--ink);
    }
  `,
})
export class RangePicture {
  readonly targets = input.required<readonly PicturedTarget[]>();
  readonly units = input.required<UnitChoice>();

  protected readonly drawing = computed(() => {
    const targets = this.targets();
    const length = (value: number): string =>
      formatFigure({ value, quantity: 'length' }, this.units(), { decimals: 0 });
    const farM = Math.max(10, ...targets.flatMap(({ knownM, shownM }) => [knownM, shownM]));
    const highM = Math.max(2, ...targets.flatMap(({ heightM, targetHeightM }) => [heightM, targetHeightM]));
    const scale = Math.min((width - left - 30) / farM, (ground - 40) / highM);
    const marks = targets.map((one) => {
      const faceY = ground - one.heightM * scale;
      const [x, y] = [left + one.knownM * scale, ground - one.targetHeightM * scale];
      const r = one.shownM * scale;
      const aim = Math.atan2(y - faceY, x - left);
      // Down to the ground and no further: below it stand the figures.
      const lowest = Math.min(aim + arcRad, Math.asin(Math.min(1, (ground - faceY) / r)));
      const along = (rad: number) => ({ x: left + r * Math.cos(rad), y: faceY + r * Math.sin(rad) });
      const [from, to] = [along(lowest - 2 * arcRad), along(lowest)];
      return {
        place: one.place,
        x,
        y,
        faceY,
        nameX: from.x,
        nameY: from.y - 6,
        arc: `M${from.x.toFixed(1)} ${from.y.toFixed(1)} A${r.toFixed(1)} ${r.toFixed(1)} 0 0 1 ${to.x.toFixed(1)} ${to.y.toFixed(1)}`,
      };
    });
    return {
      marks,
      ticks: targets.length
        ? roundTicks('length', farM, 4, this.units()).map(({ atM, words }) => ({ x: left + atM * scale, words }))
        : [],
      words: targets.length
        ? `Targets from the side, to scale: ${targets
            .map(
              ({ place, knownM, shownM }) => `${place} stands ${length(knownM)} off and is shown at ${length(shownM)}`,
            )
            .join('; ')}`
        : 'Targets are drawn, to scale, as they are read.',
    };
  });
}
