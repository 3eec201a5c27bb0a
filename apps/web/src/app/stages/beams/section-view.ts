import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import {
  drawSection,
  formatFigure,
  svgPoints,
  toDisplay,
  toSi,
  unitFor,
  type Section,
  type UnitChoice,
} from '@grey-keel/core';
import type { Way } from '@grey-keel/model';
import { drag, type D3DragEvent } from 'd3-drag';
import { scaleLinear } from 'd3-scale';
import { select } from 'd3-selection';
import { shortName } from '../../shared/short-name.ts';
import { Working } from '../../shared/working.ts';
import { seriesVariable } from './series.ts';

const width = 900;
const gap = 12;
const left = 78;
const panel = (width - left - gap) / 2;
const top = 62;
const waterHeight = 230;
const planTop = 332;
const planHeight = 128;
const height = planTop + planHeight;
const labelWidth = 250;
/** Letters of a name that stand beside a cone: two names share the width of the section. */
const longestLabel = 24;
export const leastM = 0.5;
export const greatestM = 2000;

/** The next round figure above a depth: where the depth scale ends. */
const axisEnd = (depthM: number): number => {
  const wanted = depthM * 1.18;
  const power = 10 ** Math.floor(Math.log10(wanted));
  return ([1, 1.5, 2, 3, 4, 5, 6, 8, 10].find((step) => step * power >= wanted) ?? 10) * power;
};

