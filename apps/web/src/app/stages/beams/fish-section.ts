import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import {
  bottomAtM,
  fansAt,
  sectionAt,
  silhouetteOf,
  svgPoints,
  type Point,
  type Scene as CoreScene,
  type UnitChoice,
} from '@grey-keel/core';
import { placedFishSchema, type PlacedFish, type Plan } from '@grey-keel/model';
import { Movable } from '../../shared/movable.ts';
import { roundTicks } from '../../shared/round-ticks.ts';
import { fishInWords } from './fish-in-words.ts';
import { seriesVariable } from '../../shared/series.ts';
import { Wide } from '../../shared/wide.ts';

const width = 880;
const height = 400;
const left = 66;
const top = 42;
const waterHeight = 320;
const middle = left + (width - left) / 2;

export interface FishMoved {
  readonly id: string;
  readonly starboardM: number;
  readonly depthM: number;
}

/** The boat from astern over the bottom with its cones and fans, and fish in them that are dragged or moved by the arrows. */
@Component({
  selector: 'gk-fish-section',
  imports: [Movable],
  hostDirectives: [Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg
      style="--drawn: ${width}px"
      viewBox="0 0 ${width} ${height}"
      role="group"
      aria-label="The boat from astern over the bottom, with its cones and the fish"
    >
      <defs>
        <clipPath id="clip-scene">
          <rect x="${left}" y="0" width="${width - left}" height="${height}" />
        </clipPath>
        <pattern id="hidden-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" x2="0" y1="0" y2="6" class="hatch" />
        </pattern>
      </defs>
      <text x="${left}" y="14" class="heading">From astern</text>
      <text x="${left}" y="30" class="quiet">port</text>
      <text x="${width}" y="30" class="quiet" text-anchor="end">starboard</text>
      <g clip-path="url(#clip-scene)">
        <polygon [attr.points]="it.water" class="water" />
        @for (fan of it.fans; track fan.key) {
          <polygon [attr.points]="fan.points" [style.--c]="fan.colour" class="beam indirect" />
        }
        @for (beam of it.beams; track beam.id) {
          <polygon [attr.points]="beam.cone" [style.--c]="beam.colour" class="beam" />
          <polygon [attr.points]="beam.deadZone" fill="url(#hidden-hatch)" />
        }
        @if (it.layerY !== null) {
          <line x1="${left}" x2="${width}" [attr.y1]="it.layerY" [attr.y2]="it.layerY" class="layer" />
          <text x="${width - 6}" [attr.y]="it.layerY - 5" text-anchor="end" class="quiet">colder below</text>
        }
        <polygon [attr.points]="it.ground" class="ground" />
        @for (shadow of it.shadows; track shadow.key) {
          <line
            [attr.x1]="shadow.x1"
            [attr.x2]="shadow.x2"
            [attr.y1]="shadow.y1"
            [attr.y2]="shadow.y2"
            class="shadow"
          />
        }
        @for (points of it.boat; track $index) {
          <polygon [attr.points]="points" class="boat" [attr.transform]="it.lean" />
        }
        <line x1="${left}" x2="${width}" y1="${top}" y2="${top}" class="surface" />
      </g>
      @for (tick of it.ticks; track tick.label) {
        <line x1="${left - 6}" x2="${left}" [attr.y1]="tick.y" [attr.y2]="tick.y" class="axis" />
        <text x="${left - 10}" [attr.y]="tick.y + 4" text-anchor="end" class="mono">{{ tick.label }}</text>
      }
      @for (one of it.fish; track one.id; let i = $index) {
        <g
          class="fish"
          gkMovable
          [id]="'fish-' + one.id"
          [attr.aria-label]="'Fish ' + (i + 1) + ', ' + one.words + '; arrows move it'"
          [attr.aria-valuenow]="one.fish.depthM"
          [attr.aria-valuetext]="one.words"
          aria-valuemin="0"
          [attr.aria-valuemax]="depthM()"
          [attr.transform]="'translate(' + one.x + ' ' + one.y + ')'"
          (moved)="moveTo(one.id, it.starboardM($event.x), it.depthM($event.y))"
          (nudged)="moveTo(one.id, one.fish.starboardM + $event.right / 10, one.fish.depthM + $event.down / 10)"
          (settled)="settled.emit(one.id)"
          (keydown.delete)="$event.stopPropagation(); removed.emit(one.id)"
        >
          <circle r="22" class="grip" />
          <path d="M-11 0 Q-3 -8 7 0 L13 -5 V5 L7 0 Q-3 8 -11 0 Z" [class.shown]="one.shown" />
          <text x="0" y="-12" text-anchor="middle" class="heading">{{ i + 1 }}</text>
        </g>
      }
    </svg>
  `,
  styleUrl: '../../shared/drawing.css',
  styles: `
    .boat {
      stroke: var(--ink);
      stroke-width: 0.8;
    }
    svg {
      max-height: 60vh;
    }
    .hatch {
      stroke: var(--stop);
      stroke-width: 1.4;
    }
    .beam {
      fill: color-mix(in srgb, var(--c) 18%, transparent);
      stroke: var(--c);
      stroke-width: 1.3;
    }
    .ground {
      fill: var(--art-grey);
      opacity: 0.35;
      stroke: var(--ink);
      stroke-width: 2;
    }
    .indirect {
      stroke-dasharray: 5 3;
      fill: color-mix(in srgb, var(--c) 8%, transparent);
    }
    .shadow {
      stroke: var(--ink);
      stroke-width: 6;
      stroke-linecap: square;
      opacity: 0.55;
    }
    .layer {
      stroke: var(--water);
      stroke-dasharray: 8 5;
    }
  `,
})
export class FishSection {
  readonly plan = input.required<Plan>();
  readonly depthM = input.required<number>();
  readonly units = input.required<UnitChoice>();
  readonly fish = input.required<Readonly<Record<string, PlacedFish>>>();
  readonly scene = input.required<CoreScene>();
  /** Whether a fish that is seen is told from one that is not. */
  readonly tells = input(true);
  /** While it is dragged; `settled` once when it is let go or a key has moved it. */
  readonly moved = output<FishMoved>();
  readonly settled = output<string>();
  readonly removed = output<string>();

  private readonly perMetre = computed(() => waterHeight / (this.depthM() * 1.15));
  private readonly fans = computed(() => fansAt(this.plan(), this.depthM(), this.fish()) ?? []);

  protected readonly drawing = computed(() => {
    const made = this.scene();
    const plan = this.plan();
    const scale = this.perMetre();
    const x = (metres: number): number => middle + metres * scale;
    const y = (metres: number): number => top + metres * scale;
    const points = (list: readonly Point[]): string => svgPoints(list.map((p) => ({ x: x(p.x), y: y(p.y) })));
    const halfM = (width - left) / 2 / scale;
    const bottom = (metres: number): Point => ({ x: metres, y: bottomAtM(made.depthM, made.slopeDeg, metres) });
    const edge = [bottom(-halfM), bottom(halfM)];
    const below = (height - top) / scale;
    const { thermocline, rollDeg } = plan.scene;
    const fans = this.fans();
    return {
      starboardM: (pixelX: number): number => (pixelX - middle) / scale,
      depthM: (pixelY: number): number => (pixelY - top) / scale,
      beams: made.beams.map((beam) => ({
        ...beam,
        cone: points(beam.cone),
        deadZone: points(beam.deadZone),
        colour: seriesVariable(beam.series),
      })),
      fans: sectionAt(plan, this.depthM()).beams.flatMap(({ id, kind, astern }, series) =>
        kind === 'side-scan' || kind === 'down fan'
          ? astern.map((outline, i) => ({
              key: `${id}-${i}`,
              points: points(outline),
              colour: seriesVariable(series),
            }))
          : [],
      ),
      shadows: fans.flatMap((fan) =>
        made.fish.flatMap(({ id, fish, aground }) => {
          const seen = fan.seen[id];
          if (aground || seen?.state !== 'seen' || seen.shadowM === null) return [];
          const away = Math.sign(fish.starboardM - fan.starboardM);
          const [a, b] = seen.shadowM.map((beyond) => bottom(fish.starboardM + away * beyond));
          if (!a || !b) return [];
          return [{ key: `${fan.id}-${id}`, x1: x(a.x), y1: y(a.y), x2: x(b.x), y2: y(b.y) }];
        }),
      ),
      water: points([{ x: -halfM, y: 0 }, { x: halfM, y: 0 }, ...[...edge].reverse()]),
      ground: points([...edge, { x: halfM + 1, y: below }, { x: -halfM - 1, y: below }]),
      boat: silhouetteOf(plan.boat).astern.map((list) => points(list.map((p) => ({ x: p.x, y: -p.y })))),
      lean: `rotate(${rollDeg} ${middle} ${top})`,
      layerY: thermocline ? y(thermocline.depthM) : null,
      ticks: roundTicks('depth', this.depthM() * 1.15, 6, this.units()).map(({ atM, words }) => ({
        y: y(atM),
        label: words,
      })),
      fish: made.fish.map((one) => ({
        ...one,
        x: x(one.fish.starboardM),
        y: y(one.fish.depthM),
        shown: this.tells() && !one.aground && one.seen.some(({ state }) => state === 'seen'),
        words: fishInWords(one.fish, this.units()),
      })),
    };
  });

  protected moveTo(id: string, starboardM: number, depthM: number): void {
    const tenth = (value: number): number => Math.round(value * 10) / 10;
    const { depthM: range } = placedFishSchema.shape;
    this.moved.emit({
      id,
      starboardM: tenth(starboardM),
      depthM: Math.min(range.maxValue ?? depthM, Math.max(range.minValue ?? 0, tenth(depthM))),
    });
  }
}
