import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { absorptionLossDb, formatFigure, lostToAbsorption, type Section, type UnitChoice } from '@grey-keel/core';
import type { Water } from '@grey-keel/model';
import { scaleLinear, scaleLog } from 'd3-scale';
import { line } from 'd3-shape';
import { Working } from '../../shared/working.ts';
import { seriesVariable } from '../../shared/series.ts';

const width = 330;
const height = 190;
const left = 44;
const right = 318;
const top = 14;
const bottom = 158;
const lowestHz = 30_000;
const highestHz = 1_300_000;
const frequencies = Array.from({ length: 49 }, (_, i) => lowestHz * (highestHz / lowestHz) ** (i / 48));
const marked = [45, 95, 190, 380, 700];

interface Dot {
  readonly key: string;
  readonly of: string;
  readonly frequencyHz: number;
  readonly lostDb: number;
  readonly lost: string;
  readonly x: number;
  readonly y: number;
  readonly colour: string;
  /** So close to the next that one figure between them has to do. */
  readonly crowded: boolean;
}

/** What absorption takes to the bottom and back, by frequency: the choice that is not the cone. */
@Component({
  selector: 'gk-absorption-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = drawing();
    <svg viewBox="0 0 ${width} ${height}" role="group" [attr.aria-label]="it.words">
      <line x1="${left}" x2="${left}" y1="${top}" y2="${bottom}" class="axis" />
      <line x1="${left}" x2="${right}" y1="${bottom}" y2="${bottom}" class="axis" />
      <text x="${left + 6}" y="${top + 4}" class="quiet">dB lost</text>
      <text x="${right}" y="${bottom + 30}" text-anchor="end" class="quiet">kHz</text>
      @for (tick of it.levels; track tick.label) {
        <line x1="${left - 5}" x2="${left}" [attr.y1]="tick.y" [attr.y2]="tick.y" class="axis" />
        <text x="${left - 8}" [attr.y]="tick.y + 4" text-anchor="end" class="mono">{{ tick.label }}</text>
      }
      @for (tick of it.kHz; track tick.label) {
        <line [attr.x1]="tick.x" [attr.x2]="tick.x" y1="${bottom}" y2="${bottom + 5}" class="axis" />
        <text [attr.x]="tick.x" y="${bottom + 17}" text-anchor="middle" class="mono">{{ tick.label }}</text>
      }
      <path [attr.d]="it.curve" class="curve" />
      @for (dot of it.dots; track dot.key) {
        <g
          class="spot"
          role="button"
          tabindex="0"
          [attr.aria-label]="dot.of + ': ' + dot.lost + ', show the working'"
          (click)="show(dot)"
          (keydown.enter)="show(dot)"
          (keydown.space)="$event.preventDefault(); show(dot)"
        >
          <circle [attr.cx]="dot.x" [attr.cy]="dot.y" r="27" class="grip" />
          <circle [attr.cx]="dot.x" [attr.cy]="dot.y" r="5" [style.fill]="dot.colour" class="dot" />
          @if (!dot.crowded) {
            <text
              [attr.x]="dot.x - 8"
              [attr.y]="dot.y - 8"
              text-anchor="end"
              class="mono strong"
              [style.fill]="dot.colour"
            >
              {{ dot.lostDb.toFixed(1) }}
            </text>
          }
        </g>
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      max-width: 420px;
    }
    text {
      font: 12px var(--font);
      fill: var(--ink);
    }
    .mono {
      font-family: var(--mono);
    }
    .quiet {
      fill: var(--faint);
    }
    .strong {
      font-weight: 700;
    }
    .axis {
      stroke: var(--ink);
    }
    .curve {
      fill: none;
      stroke: var(--water);
      stroke-width: 2;
    }
    .spot {
      cursor: pointer;
    }
    .grip {
      fill: transparent;
    }
    .dot {
      stroke: var(--sheet);
      stroke-width: 1.5;
    }
  `,
})
export class AbsorptionChart {
  readonly section = input.required<Section>();
  readonly water = input.required<Water>();
  readonly units = input.required<UnitChoice>();

  private readonly working = inject(Working);

  protected readonly drawing = computed(() => {
    const { beams, depthM } = this.section();
    const water = this.water();
    const lost = (frequencyHz: number): number => absorptionLossDb(water, frequencyHz, depthM);
    const x = scaleLog([lowestHz, highestHz], [left, right]);
    const curve = frequencies.map((frequencyHz) => ({ frequencyHz, lostDb: lost(frequencyHz) }));
    const aboard = beams.flatMap(({ transducer }, i) =>
      transducer.beams.map(({ frequencyHz }, k) => ({
        key: `${i}-${k}`,
        of: `Lost to absorption at ${frequencyHz / 1000} kHz by ${transducer.name}`,
        frequencyHz,
        lostDb: lost(frequencyHz),
        i,
      })),
    );
    const most = Math.max(1, ...aboard.map(({ lostDb }) => lostDb));
    const y = scaleLinear([0, most * 1.15], [bottom, top]).nice(5);
    const ceiling = y.domain()[1] ?? most;
    const path = line<(typeof curve)[number]>()
      .x(({ frequencyHz }) => x(frequencyHz))
      .y(({ lostDb }) => y(Math.min(lostDb, ceiling)))
      .defined(({ lostDb }) => lostDb <= ceiling * 1.02);
    const depth = formatFigure({ value: depthM, quantity: 'depth' }, this.units(), { decimals: 1 });
    // Dots that stand on each other keep one figure between them.
    const spots = [...aboard].sort((a, b) => a.frequencyHz - b.frequencyHz);
    return {
      curve: path(curve) ?? '',
      levels: y.ticks(4).map((value) => ({ y: y(value), label: String(value) })),
      kHz: marked.map((kHz) => ({ x: x(kHz * 1000), label: String(kHz) })),
      dots: spots.map(({ i, ...spot }, k): Dot => {
        const next = spots[k + 1];
        return {
          ...spot,
          lost: formatFigure({ value: spot.lostDb, quantity: 'level' }, this.units()),
          x: x(spot.frequencyHz),
          y: y(spot.lostDb),
          colour: seriesVariable(i),
          crowded: next !== undefined && x(next.frequencyHz) - x(spot.frequencyHz) < 22,
        };
      }),
      words: `Absorption to ${depth} and back by frequency: ${spots.map(({ frequencyHz, lostDb }) => `${frequencyHz / 1000} kHz loses ${lostDb.toFixed(1)} dB`).join(', ')}`,
    };
  });

  protected show({ of, lost, frequencyHz }: Dot): void {
    this.working.show(of, lost, lostToAbsorption(this.water(), frequencyHz, this.section().depthM).working);
  }
}