/** Everything but a disc, for cutting it out of another. */
const allBut = ({ cx, cy, r }: Circle): string =>
  `M0 0H${width}V${height}H0Z M${cx - r} ${cy}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;

interface Circle {
  readonly cx: number;
  readonly cy: number;
  readonly r: number;
}

/**
 * The boat from astern and from starboard with her cones to scale over the bottom, and the footprints in plan below at
 * the same scale and on the same axis. The bottom is dragged, or moved with the arrows, and says so as it goes.
 */
@Component({
  selector: 'gk-section-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg #canvas viewBox="0 0 ${width} ${height}" role="group" aria-label="Section of the boat and her beams">
      <defs>
        <clipPath id="clip-astern"><rect x="${left}" y="0" width="${panel}" height="${planTop - 20}" /></clipPath>
        <clipPath id="clip-side">
          <rect x="${left + panel + gap}" y="0" width="${panel}" height="${planTop - 20}" />
        </clipPath>
        <clipPath id="clip-plan"><rect x="${left}" y="${planTop}" width="${panel}" height="${planHeight}" /></clipPath>
        <pattern id="bottom-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <line x1="0" x2="0" y1="0" y2="7" class="hatch" />
        </pattern>
        <pattern id="ring-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <line x1="0" x2="0" y1="0" y2="6" class="hatch ring" />
        </pattern>
      </defs>
      <text x="${left}" y="14" class="heading">From astern</text>
      <text x="${left}" y="30" class="quiet">port</text>
      <text x="${left + panel}" y="30" class="quiet" text-anchor="end">starboard</text>
      <text x="${left + panel + gap}" y="14" class="heading">From starboard</text>
      <text x="${left + panel + gap}" y="30" class="quiet">astern</text>
      <text x="${width}" y="30" class="quiet" text-anchor="end">ahead</text>

      @for (view of it.views; track view.clip) {
        <g [attr.clip-path]="'url(#' + view.clip + ')'">
          <rect [attr.x]="view.left" y="${top}" width="${panel}" [attr.height]="it.bottom - ${top}" class="water" />
          <rect [attr.x]="view.left" [attr.y]="it.bottom" width="${panel}" height="12" fill="url(#bottom-hatch)" />
          @for (beam of view.beams; track beam.key) {
            <polygon
              [attr.points]="beam.points"
              [style.--c]="beam.colour"
              class="beam"
              [class.indirect]="!beam.down"
              [class.silent]="beam.silent"
            />
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
      @for (label of it.labels; track label.key) {
        <g
          class="label"
          role="button"
          tabindex="0"
          [attr.aria-label]="label.name + ': ' + label.cone + ', show the working'"
          (click)="working.show('Cone of ' + label.name, label.cone, label.steps)"
          (keydown.enter)="working.show('Cone of ' + label.name, label.cone, label.steps)"
          (keydown.space)="$event.preventDefault(); working.show('Cone of ' + label.name, label.cone, label.steps)"
        >
          <title>{{ label.name }}</title>
          <rect [attr.x]="label.left" [attr.y]="label.y - 20" width="${labelWidth}" height="44" class="grip" />
          <text
            [attr.x]="label.x"
            [attr.y]="label.y"
            [attr.text-anchor]="label.anchor"
            [style.fill]="label.colour"
            class="heading over"
          >
            {{ label.shown }}
          </text>
          <text
            [attr.x]="label.x"
            [attr.y]="label.y + 15"
            [attr.text-anchor]="label.anchor"
            [style.fill]="label.colour"
            class="dotted"
          >
            {{ label.cone }}
          </text>
        </g>
      }

      <line x1="${left - 8}" x2="${left - 8}" y1="${top}" [attr.y2]="${top + waterHeight}" class="axis" />
      @for (tick of it.ticks; track tick.label) {
        <line x1="${left - 14}" x2="${left - 8}" [attr.y1]="tick.y" [attr.y2]="tick.y" class="axis" />
        @if (!tick.hidden) {
          <text x="${left - 18}" [attr.y]="tick.y + 4" text-anchor="end" class="mono">{{ tick.label }}</text>
        }
      }
      <g
        #handle
        class="handle"
        tabindex="0"
        role="slider"
        aria-orientation="vertical"
        aria-label="Depth of the bottom"
        [attr.aria-valuemin]="${leastM}"
        [attr.aria-valuemax]="${greatestM}"
        [attr.aria-valuenow]="depthM()"
        [attr.aria-valuetext]="it.depth"
        [attr.transform]="'translate(0 ' + it.bottom + ')'"
        (keydown)="pressed($event)"
      >
        <rect x="0" y="-22" width="${left}" height="44" class="grip" />
        <path d="M0 -13 H${left - 16} L${left - 4} 0 L${left - 16} 13 H0 Z" class="flag" />
        <text x="${left - 20}" y="5" text-anchor="end" class="mono onflag">{{ it.depth }}</text>
      </g>

      <text x="${left}" y="${planTop - 4}" class="heading">Plan at {{ it.depth }}, bow up</text>
      <g clip-path="url(#clip-plan)">
        @if (it.ring; as ring) {
          <clipPath id="not-narrow"><path [attr.d]="ring.notNarrow" clip-rule="evenodd" /></clipPath>
          <circle
            [attr.cx]="ring.wide.cx"
            [attr.cy]="ring.wide.cy"
            [attr.r]="ring.wide.r"
            fill="url(#ring-hatch)"
            clip-path="url(#not-narrow)"
          />
        }
        <polygon [attr.points]="it.planBoat" class="outline" />
        @for (mark of it.footprints; track mark.key) {
          <ellipse
            [attr.cx]="mark.cx"
            [attr.cy]="mark.cy"
            [attr.rx]="mark.rx"
            [attr.ry]="mark.ry"
            [style.--c]="mark.colour"
            class="footprint"
            [class.silent]="mark.silent"
          />
        }
      </g>
    </svg>
  `,
  styleUrl: '../../shared/drawing.css',
  styles: `
    .boat {
      stroke: var(--ink);
      stroke-width: 0.8;
    }
    .over {
      paint-order: stroke;
      stroke: var(--sheet);
      stroke-width: 4px;
      stroke-linejoin: round;
    }
    .hatch {
      stroke: var(--hull);
      stroke-width: 1.4;
    }
    .hatch.ring {
      stroke: var(--series-0);
      stroke-width: 1;
    }
    .beam,
    .footprint {
      fill: color-mix(in srgb, var(--c) 20%, transparent);
      stroke: var(--c);
      stroke-width: 1.3;
    }
    .footprint {
      fill: none;
      stroke-width: 1.6;
    }
    .indirect {
      stroke-dasharray: 5 3;
      fill: color-mix(in srgb, var(--c) 9%, transparent);
    }
    .silent {
      opacity: 0.22;
    }
    .outline {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.3;
    }
    .ground {
      stroke: var(--ink);
      stroke-width: 2;
    }
    .handle {
      cursor: ns-resize;
      touch-action: none;
    }
    .flag {
      fill: var(--ink);
    }
    .onflag {
      fill: var(--sheet);
      font-weight: 700;
    }
    .label {
      cursor: pointer;
    }
    .dotted {
      text-decoration: underline dotted;
      text-underline-offset: 3px;
    }
    .handle:focus-visible {
      outline: none;
    }
    .handle:focus-visible .flag {
      stroke: var(--water);
      stroke-width: 4;
    }
  `,
})
export class SectionView {
  readonly section = input.required<Section>();
  readonly depthM = input.required<number>();
  readonly units = input.required<UnitChoice>();
  readonly way = input<Way | null>(null);
  /** While it is dragged, and once when it is let go. */
  readonly moved = output<number>();
  readonly settled = output<number>();
  /** By how many metres the arrows move it; told apart, since keys can come faster than the picture is drawn. */
  readonly nudged = output<number>();

