import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { metresFrom, overGround } from '@grey-keel/core';
import type { UnitChoice } from '@grey-keel/core/units';
import { roundTicks } from '../../shared/round-ticks.ts';

/** A mark set with the buoy over the face, and the heading it was passed on. */
export interface PicturedMark {
  readonly place: number;
  readonly headingDeg: number;
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
}

const width = 440;
const height = 300;
/** The bar of the scale is about so long. */
const barPx = 120;

/** The marks in plan, north up, with the way the boat pointed at each and, once it is known, where the buoy truly lay. */
@Component({
  selector: 'gk-marks-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg viewBox="0 0 ${width} ${height}" role="img" [attr.aria-label]="it.words">
      <path d="M20 12 l-6 14 l6 -4 l6 4 z" class="north" />
      <text x="32" y="24">north</text>
      @if (it.marks.length === 0) {
        <text x="${width / 2}" y="${height / 2}" text-anchor="middle" class="quiet">
          Marks are drawn here as they are set.
        </text>
      }
      @for (mark of it.marks; track mark.place) {
        @if (it.buoy; as buoy) {
          <line [attr.x1]="mark.x" [attr.y1]="mark.y" [attr.x2]="buoy.x" [attr.y2]="buoy.y" class="off" />
        }
        <path d="M0 -13 L7 9 L0 5 L-7 9 Z" [attr.transform]="mark.turned" class="hull" />
        <text [attr.x]="mark.label.x" [attr.y]="mark.label.y" text-anchor="middle" class="strong">
          {{ mark.place }}
        </text>
      }
      @if (it.buoy; as buoy) {
        <circle [attr.cx]="buoy.x" [attr.cy]="buoy.y" r="8" class="buoy" />
        <text [attr.x]="buoy.x + 12" [attr.y]="buoy.y - 8">the buoy, by all marks</text>
      }
      @if (it.bar; as bar) {
        <line x1="12" [attr.x2]="12 + bar.px" y1="${height - 14}" y2="${height - 14}" class="bar" />
        <text x="12" y="${height - 20}">{{ bar.words }}</text>
      }
    </svg>
  `,
  styleUrls: ['../../shared/drawing.css', './procedure-picture.css'],
  styles: `
    .north,
    .hull {
      fill: var(--ink);
    }
    .buoy {
      fill: none;
      stroke: var(--water);
      stroke-width: 3;
    }
    .off {
      stroke: var(--series-1);
      stroke-width: 2;
      stroke-dasharray: 5 3;
    }
    .bar {
      stroke: var(--ink);
      stroke-width: 3;
    }
  `,
})
export class MarksPicture {
  readonly marks = input.required<readonly PicturedMark[]>();
  /** From the antenna to the face, forward and to starboard, metres; null while it is not known. */
  readonly vector = input.required<readonly [forwardM: number, starboardM: number] | null>();
  readonly units = input.required<UnitChoice>();

  protected readonly drawing = computed(() => {
    const marks = this.marks();
    const [first] = marks;
    if (!first) return { marks: [], buoy: null, bar: null, words: 'Marks are drawn here as they are set.' };
    const placed = marks.map((mark) => {
      const { east, north } = metresFrom(first, mark);
      return { ...mark, eastM: east, northM: north };
    });
    const vector = this.vector();
    const buoys = vector
      ? placed.map(({ eastM, northM, headingDeg }) => {
          const { east, north } = overGround(headingDeg, { forwardM: vector[0], starboardM: vector[1] });
          return { eastM: eastM + east, northM: northM + north };
        })
      : [];
    const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;
    const middle = { eastM: mean(placed.map((one) => one.eastM)), northM: mean(placed.map((one) => one.northM)) };
    const farM = Math.max(
      2,
      ...[...placed, ...buoys].map((one) =>
        Math.max(Math.abs(one.eastM - middle.eastM) * (height / width), Math.abs(one.northM - middle.northM)),
      ),
    );
    const scale = (height / 2 - 40) / farM;
    const at = (one: { eastM: number; northM: number }) => ({
      x: width / 2 + (one.eastM - middle.eastM) * scale,
      y: height / 2 - (one.northM - middle.northM) * scale,
    });
    const outward = (one: { eastM: number; northM: number }) => {
      const away = Math.hypot(one.eastM - middle.eastM, one.northM - middle.northM) || 1;
      return {
        x: at(one).x + ((one.eastM - middle.eastM) / away) * 22,
        y: at(one).y - ((one.northM - middle.northM) / away) * 22 + 4,
      };
    };
    const bar = roundTicks('length', barPx / scale, 2, this.units()).at(-1) ?? null;
    return {
      marks: placed.map((one) => ({
        place: one.place,
        ...at(one),
        label: outward(one),
        turned: `translate(${at(one).x.toFixed(1)} ${at(one).y.toFixed(1)}) rotate(${one.headingDeg})`,
      })),
      buoy: buoys.length
        ? at({ eastM: mean(buoys.map((one) => one.eastM)), northM: mean(buoys.map((one) => one.northM)) })
        : null,
      bar: bar && { px: bar.atM * scale, words: bar.words },
      words: `${marks.length} marks in plan, north up, set on ${marks.map(({ headingDeg }) => `${headingDeg.toFixed(0)}°`).join(', ')}`,
    };
  });
}
