import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { fansAt, forwardMounting, looksAhead, usualForward } from '@grey-keel/core';
import {
  forwardModes,
  type ForwardSetting,
  forwardSettingSchema,
  type PlacedFish,
  placedFishSchema,
} from '@grey-keel/model';
import * as z from 'zod';
import { choicesOf } from '../../shared/choice-field.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { Movable } from '../../shared/movable.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { openBoat } from '../open-boat.ts';
import { forwardPicture, height, left, top, width } from './forward-picture.ts';
import { ChoiceButtons } from '../../shared/choice-buttons.ts';
import { PressButton } from '../../shared/press-button.ts';
import { Wide } from '../../shared/wide.ts';

export interface FishMovedAhead {
  readonly id: string;
  readonly forwardM: number;
  readonly depthM: number;
}

/** The boat from starboard with what looks ahead of it, as it is set: its fan, its blind disc, and the fish in it. */
@Component({
  selector: 'gk-forward-section',
  imports: [ChoiceButtons, ComputedNumber, FigurePipe, Movable, PressButton, QuantityField, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (drawing(); as it) {
      <section class="sheet" aria-labelledby="forward-title">
        <h2 id="forward-title">{{ it.name }}, from starboard</h2>
        <div gkWide>
          <svg
            style="--drawn: ${width}px"
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
                <text [attr.x]="blind.middle" [attr.y]="it.bottomY + 20" text-anchor="middle" class="heading">
                  blind
                </text>
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
        </div>
        <div class="fields">
          @if (it.kind === 'forward-facing') {
            <gk-choice-buttons
              label="Turned to"
              fieldId="forward-mode"
              [value]="setting().mode"
              [choices]="modes"
              (changed)="set({ mode: $event })"
            />
          }
          <gk-quantity-field
            fieldId="forward-tilt"
            [value]="setting().tiltDeg"
            [schema]="schema.tiltDeg"
            (changed)="set({ tiltDeg: $event ?? 0 })"
          />
          <gk-quantity-field
            fieldId="forward-range"
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
        <button type="button" pButton severity="secondary" (click)="wanted.emit()">Add a fish ahead</button>
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
                on the bottom about the unit. A target vanishes exactly when the boat comes over it.
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
    button.p-button {
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

  protected readonly drawing = computed(() => {
    const unit = this.unit();
    return unit ? forwardPicture(this.plan(), unit, this.fish(), this.turnDegPerS(), this.units()) : null;
  });

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