  private readonly canvas = viewChild.required<ElementRef<SVGSVGElement>>('canvas');
  private readonly handle = viewChild.required<ElementRef<SVGGElement>>('handle');
  /** Held while the bottom is dragged, so that the scale does not run away under the finger. */
  private readonly heldEnd = signal<number | null>(null);
  private readonly end = computed(() => this.heldEnd() ?? axisEnd(this.depthM()));
  private readonly shown = computed(() => unitFor('depth', this.units()));

  /** Pixels a metre: the depth scale, the footprints in plan and the boat all have to fit. */
  private readonly scale = computed(() => {
    const { boat } = this.section();
    const spread = Math.max(boat.lengthM * 1.15, boat.beamM);
    return Math.min(waterHeight / this.end(), planHeight / spread, panel / (boat.lengthM * 1.4));
  });

  protected readonly drawing = computed(() => {
    const section = this.section();
    const scale = this.scale();
    const y = (metres: number): number => top + metres * scale;
    const asternX = (metres: number): number => left + panel / 2 + metres * scale;
    const half = section.boat.lengthM / 2;
    const planY = (forward: number): number => planTop + planHeight / 2 - (forward - half) * scale;
    const way = this.way();
    const silentIds = new Set(
      section.beams.flatMap(({ id, transducer }) => (way !== null && !transducer.transmitsIn[way] ? [id] : [])),
    );
    const depth = formatFigure({ value: this.depthM(), quantity: 'depth' }, this.units(), { decimals: 1 });
    const { bottom, views } = drawSection(section, {
      left,
      panel,
      gap,
      surface: top,
      perMetre: scale,
      amidships: 0.42,
    });
    return {
      bottom,
      depth,
      views: views.map((view, i) => ({
        clip: i === 0 ? 'clip-astern' : 'clip-side',
        left: view.left,
        beams: view.beams.map(({ id, series, down, points }, k) => ({
          key: `${id}-${k}`,
          points: svgPoints(points),
          colour: seriesVariable(series),
          down,
          silent: silentIds.has(id),
        })),
        boat: view.boat.map(svgPoints),
      })),
      labels: this.labels(section),
      ticks: this.ticks(y, bottom),
      planBoat: svgPoints(section.boat.plan.map((p) => ({ x: asternX(p.x), y: planY(p.y) }))),
      footprints: section.beams.flatMap((beam, i) =>
        beam.onBottom
          ? [
              {
                key: beam.id,
                cx: asternX(beam.onBottom.centre.x),
                cy: planY(beam.onBottom.centre.y),
                rx: beam.onBottom.acrossM * scale,
                ry: Math.max(1, beam.onBottom.alongM * scale),
                colour: seriesVariable(i),
                silent: silentIds.has(beam.id),
              },
            ]
          : [],
      ),
      ring: this.ringCircles(section, asternX, planY, scale),
    };
  });

  protected readonly working = inject(Working);

  constructor() {
    // The host of an SVG group is only there once it is drawn.
    afterNextRender(() => this.makeDraggable());
  }

