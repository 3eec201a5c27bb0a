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
import { type Section, toDisplay, toSi, type UnitChoice, unitFor } from '@grey-keel/core';
import type { Way } from '@grey-keel/model';
import { type D3DragEvent, drag } from 'd3-drag';
import { select } from 'd3-selection';
import { Working } from '../../shared/working.ts';
import {
  axisEnd,
  gap,
  greatestM,
  height,
  labelWidth,
  leastM,
  left,
  panel,
  pictureOf,
  planHeight,
  planTop,
  scaleOf,
  top,
  waterHeight,
  width,
} from './section-picture.ts';
import { Wide } from '../../shared/wide.ts';

/**
 * The boat from astern and from starboard with its cones to scale over the bottom, and the footprints in plan below at
 * the same scale and on the same axis. The bottom is dragged, or moved with the arrows, and says so as it goes.
 */
@Component({
  selector: 'gk-section-view',
  hostDirectives: [Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg
      style="--drawn: ${width}px"
      #canvas
      viewBox="0 0 ${width} ${height}"
      role="group"
      aria-label="Section of the boat and its beams"
    >
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
          [attr.aria-label]="label.shown + ' ' + label.cone + ' (' + label.name + '), show the working'"
          (click)="working.show('Cone of ' + label.name, label.cone, label.steps)"
          (keydown.enter)="working.show('Cone of ' + label.name, label.cone, label.steps)"
          (keydown.space)="$event.preventDefault(); working.show('Cone of ' + label.name, label.cone, label.steps)"
        >
          <title>{{ label.name }}</title>
          <rect [attr.x]="label.left" [attr.y]="label.y - 21" width="${labelWidth}" height="48" class="grip" />
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
            {{ label.wide }}
          </text>
          @if (label.sheet) {
            <text
              [attr.x]="label.x"
              [attr.y]="label.y + 29"
              [attr.text-anchor]="label.anchor"
              [style.fill]="label.colour"
            >
              {{ label.sheet }}
            </text>
          }
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
        <rect x="0" y="-24" width="${left}" height="48" class="grip" />
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

  private readonly scale = computed(() => scaleOf(this.section(), this.end()));
  protected readonly drawing = computed(() =>
    pictureOf(this.section(), {
      depthM: this.depthM(),
      endM: this.end(),
      scale: this.scale(),
      units: this.units(),
      way: this.way(),
    }),
  );

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
}
