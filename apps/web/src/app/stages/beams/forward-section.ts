import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import {
  coveredAhead,
  fansAt,
  formatFigure,
  forwardMounting,
  looksAhead,
  outlineAhead,
  silhouetteOf,
  svgPoints,
  sweptAhead,
  usualForward,
  type Point,
} from '@grey-keel/core';
import {
  forwardModes,
  forwardSettingSchema,
  placedFishSchema,
  type ForwardSetting,
  type PlacedFish,
} from '@grey-keel/model';
import { scaleLinear } from 'd3-scale';
import * as z from 'zod';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { Movable } from '../../shared/movable.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { openBoat } from '../open-boat.ts';
import { seriesVariable } from './series.ts';

const width = 880;
const height = 300;
const left = 66;
const top = 42;

export interface FishMovedAhead {
  readonly id: string;
  readonly forwardM: number;
  readonly depthM: number;
}

/** The boat from starboard with what looks ahead of her, as it is set: its fan, its blind disc, and the fish in it. */
@Component({
  selector: 'gk-forward-section',
  imports: [ChoiceField, ComputedNumber, FigurePipe, Movable, QuantityField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (drawing(); as it) {
      <section class="sheet" aria-labelledby="forward-title">
        <h2 id="forward-title">{{ it.name }}, from starboard</h2>
        <svg
          viewBox="0 0 ${width} ${height}"
          role="group"
          aria-label="The boat from starboard with what looks ahead, and the fish"
        >
          <defs>
            <clipPath id="clip-ahead">
              <rect x="${left}" y="0" width="${width - left}" height="${height}" />
            </clipPath>
          </defs>
          <text x="${left}" y="30" class="quiet">astern</text>
          <text x="${width}" y="30" class="quiet" text-anchor="end">ahead</text>
          <g clip-path="url(#clip-ahead)">
            <rect x="${left}" y="${top}" width="${width - left}" [attr.height]="it.bottomY - ${top}" class="water" />
            <polygon [attr.points]="it.fan" [style.--c]="it.colour" class="beam" />
            <rect
              x="${left}"
              [attr.y]="it.bottomY"
              width="${width - left}"
              [attr.height]="${height} - it.bottomY"
              class="ground"
            />
            @if (it.blind; as blind) {
              <line
                [attr.x1]="blind.from"
                [attr.x2]="blind.to"
                [attr.y1]="it.bottomY"
                [attr.y2]="it.bottomY"
                class="blind"
              />
              <text [attr.x]="blind.middle" [attr.y]="it.bottomY + 20" text-anchor="middle" class="heading">blind</text>
            }
            @for (points of it.boat; track $index) {
              <polygon [attr.points]="points" class="boat" [attr.transform]="it.lean" />
            }
            <line x1="${left}" x2="${width}" y1="${top}" y2="${top}" class="surface" />
          </g>
          @for (tick of it.ticks; track tick.y) {
            <line x1="${left - 6}" x2="${left}" [attr.y1]="tick.y" [attr.y2]="tick.y" class="axis" />
            <text x="${left - 10}" [attr.y]="tick.y + 4" text-anchor="end" class="mono">{{ tick.label }}</text>
          }
          @for (one of it.fish; track one.id) {
            <g
              class="fish"
              gkMovable
              [attr.aria-label]="'Fish ' + one.number + ', ' + one.words + '; arrows move it'"
              [attr.aria-valuenow]="one.depthM"
              [attr.aria-valuetext]="one.words"
              aria-valuemin="0"
              [attr.aria-valuemax]="depthM()"
              [attr.transform]="'translate(' + one.x + ' ' + one.y + ')'"
              (moved)="moveTo(one.id, it.forwardM($event.x), it.depthM($event.y))"
              (nudged)="moveTo(one.id, one.forwardM + $event.right / 10, one.depthM + $event.down / 10)"
              (settled)="settled.emit(one.id)"
            >
              <circle r="22" class="grip" />
              <path d="M-11 0 Q-3 -8 7 0 L13 -5 V5 L7 0 Q-3 8 -11 0 Z" [class.shown]="one.shown" />
              <text x="0" y="-12" text-anchor="middle" class="heading">{{ one.number }}</text>
            </g>
          }
        </svg>
        <div class="fields">
          @if (it.kind === 'forward-facing') {
            <gk-choice-field
              label="Turned to"
              fieldId="forward-mode"
              [value]="setting().mode"
              [choices]="modes"
              (changed)="set({ mode: $event })"
            />
          }
          <gk-quantity-field
            label="Tilt, down"
            fieldId="forward-tilt"
            quantity="angle"
            [value]="setting().tiltDeg"
            [schema]="schema.tiltDeg"
            (changed)="set({ tiltDeg: $event ?? 0 })"
          />
          <gk-quantity-field
            label="Set to look as far as"
            fieldId="forward-range"
            quantity="length"
            [value]="setting().rangeM"
            [schema]="schema.rangeM"
            (changed)="set({ rangeM: $event ?? setting().rangeM })"
          />
          @if (it.kind === 'sector') {
            <gk-quantity-field
              label="Turns, a second"
              fieldId="forward-turn"
              quantity="angle"
              [value]="turnDegPerS()"
              [schema]="turn"
              (changed)="turnDegPerS.set($event ?? 0)"
            />
          }
        </div>
        <button type="button" class="action" (click)="wanted.emit()">Put a fish ahead</button>
        <ul class="small">
          @if (it.view; as view) {
            <li>Hangs {{ mounting() }}.</li>
            @if (view.blindM === null) {
              <li class="lost">It does not meet the bottom within that range: tilt it down, or look further.</li>
            } @else if (view.blindM > 0) {
              <li>
                Blind below: a disc of
                <gk-number
                  of="Radius of the blind disc"
                  [value]="view.blindM"
                  quantity="length"
                  [decimals]="1"
                  [steps]="view.working.slice(0, 1)"
                />
                on the bottom about the unit. A target vanishes exactly when she comes over it.
              </li>
            }
            @if (view.bottomToM !== null) {
              <li>Sees the bottom out to {{ view.bottomToM | figure: 'length' : units() : oneDecimal }}.</li>
            }
            <li>
              The slice is {{ view.sliceM | figure: 'length' : units() : oneDecimal }} thick at that range; what lies in
              it is drawn as one. The picture keeps its proportions with
              <gk-number
                of="Range that keeps the proportions true"
                [value]="view.trueWindowM"
                quantity="length"
                [decimals]="0"
                [steps]="view.working.slice(-1)"
              />
              ahead on a pane half as wide again as it is high; set as it is, it looks
              {{ view.windowProportion.toFixed(1) }} times as far ahead as the water is deep.
            </li>
          }
          @if (it.sector; as sector) {
            <li>
              One sweep takes
              <gk-number
                of="Time of one sweep"
                [value]="sector.sweepS"
                quantity="duration"
                [decimals]="1"
                [steps]="sector.working.slice(0, 1)"
              />
              ; turning so smears a mark by
              <gk-number
                of="Smear at the range"
                [value]="sector.smearM"
                quantity="length"
                [decimals]="1"
                [steps]="sector.working"
              />
              at the far end. Use it with the boat nearly at rest.
            </li>
            <li>
              The bottom lies in the picture
              @for (one of sector.byDepth; track one.waterM; let last = $last) {
                from {{ one.bottomFromM | figure: 'length' : units() : oneDecimal }} out over
                {{ one.waterM | figure: 'depth' : units() : { decimals: 0 } }} of water{{ last ? '.' : ',' }}
              }
            </li>
            @if (sector.surfaceFromM !== null) {
              <li>
                The waves lie in the picture from
                {{ sector.surfaceFromM | figure: 'length' : units() : oneDecimal }} out.
              </li>
            }
          }
        </ul>
      </section>
    }
  `,
  styleUrl: '../../shared/drawing.css',
  styles: `
    .boat {
      stroke: var(--ink);
      stroke-width: 0.8;
    }
    .beam {
      fill: color-mix(in srgb, var(--c) 18%, transparent);
      stroke: var(--c);
      stroke-width: 1.3;
      stroke-dasharray: 5 3;
    }
    .ground {
      fill: var(--art-grey);
      opacity: 0.35;
    }
    .blind {
      stroke: var(--stop);
      stroke-width: 6;
    }
    .lost {
      color: var(--check);
      font-weight: 700;
    }
    button.action {
      margin-top: 10px;
    }
    ul {
      margin: 10px 0 0;
      padding-left: 18px;
    }
  `,
})
export class ForwardSection {
  readonly fish = input.required<Readonly<Record<string, PlacedFish>>>();
  /** While it is dragged; `settled` once when it is let go or a key has moved it. */
  readonly moved = output<FishMovedAhead>();
  readonly settled = output<string>();
  /** A fish ahead of the bow is wanted. */
  readonly wanted = output();

  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly modes = choicesOf(forwardModes);
  protected readonly schema = forwardSettingSchema.shape;
  protected readonly turn = z.number().min(0).max(90);
  protected readonly oneDecimal = { decimals: 1 };
  protected readonly turnDegPerS = signal(6);
  protected readonly depthM = computed(() => this.plan().working.depthM);
  protected readonly setting = computed(() => this.plan().scene.forward ?? usualForward(this.depthM()));
  protected readonly mounting = computed(() => forwardMounting[this.setting().mode]);

  private readonly unit = computed(() => fansAt(this.plan(), this.depthM(), this.fish())?.find(looksAhead));

  /** Pixels a metre, and where the transom stands: room for the boat astern and the range ahead. */
  private readonly frame = computed(() => {
    const unit = this.unit();
    const lengthM = this.plan().boat.lengthM ?? 6;
    const asternM = lengthM * 1.15;
    const aheadM = (unit?.forwardM ?? 0) + this.setting().rangeM * 1.08;
    const perMetre = Math.min((height - top - 30) / (this.depthM() * 1.05), (width - left) / (asternM + aheadM));
    return { perMetre, zero: left + 0.15 * lengthM * perMetre + 4 };
  });

  protected readonly drawing = computed(() => {
    const unit = this.unit();
    if (!unit) return null;
    const { perMetre, zero } = this.frame();
    const depthM = this.depthM();
    const setting = this.setting();
    const x = (metres: number): number => zero + metres * perMetre;
    const y = (metres: number): number => top + metres * perMetre;
    const points = (list: readonly Point[]): string => svgPoints(list.map((p) => ({ x: x(p.x), y: y(p.y) })));
    const turning = unit.kind === 'sector';
    const view = turning ? null : coveredAhead(unit, setting, depthM);
    const swept = (waterM: number) => sweptAhead(unit, setting, waterM, this.turnDegPerS());
    const sector = turning
      ? {
          ...swept(depthM),
          byDepth: [0.25, 0.5, 1].map((share) => ({ waterM: share * depthM, ...swept(share * depthM) })),
        }
      : null;
    const shown = scaleLinear([0, depthM * 1.05], [0, 1]).ticks(4);
    return {
      name: unit.name,
      kind: unit.kind,
      view,
      sector,
      colour: seriesVariable(unit.series),
      forwardM: (pixelX: number): number => (pixelX - zero) / perMetre,
      depthM: (pixelY: number): number => (pixelY - top) / perMetre,
      bottomY: y(depthM),
      fan: points(outlineAhead(unit, setting, depthM, unit.forwardM)),
      blind:
        view && view.blindM !== null && view.blindM > 0
          ? {
              from: x(unit.forwardM - view.blindM),
              to: x(unit.forwardM + view.blindM),
              middle: x(unit.forwardM),
            }
          : null,
      boat: silhouetteOf(this.plan().boat).side.map((list) => points(list.map((p) => ({ x: p.x, y: -p.y })))),
      lean: `rotate(${-(this.plan().scene.pitchDeg ?? 0)} ${x((this.plan().boat.lengthM ?? 6) / 2)} ${top})`,
      ticks: shown.map((metres) => ({
        y: y(metres),
        label: formatFigure({ value: metres, quantity: 'depth' }, this.units(), { decimals: 0 }),
      })),
      fish: Object.keys(this.fish())
        .sort()
        .flatMap((id, i) => {
          const one = this.fish()[id];
          return one
            ? [
                {
                  id,
                  number: i + 1,
                  depthM: one.depthM,
                  forwardM: one.forwardM,
                  x: x(one.forwardM),
                  y: y(one.depthM),
                  shown: unit.seen[id]?.state === 'seen',
                  words: this.inWords(one),
                },
              ]
            : [];
        }),
    };
  });

  private inWords({ forwardM, depthM }: PlacedFish): string {
    const ahead = forwardM - (this.plan().boat.lengthM ?? 6);
    const far = formatFigure({ value: Math.abs(ahead), quantity: 'length' }, this.units(), { decimals: 1 });
    const deep = formatFigure({ value: depthM, quantity: 'depth' }, this.units(), { decimals: 1 });
    return `${deep} deep, ${far} ${ahead < 0 ? 'behind' : 'ahead of'} the bow`;
  }

  protected set(changes: Partial<ForwardSetting>): void {
    this.open.edits.edit('how it looks ahead', {
      type: 'setScene',
      changes: { forward: { ...this.setting(), ...changes } },
    });
  }

  protected moveTo(id: string, forwardM: number, depthM: number): void {
    const tenth = (value: number): number => Math.round(value * 10) / 10;
    const { depthM: range } = placedFishSchema.shape;
    this.moved.emit({
      id,
      forwardM: tenth(forwardM),
      depthM: Math.min(range.maxValue ?? depthM, Math.max(range.minValue ?? 0, tenth(depthM))),
    });
  }
}
