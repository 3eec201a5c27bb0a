import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { equipmentOf, markingAntennas, silhouetteOf, svgPoints, type Point, type UnitChoice } from '@grey-keel/core';
import type { Place, Plan } from '@grey-keel/model';
import { coarsePointer, mediaMatches } from '../../shared/media-matches.ts';
import { Movable, type Nudge } from '../../shared/movable.ts';
import { roundTicks } from '../../shared/round-ticks.ts';
import { fittedThings, type FittedThing } from './fitted-things.ts';
import { hullFrames, type HullView } from './hull-frames.ts';
import { drawnBetweenDrags } from './drawn-marks.ts';
import { placeInWords } from './place-in-words.ts';
import { placeWithinBounds } from './place-within-bounds.ts';
import { sideFanShapes } from './side-fan-shapes.ts';
import { Wide } from '../../shared/wide.ts';

const width = 900;
const height = 560;
/** Half of a mark's side with a little air, and half of what a wet thumb wants, however the drawing is scaled. */
const mousePx = 16;
const thumbPx = 24;

export interface ThingMoved {
  readonly thing: FittedThing;
  readonly place: Place;
}

/** The hull from three sides with everything that has a place on it, to be dragged or moved by the arrows. */
@Component({
  selector: 'gk-hull-drawing',
  imports: [Movable],
  hostDirectives: [Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg
      style="--drawn: ${width}px"
      viewBox="0 0 ${width} ${height}"
      role="group"
      aria-label="The hull from above, from starboard and from astern"
    >
      @for (view of it; track view.view) {
        <clipPath [id]="'clip-' + view.view">
          <rect [attr.x]="view.x" [attr.y]="view.y" [attr.width]="view.w" [attr.height]="view.h" />
        </clipPath>
        <text [attr.x]="view.x" [attr.y]="view.y - 10" class="heading">{{ view.title }}</text>
        <g [attr.clip-path]="'url(#clip-' + view.view + ')'">
          <rect [attr.x]="view.x" [attr.y]="view.y" [attr.width]="view.w" [attr.height]="view.h" class="frame" />
          @if (view.waterY !== null) {
            <rect
              [attr.x]="view.x"
              [attr.y]="view.waterY"
              [attr.width]="view.w"
              [attr.height]="view.y + view.h - view.waterY"
              class="water"
            />
          }
          @for (points of view.hull; track $index) {
            <polygon [attr.points]="points" class="hull" />
          }
          @for (line of view.lines; track line.id) {
            <line
              [attr.x1]="line.x1"
              [attr.y1]="line.y1"
              [attr.x2]="line.x2"
              [attr.y2]="line.y2"
              class="strake"
              [class.cable]="line.cable"
            />
          }
          @for (line of view.vectors; track line.key) {
            <line [attr.x1]="line.x1" [attr.y1]="line.y1" [attr.x2]="line.x2" [attr.y2]="line.y2" class="vector" />
          }
          @for (ring of view.rings; track ring.key) {
            <circle [attr.cx]="ring.x" [attr.cy]="ring.y" [attr.r]="ring.keep" class="keep" />
            <circle [attr.cx]="ring.x" [attr.cy]="ring.y" [attr.r]="ring.blades" class="blades" />
          }
          @for (ray of view.rays; track ray.key) {
            <polygon [attr.points]="ray.points" class="fan" [class.lost]="ray.lost" />
          }
          @for (mark of view.marks; track mark.thing.key) {
            @if (mark.led) {
              <line
                [attr.x1]="mark.x"
                [attr.y1]="mark.y"
                [attr.x2]="mark.spot.x"
                [attr.y2]="mark.spot.y"
                class="lead"
              />
              <circle [attr.cx]="mark.x" [attr.cy]="mark.y" r="2.5" class="place" />
            }
          }
          @for (mark of view.marks; track mark.thing.key) {
            @if (mark.name; as name) {
              <g [attr.transform]="'translate(' + mark.spot.x + ' ' + mark.spot.y + ')'" aria-hidden="true">
                @if (name.line; as end) {
                  <line [attr.x2]="end.x" [attr.y2]="end.y" class="to-name" />
                }
                <text [attr.x]="name.x" [attr.y]="name.y" [attr.text-anchor]="name.anchor" class="name over">
                  {{ name.words }}
                </text>
              </g>
            }
          }
          @for (mark of view.marks; track mark.thing.key) {
            <g
              class="thing"
              gkMovable
              [id]="'mark-' + view.view + '-' + mark.thing.key"
              [class.chosen]="mark.thing.key === chosen()"
              [class.wrong]="wrong().has(mark.thing.id)"
              [attr.aria-label]="
                mark.number + ', ' + mark.thing.name + ', ' + view.title.toLowerCase() + '; arrows move it'
              "
              [attr.aria-valuenow]="mark.up"
              [attr.aria-valuetext]="mark.words"
              [attr.transform]="'translate(' + mark.spot.x + ' ' + mark.spot.y + ')'"
              (pointerdown)="take(mark)"
              (focus)="chose.emit(mark.thing)"
              (moved)="drag(view.view, mark.thing, view.across($event.x - beside.x), view.up($event.y - beside.y))"
              (nudged)="step(view.view, mark.thing, $event)"
              (settled)="settle()"
            >
              <circle [attr.r]="grip()" class="grip" />
              @if (mark.thing.of === 'transducer') {
                <rect x="-9" y="-9" width="18" height="18" [style.--c]="mark.thing.colour" class="face" />
              } @else if (mark.thing.of === 'station') {
                <rect x="-12" y="-8" width="24" height="16" class="screen" />
              } @else {
                <circle r="9" class="piece" />
              }
              <text y="4" class="number">{{ mark.number }}</text>
            </g>
          }
          @if (view.held; as key) {
            <use [attr.href]="'#mark-' + view.view + '-' + key" class="copy" aria-hidden="true" />
          }
          @if (view.metre; as metre) {
            <line [attr.x1]="metre.x1" [attr.x2]="metre.x2" [attr.y1]="metre.y" [attr.y2]="metre.y" class="scale" />
            <text [attr.x]="metre.x1" [attr.y]="metre.y - 5" class="quiet">{{ metre.label }}</text>
          }
        </g>
      }
    </svg>
  `,
  styleUrls: ['../../shared/drawing.css', './hull-drawing.css'],
})
export class HullDrawing {
  readonly plan = input.required<Plan>();
  readonly units = input.required<UnitChoice>();
  /** The key of the thing that is looked at. */
  readonly chosen = input<string | null>(null);
  /** Ids of what some rule speaks of as it stands. */
  readonly wrong = input<ReadonlySet<string>>(new Set());
  readonly chose = output<FittedThing>();
  /** While it is dragged; `settled` once when it is let go or a key has moved it. */
  readonly moved = output<ThingMoved>();
  readonly settled = output();

  private readonly coarse = mediaMatches(coarsePointer);
  private readonly drawnMarks: Record<HullView, ReturnType<typeof drawnBetweenDrags>> = {
    plan: drawnBetweenDrags(),
    side: drawnBetweenDrags(),
    astern: drawnBetweenDrags(),
  };
  private readonly settledTimes = signal(0);
  /** Half of what a mark has for itself. */
  protected readonly grip = computed(() => (this.coarse() ? thumbPx : mousePx));
  /** How far from its place the mark was drawn that was taken last. */
  protected beside: Point = { x: 0, y: 0 };

  /** Held by the boat, not by what is dragged, so that nothing runs away under the finger. */
  private readonly scales = computed(() => {
    const { lengthM, beamM, draughtM } = this.plan().boat;
    const length = lengthM ?? 6;
    const beam = beamM ?? length * 0.35;
    const draught = draughtM ?? length * 0.06;
    const tall = Math.max(1.35 * beam, ...fittedThings(this.plan()).map(({ place }) => (place?.aboveKeelM ?? 0) + 0.4));
    const asternM = 0.14 * length;
    // An outboard's blades reach well below the keel: the views from the side and from astern go down to them. In steps,
    // so that the scale stands still while a propeller is moved a little.
    const bladesM = fittedThings(this.plan()).map(({ place, propellerDiameterM }) =>
      place && propellerDiameterM !== null ? propellerDiameterM / 2 - place.aboveKeelM : 0,
    );
    const belowM = Math.ceil(4 * Math.max(0.25, ...bladesM)) / 4 + 0.1;
    const belowAsternM = Math.max(0.8, belowM);
    return {
      plan: { perMetre: Math.min(280 / (beam * 1.15), 500 / (length * 1.24)), zeroX: 160, zeroUpM: -asternM, draught },
      side: { perMetre: Math.min(540 / (length * 1.26), 200 / (tall + belowM)), zeroX: 0, zeroUpM: -belowM, draught },
      astern: {
        perMetre: Math.min(520 / (beam * 2.2), 244 / (tall + belowAsternM)),
        zeroX: 610,
        zeroUpM: -belowAsternM,
        draught,
      },
      length,
      asternM,
    };
  });

  protected readonly drawing = computed(() => {
    const plan = this.plan();
    const scales = this.scales();
    const things = fittedThings(plan);
    const shape = silhouetteOf(plan.boat);
    const hulls: Record<HullView, readonly (readonly Point[])[]> = {
      plan: [shape.plan],
      side: shape.side,
      astern: shape.astern,
    };
    const antennas = markingAntennas(plan);
    const lines = equipmentOf(plan, 'strake or fitting', 'cable run').filter(([, one]) => (one.runsForwardM ?? 0) > 0);
    return hullFrames.map((frame) => {
      const { perMetre, zeroX, zeroUpM, draught } = scales[frame.view];
      const originX = frame.view === 'side' ? frame.x + 12 + scales.asternM * perMetre : zeroX;
      const x = (metres: number): number => originX + metres * perMetre;
      const y = (metres: number): number => frame.y + frame.h - (metres - zeroUpM) * perMetre;
      // The silhouettes count height from the waterline; places count it from the keel.
      const rise = frame.view === 'plan' ? 0 : draught;
      const at = (place: Place): { x: number; y: number } => ({ x: x(place[frame.across]), y: y(place[frame.up]) });
      const bar = roundTicks('length', 120 / perMetre, 2, this.units()).at(-1);
      const chosen = this.chosen();
      const marks = things.flatMap((thing, i) => {
        if (!thing.place) return [];
        return [
          {
            thing,
            number: i + 1,
            ...at(thing.place),
            up: thing.place[frame.up],
            words: placeInWords(thing.place, this.units()),
          },
        ];
      });
      const held = marks.findIndex(({ thing }) => thing.key === chosen);
      const drawn = this.drawnMarks[frame.view](
        marks.map(({ thing, x: homeX, y: homeY }) => ({
          x: homeX,
          y: homeY,
          name: thing.name,
          main: thing.of === 'transducer',
        })),
        frame,
        2 * this.grip(),
        held,
        this.settledTimes(),
      );
      return {
        ...frame,
        across: (pixelX: number): number => (pixelX - originX) / perMetre,
        up: (pixelY: number): number => zeroUpM + (frame.y + frame.h - pixelY) / perMetre,
        waterY: frame.view === 'plan' ? null : y(draught),
        hull: hulls[frame.view].map((list) => svgPoints(list.map((p) => ({ x: x(p.x), y: y(p.y + rise) })))),
        // Marks stand in one order, whatever is chosen: the keyboard goes through them in it. What is looked at is drawn
        // once more on top of what it is dragged over.
        held: marks[held]?.thing.key ?? null,
        // What is looked at stands in its own place; what lies on others is drawn beside, with a line to its place.
        marks: marks.flatMap((mark, i) => {
          const as = drawn[i];
          return as ? [{ ...mark, ...as }] : [];
        }),
        vectors: antennas.flatMap(({ id: antennaId, antenna }) =>
          things.flatMap(({ key, of, id, place }) => {
            if (of !== 'transducer' || !place || plan.transducers[id]?.kind !== 'sounder') return [];
            const [from, to] = [at(antenna), at(place)];
            return [{ key: `${antennaId}-${key}`, x1: from.x, y1: from.y, x2: to.x, y2: to.y }];
          }),
        ),
        lines: lines.map(([id, line]) => {
          const [aft, fore] = [at(line), at({ ...line, forwardM: line.forwardM + (line.runsForwardM ?? 0) })];
          return { id, cable: line.kind === 'cable run', x1: aft.x, y1: aft.y, x2: fore.x, y2: fore.y };
        }),
        rings: things.flatMap(({ key, place, propellerDiameterM }) =>
          place && propellerDiameterM !== null
            ? [
                {
                  key,
                  ...at(place),
                  blades: (propellerDiameterM / 2) * perMetre,
                  keep: 1.5 * propellerDiameterM * perMetre,
                },
              ]
            : [],
        ),
        rays: frame.view === 'astern' ? sideFanShapes(plan, at, perMetre, frame.y + frame.h - 4) : [],
        metre: {
          x1: frame.x + 10,
          x2: frame.x + 10 + (bar?.atM ?? 0) * perMetre,
          y: frame.y + 22,
          label: bar?.words,
        },
      };
    });
  });

  protected take({ thing, spot, x, y }: Point & { readonly thing: FittedThing; readonly spot: Point }): void {
    this.beside = { x: spot.x - x, y: spot.y - y };
    this.chose.emit(thing);
  }

  protected settle(): void {
    this.settledTimes.update((times) => times + 1);
    this.settled.emit();
  }

  protected drag(view: HullView, thing: FittedThing, across: number, up: number): void {
    const frame = hullFrames.find((one) => one.view === view);
    if (!frame || !thing.place) return;
    this.move(thing, { ...thing.place, [frame.across]: across, [frame.up]: up });
  }

  protected step(view: HullView, thing: FittedThing, { right, down }: Nudge): void {
    const frame = hullFrames.find((one) => one.view === view);
    if (!frame || !thing.place) return;
    const { [frame.across]: across, [frame.up]: up } = thing.place;
    this.move(thing, { ...thing.place, [frame.across]: across + right / 100, [frame.up]: up - down / 100 });
  }

  private move(thing: FittedThing, to: Place): void {
    this.moved.emit({ thing, place: placeWithinBounds(to) });
  }
}