  protected pressed(event: KeyboardEvent): void {
    const steps = { ArrowDown: 1, ArrowUp: -1, PageDown: 10, PageUp: -10 }[event.key];
    if (steps === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const shown = this.shown();
    const stepM = (steps * (event.shiftKey ? 10 : 1) * (shown.symbol === 'm' ? 0.5 : 1)) / shown.perSi;
    this.nudged.emit(stepM);
  }

  private makeDraggable(): void {
    const behaviour = drag<SVGGElement, unknown>()
      .container(() => this.canvas().nativeElement)
      .on('start', () => this.heldEnd.set(this.end()))
      .on('drag', (event: D3DragEvent<SVGGElement, unknown, unknown>) => this.moved.emit(this.depthAt(event.y)))
      .on('end', (event: D3DragEvent<SVGGElement, unknown, unknown>) => {
        const depth = this.depthAt(event.y);
        this.heldEnd.set(null);
        this.settled.emit(depth);
      })
      .subject(() => ({ x: 0, y: this.drawing().bottom }));
    select(this.handle().nativeElement).call(behaviour);
  }

  /** To the nearest tenth of the unit shown: what a hand can mean. */
  private depthAt(pixelY: number): number {
    const shown = this.shown();
    const metres = Math.min((pixelY - top) / this.scale(), this.end());
    return this.bounded(toSi(Math.round(toDisplay(metres, shown) * 10) / 10, shown));
  }

  private bounded(metres: number): number {
    return Math.min(greatestM, Math.max(leastM, metres));
  }

  private ticks(y: (m: number) => number, bottom: number) {
    const shown = this.shown();
    const scale = scaleLinear([0, toDisplay(this.end(), shown)], [0, 1]);
    return scale.ticks(6).map((value) => {
      const at = y(toSi(value, shown));
      return { y: at, label: value === 0 ? `0 ${shown.symbol}` : String(value), hidden: Math.abs(at - bottom) < 18 };
    });
  }

  /** Names beside the cones: those that look down alternately to port and starboard, the rest in the side view. */
  private labels(section: Section) {
    const down = section.beams.filter(({ onBottom }) => onBottom);
    return section.beams.map((beam, i) => {
      const kHz = (beam.beam.frequencyHz / 1000).toFixed(0);
      const quoted =
        beam.beam.levelDb < -3 ? ` (sheet: ${beam.beam.beamwidthDeg.toFixed(1)}° at ${beam.beam.levelDb} dB)` : '';
      const cone = `${beam.cone.acrossDeg.toFixed(1)}° at -3 dB, ${kHz} kHz${quoted}`;
      const place = beam.onBottom
        ? down.indexOf(beam)
        : section.beams.filter(({ onBottom }) => !onBottom).indexOf(beam);
      const toPort = place % 2 === 0;
      const row = (beam.onBottom ? Math.floor(place / 2) : place) * 44;
      const toEnd = beam.onBottom !== null && !toPort;
      const x = beam.onBottom ? (toPort ? left + 8 : left + panel - 8) : left + panel + gap + panel - 190;
      return {
        key: beam.id,
        name: beam.transducer.name,
        shown: shortName(beam.transducer.name, longestLabel),
        cone,
        steps: beam.cone.working,
        colour: seriesVariable(i),
        anchor: toEnd ? 'end' : 'start',
        x,
        left: toEnd ? x - labelWidth : x,
        y: top + 24 + row,
      };
    });
  }

  /** The wide footprint with the narrow one cut out of it: where a mark that only the wide cone sees must be. */
  private ringCircles(section: Section, x: (m: number) => number, y: (m: number) => number, scale: number) {
    const circle = (id: string | undefined): Circle | null => {
      const on = section.beams.find((beam) => beam.id === id)?.onBottom;
      return on ? { cx: x(on.centre.x), cy: y(on.centre.y), r: on.acrossM * scale } : null;
    };
    const wide = circle(section.ring?.wideId);
    const narrow = circle(section.ring?.narrowId);
    return wide && narrow ? { wide, notNarrow: allBut(narrow) } : null;
  }
}
