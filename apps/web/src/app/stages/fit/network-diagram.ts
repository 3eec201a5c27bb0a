import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { laidDiagram, layoutGraph, svgPoints, type Diagram, type DiagramNode, type LaidDiagram } from '@grey-keel/core';
import type { ELK } from 'elkjs/lib/elk-api.js';
import { svgPoint } from '../../shared/svg-point.ts';

/** The wiring as boxes and lines, laid out beside the interface; a transducer is dragged onto what takes its cable. */
@Component({
  selector: 'gk-network-diagram',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (drawing(); as it) {
      <svg
        [attr.viewBox]="'0 0 ' + it.width + ' ' + it.height"
        [style.max-width.px]="1.35 * it.width"
        role="img"
        [attr.aria-label]="'Wiring. ' + diagram().words.join(' ')"
        (pointermove)="drag($event)"
        (pointerup)="drop($event)"
        (pointercancel)="held.set(null)"
      >
        @for (line of it.lines; track line.id) {
          <polyline [attr.points]="line.route" class="line" [class.backbone]="line.kind === 'backbone'" />
        }
        @for (line of it.lines; track line.id) {
          @if (line.label) {
            <text [attr.x]="line.x" [attr.y]="line.y" class="label">
              {{ line.label }}
            </text>
          }
        }
        @if (held(); as from) {
          <line [attr.x1]="from.x1" [attr.y1]="from.y1" [attr.x2]="from.x2" [attr.y2]="from.y2" class="pulled" />
        }
        @for (node of it.nodes; track node.id) {
          <g
            class="node {{ node.kind }}"
            [attr.data-node]="node.id"
            [class.wrong]="node.wrong"
            [attr.transform]="'translate(' + node.x + ' ' + node.y + ')'"
            (pointerdown)="take(node, $event)"
          >
            <rect [attr.width]="node.width" [attr.height]="node.height" />
            @for (text of node.lines; track $index) {
              <text x="10" [attr.y]="22 + 16 * $index" [class.name]="$first">{{ text }}</text>
            }
          </g>
        }
      </svg>
    } @else if (failed()) {
      <p role="alert">The diagram could not be laid out. The list below says the same.</p>
    } @else {
      <p role="status" class="faint">Laying out the wiring.</p>
    }
  `,
  styleUrl: '../../shared/drawing.css',
  styles: `
    svg {
      max-height: 62vh;
    }
    text {
      font: 13px var(--font);
      fill: var(--ink);
      pointer-events: none;
    }
    .name {
      font-weight: 700;
    }
    .label {
      font-size: 12px;
      fill: var(--faint);
      paint-order: stroke;
      stroke: var(--sheet);
      stroke-width: 4px;
    }
    rect {
      fill: var(--sheet);
      stroke: var(--ink);
      stroke-width: 1.2;
    }
    .node.transducer {
      cursor: grab;
      touch-action: none;
    }
    .node.transducer rect {
      fill: var(--water-wash);
    }
    .node.backbone rect {
      stroke-width: 3;
    }
    .node.wrong rect {
      stroke: var(--stop);
      stroke-width: 3;
    }
    .line {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.4;
    }
    .line.backbone {
      stroke: var(--water);
      stroke-dasharray: 6 4;
    }
    .pulled {
      stroke: var(--water);
      stroke-width: 3;
    }
  `,
})
export class NetworkDiagram {
  readonly diagram = input.required<Diagram>();
  /** Ids of boxes some rule speaks of. */
  readonly wrong = input<ReadonlySet<string>>(new Set());
  /** A transducer was dropped on a device: both by their ids in the plan. */
  readonly connected = output<{ readonly transducerId: string; readonly to: string }>();

  private readonly laid = signal<LaidDiagram | null>(null);
  protected readonly failed = signal(false);
  protected readonly held = signal<{
    readonly id: string;
    readonly x1: number;
    readonly y1: number;
    readonly x2: number;
    readonly y2: number;
  } | null>(null);

  protected readonly drawing = computed(() => {
    const laid = this.laid();
    return (
      laid && {
        ...laid,
        nodes: laid.nodes.map((node) => ({ ...node, wrong: this.wrong().has(node.id) })),
        lines: laid.lines.map((line) => ({ ...line, route: svgPoints(line.points) })),
      }
    );
  });

  constructor() {
    let elk: ELK | null = null;
    let turn = 0;
    effect(() => {
      const diagram = this.diagram();
      const mine = ++turn;
      void import('elkjs/lib/elk-api.js').then(async ({ default: Elk }) => {
        elk ??= new Elk({
          workerFactory: () =>
            new Worker(new URL('../../workers/graph-layout.worker', import.meta.url), { type: 'module' }),
        });
        const start = performance.now();
        try {
          const graph = await elk.layout(layoutGraph(diagram));
          performance.measure('lay out the wiring', { start });
          // A newer drawing is under way: what came late is not shown.
          if (mine === turn) this.laid.set(laidDiagram(diagram, graph));
        } catch {
          if (mine === turn) this.failed.set(true);
        }
      });
    });
    inject(DestroyRef).onDestroy(() => {
      turn += 1;
      elk?.terminateWorker();
    });
  }

  protected take(node: DiagramNode & { x: number; y: number }, event: PointerEvent): void {
    if (node.kind !== 'transducer') return;
    const [x, y] = [node.x + node.width, node.y + node.height / 2];
    this.held.set({ id: node.id.slice(2), x1: x, y1: y, x2: x, y2: y });
    event.preventDefault();
  }

  protected drag(event: PointerEvent): void {
    const from = this.held();
    const at = from && svgPoint(event.currentTarget as SVGSVGElement, event);
    if (from && at) this.held.set({ ...from, x2: at.x, y2: at.y });
  }

  protected drop(event: PointerEvent): void {
    const from = this.held();
    this.held.set(null);
    const under = document.elementFromPoint(event.clientX, event.clientY)?.closest('[data-node]');
    const id = under?.getAttribute('data-node') ?? '';
    const kind = this.diagram().nodes.find((node) => node.id === id)?.kind;
    if (from && (kind === 'display' || kind === 'module'))
      this.connected.emit({ transducerId: from.id, to: id.slice(2) });
  }
}
