import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatFigure, type UnitChoice } from '@grey-keel/core/units';

/** A target off the bow: as it is known, and as the picture has it; starboard positive. */
export interface PicturedBearing {
  readonly place: number;
  readonly knownDeg: number;
  readonly shownDeg: number;
}

const width = 440;
const height = 300;
const centre = { x: 220, y: 176 };
const radius = 132;

const at = (deg: number, r: number): { x: number; y: number } => {
  const angle = (deg * Math.PI) / 180;
  return { x: centre.x + r * Math.sin(angle), y: centre.y - r * Math.cos(angle) };
};

/** Targets round the boat, bow up: a dot where each lies, a square where the picture has it, and the arc between the two. */
@Component({
  selector: 'gk-bearings-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg viewBox="0 0 ${width} ${height}" role="img" [attr.aria-label]="it.words">
      <circle cx="${centre.x}" cy="${centre.y}" r="${radius}" class="ring" />
      <line x1="${centre.x}" x2="${centre.x}" y1="${centre.y - 30}" y2="${centre.y - radius - 10}" class="bow" />
      <path d="M${centre.x} ${centre.y - 34} q18 22 14 62 l-28 0 q-4 -40 14 -62 z" class="boat" />
      <text x="${centre.x + 6}" y="${centre.y - radius - 14}" class="quiet">bow</text>
      <text x="14" y="${centre.y}" class="quiet">port</text>
      <text x="${width - 14}" y="${centre.y}" text-anchor="end" class="quiet">starboard</text>
      @if (it.marks.length === 0) {
        <text x="${centre.x}" y="${height - 6}" text-anchor="middle" class="quiet">
          Targets are drawn as they are read.
        </text>
      }
      @for (mark of it.marks; track mark.place) {
        <path [attr.d]="mark.arc" class="arc" />
        <circle [attr.cx]="mark.known.x" [attr.cy]="mark.known.y" r="9" class="known" />
        <rect [attr.x]="mark.shown.x - 5" [attr.y]="mark.shown.y - 5" width="10" height="10" class="shown" />
        <text [attr.x]="mark.label.x" [attr.y]="mark.label.y" text-anchor="middle" class="strong">
          {{ mark.place }}
        </text>
      }
      <g transform="translate(6 ${height - 32})">
        <circle cx="6" cy="6" r="5" class="known" />
        <text x="18" y="10">where it lies</text>
        <rect x="1" y="17" width="10" height="10" class="shown" />
        <text x="18" y="26">where it is drawn</text>
      </g>
    </svg>
  `,
  styleUrls: ['../../shared/drawing.css', './procedure-picture.css'],
  styles: `
    .ring,
    .arc {
      fill: none;
      stroke: var(--rule);
    }
    .arc {
      stroke: var(--series-1);
      stroke-width: 2;
    }
    .bow {
      stroke: var(--hull-light);
      stroke-dasharray: 4 4;
    }
    .boat {
      fill: var(--hull-light);
    }
    /* Both are seen where one lies on the other. */
    .known {
      fill: none;
      stroke: var(--water);
      stroke-width: 3;
    }
    .shown {
      fill: var(--series-1);
    }
  `,
})
export class BearingsPicture {
  readonly bearings = input.required<readonly PicturedBearing[]>();
  readonly units = input.required<UnitChoice>();

  protected readonly drawing = computed(() => {
    const angle = (value: number): string => formatFigure({ value, quantity: 'angle' }, this.units(), { signed: true });
    const marks = this.bearings().map(({ place, knownDeg, shownDeg }) => {
      const [known, shown] = [at(knownDeg, radius - 8), at(shownDeg, radius - 8)];
      const turn = ((shownDeg - knownDeg + 540) % 360) - 180;
      return {
        place,
        known,
        shown,
        label: { x: at(knownDeg, radius + 14).x, y: at(knownDeg, radius + 14).y + 4 },
        arc: `M${known.x.toFixed(1)} ${known.y.toFixed(1)} A${radius - 8} ${radius - 8} 0 0 ${turn > 0 ? 1 : 0} ${shown.x.toFixed(1)} ${shown.y.toFixed(1)}`,
      };
    });
    return {
      marks,
      words: marks.length
        ? `Targets round the boat, bow up: ${this.bearings()
            .map(
              ({ place, knownDeg, shownDeg }) =>
                `${place} lies ${angle(knownDeg)} off the bow and is drawn ${angle(shownDeg)}`,
            )
            .join('; ')}`
        : 'Targets are drawn as they are read.',
    };
  });
}
