import { ChangeDetectionStrategy, Component, computed, ElementRef, linkedSignal, viewChild } from '@angular/core';
import {
  bottomAtM,
  formatFigure,
  sceneAt,
  silhouetteOf,
  svgPoints,
  thermoclineError,
  type FishSeen,
  type Point,
} from '@grey-keel/core';
import { placedFishSchema, sceneSchema, type PlacedFish, type Scene } from '@grey-keel/model';
import { scaleLinear } from 'd3-scale';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { seriesVariable } from './series.ts';

const width = 880;
const height = 400;
const left = 66;
const top = 42;
const waterHeight = 320;
const middle = left + (width - left) / 2;

const stateWords: Record<FishSeen['state'], string> = {
  seen: 'seen',
  faint: 'too faint',
  hidden: "in the bottom's echo",
};

/** Fish put into the section over a sloping bottom: which beam shows each, how strong, and at what depth. */
@Component({
  selector: 'gk-scene-view',
  imports: [ComputedNumber, FigurePipe, QuantityField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (drawing(); as it) {
      <section class="sheet" aria-label="Fish and slope, from astern">
        <svg
          #canvas
          viewBox="0 0 ${width} ${height}"
          role="group"
          aria-label="The boat from astern over the bottom, with her cones and the fish"
          (pointermove)="dragged($event)"
          (pointerup)="dropped()"
          (pointercancel)="dropped()"
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
            @for (beam of it.beams; track beam.id) {
              <polygon [attr.points]="beam.cone" [style.--c]="beam.colour" class="beam" />
              <polygon [attr.points]="beam.deadZone" fill="url(#hidden-hatch)" />
            }
            @if (it.layerY !== null) {
              <line x1="${left}" x2="${width}" [attr.y1]="it.layerY" [attr.y2]="it.layerY" class="layer" />
              <text x="${width - 6}" [attr.y]="it.layerY - 5" text-anchor="end" class="quiet">colder below</text>
            }
            <polygon [attr.points]="it.ground" class="ground" />
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
              tabindex="0"
              role="slider"
              [id]="'fish-' + one.id"
              [attr.aria-label]="'Fish ' + (i + 1) + ', ' + one.words + '; arrows move it'"
              [attr.aria-valuenow]="one.fish.depthM"
              [attr.aria-valuetext]="one.words"
              aria-valuemin="0"
              [attr.aria-valuemax]="depthM()"
              [attr.transform]="'translate(' + one.x + ' ' + one.y + ')'"
              (pointerdown)="taken(one.id, $event)"
              (keydown)="pressed(one.id, $event)"
            >
              <circle r="22" class="grip" />
              <path d="M-11 0 Q-3 -8 7 0 L13 -5 V5 L7 0 Q-3 8 -11 0 Z" [class.shown]="one.shown" />
              <text x="0" y="-12" text-anchor="middle" class="heading">{{ i + 1 }}</text>
            </g>
          }
        </svg>
        <div class="row">
          <button type="button" class="action chief" (click)="add()">Put a fish</button>
          <p class="small faint">
            Drag a fish, or choose it and use the arrows; hatched water is hidden in the echo of the bottom.
          </p>
        </div>
        @if (it.fish.length) {
          <div class="wide">
            <table class="figures" aria-label="What each beam makes of each fish">
              <thead>
                <tr>
                  <th scope="col">Fish</th>
                  <th scope="col">beam</th>
                  <th scope="col">shows it</th>
                  <th scope="col">off its axis</th>
                  <th scope="col">over noise</th>
                  <th scope="col">drawn at</th>
                  <th scope="col">too deep by</th>
                </tr>
              </thead>
              <tbody>
                @for (one of it.fish; track one.id; let i = $index) {
                  @for (seen of one.seen; track seen.beamId; let first = $first) {
                    <tr [class.first]="first">
                      <td>
                        @if (first) {
                          <strong>{{ i + 1 }}</strong> {{ one.words }}
                          <button type="button" class="plain small" (click)="remove(one.id)">take out</button>
                        }
                      </td>
                      <td>{{ seen.beam }}</td>
                      <td [class.lost]="seen.state !== 'seen'">
                        {{ one.aground ? 'under the bottom' : states[seen.state]
                        }}{{ seen.state === 'seen' && !seen.insideCone ? ', beside the cone' : '' }}
                      </td>
                      <td class="mono">{{ seen.offAxisDeg | figure: 'angle' : units() }}</td>
                      <td>
                        <gk-number
                          [of]="'Fish ' + (i + 1) + ' over noise by ' + seen.beam"
                          [value]="seen.snrDb"
                          quantity="level"
                          [steps]="seen.working.slice(0, 2)"
                        />
                      </td>
                      <td>
                        <gk-number
                          [of]="'Depth at which ' + seen.beam + ' draws fish ' + (i + 1)"
                          [value]="seen.displayedM"
                          quantity="depth"
                          [steps]="drawnSteps(seen)"
                        />
                      </td>
                      <td class="mono">{{ seen.tooDeepM | figure: 'length' : units() }}</td>
                    </tr>
                  }
                }
              </tbody>
            </table>
          </div>
        }
      </section>
      <section class="sheet" aria-labelledby="lie-title">
        <h2 id="lie-title">Bottom, boat and water</h2>
        <div class="fields">
          <gk-quantity-field
            label="Slope, down to starboard"
            fieldId="scene-slope"
            quantity="angle"
            [value]="scene().slopeDeg"
            [schema]="schema.slopeDeg"
            (changed)="set({ slopeDeg: $event ?? 0 })"
          />
          <gk-quantity-field
            label="Roll to starboard"
            fieldId="scene-roll"
            quantity="angle"
            [value]="scene().rollDeg"
            [schema]="schema.rollDeg"
            (changed)="set({ rollDeg: $event ?? 0 })"
          />
          <gk-quantity-field
            label="Wind"
            fieldId="scene-wind"
            quantity="speed"
            [value]="scene().windMps"
            [schema]="schema.windMps"
            (changed)="set({ windMps: $event ?? 0 })"
          />
          <gk-quantity-field
            label="Colder layer from (empty: none)"
            fieldId="scene-layer"
            quantity="depth"
            [value]="scene().thermocline?.depthM ?? null"
            [schema]="layerDepth"
            (changed)="layer({ depthM: $event })"
          />
          @if (scene().thermocline; as cold) {
            <gk-quantity-field
              label="Colder by"
              fieldId="scene-colder"
              quantity="temperatureDifference"
              [value]="cold.colderByC"
              [schema]="colder"
              (changed)="layer({ colderByC: $event ?? cold.colderByC })"
            />
          }
        </div>
        <ul class="small">
          @for (beam of it.beams; track beam.id) {
            <li>
              {{ beam.name }} reads {{ beam.readsM | figure: 'depth' : units() }} where it is
              {{ beam.belowM | figure: 'depth' : units() }} straight below: the first echo is the nearest point of the
              bottom in the cone.
            </li>
          }
          @if (layered(); as error) {
            <li>
              The colder layer makes a display that reckons with the upper water read
              <gk-number
                of="Depth read through a colder layer"
                [value]="error.readsM"
                quantity="depth"
                [steps]="error.working"
              />
              where there is {{ depthM() | figure: 'depth' : units() }}.
            </li>
          }
        </ul>
      </section>
    } @else {
      <p class="sheet">The water is not described: give its salt and temperature in the brief.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    svg {
      display: block;
      width: 100%;
      max-height: 60vh;
      touch-action: pan-y;
    }
    text {
      font: 13px var(--font);
      fill: var(--ink);
    }
    .heading {
      font-weight: 700;
    }
    .quiet {
      fill: var(--faint);
    }
    .mono {
      font-family: var(--mono);
    }
    .water {
      fill: var(--water-wash);
      opacity: 0.45;
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
    .layer {
      stroke: var(--water);
      stroke-dasharray: 8 5;
    }
    .boat {
      fill: var(--boat);
      stroke: var(--ink);
      stroke-width: 0.8;
    }
    .surface {
      stroke: var(--water);
      stroke-width: 2;
    }
    .axis {
      stroke: var(--ink);
    }
    .fish {
      cursor: move;
      touch-action: none;
    }
    .fish path {
      fill: var(--sheet);
      stroke: var(--ink);
      stroke-width: 1.5;
    }
    .fish path.shown {
      fill: var(--ink);
    }
    .fish:focus-visible {
      outline: none;
    }
    .fish:focus-visible .grip {
      stroke: var(--water);
      stroke-width: 3;
    }
    .grip {
      fill: transparent;
    }
    .row {
      align-items: center;
      margin: 6px 0;
    }
    .wide {
      overflow-x: auto;
    }
    tr.first td {
      border-top: 2px solid var(--rule);
    }
    .lost {
      color: var(--check);
      font-weight: 700;
    }
    ul {
      margin: 10px 0 0;
      padding-left: 18px;
    }
  `,
})
export class SceneView {
  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly states = stateWords;
  protected readonly schema = sceneSchema.shape;
  protected readonly layerDepth = sceneSchema.shape.thermocline.unwrap().shape.depthM.nullable();
  protected readonly colder = sceneSchema.shape.thermocline.unwrap().shape.colderByC;
  protected readonly scene = computed<Scene>(() => this.plan().scene);
  protected readonly depthM = computed(() => this.plan().working.depthM);
  private readonly canvas = viewChild<ElementRef<SVGSVGElement>>('canvas');

  /** Where the fish are while one is moved; the plan's own otherwise. */
  private readonly fish = linkedSignal(() => this.plan().fish);
  private held: string | null = null;

  private readonly perMetre = computed(() => waterHeight / (this.depthM() * 1.15));
  private readonly made = computed(() => sceneAt(this.plan(), this.depthM(), this.fish()));
  protected readonly layered = computed(() => thermoclineError(this.plan(), this.depthM()));

  protected readonly drawing = computed(() => {
    const made = this.made();
    if (!made) return null;
    const scale = this.perMetre();
    const x = (metres: number): number => middle + metres * scale;
    const y = (metres: number): number => top + metres * scale;
    const points = (list: readonly Point[]): string => svgPoints(list.map((p) => ({ x: x(p.x), y: y(p.y) })));
    const halfM = (width - left) / 2 / scale;
    const bottom = (metres: number): Point => ({ x: metres, y: bottomAtM(made.depthM, made.slopeDeg, metres) });
    const edge = [bottom(-halfM), bottom(halfM)];
    const below = (height - top) / scale;
    const thermocline = this.scene().thermocline;
    const ticks = scaleLinear([0, this.depthM() * 1.15], [0, 1]).ticks(6);
    return {
      beams: made.beams.map((beam) => ({
        ...beam,
        cone: points(beam.cone),
        deadZone: points(beam.deadZone),
        colour: seriesVariable(beam.series),
      })),
      water: points([{ x: -halfM, y: 0 }, { x: halfM, y: 0 }, ...[...edge].reverse()]),
      ground: points([...edge, { x: halfM + 1, y: below }, { x: -halfM - 1, y: below }]),
      boat: silhouetteOf(this.plan().boat).astern.map((list) => points(list.map((p) => ({ x: p.x, y: -p.y })))),
      lean: `rotate(${this.scene().rollDeg} ${middle} ${top})`,
      layerY: thermocline ? y(thermocline.depthM) : null,
      ticks: ticks.map((metres) => ({
        y: y(metres),
        label: formatFigure({ value: metres, quantity: 'depth' }, this.units(), { decimals: 0 }),
      })),
      fish: made.fish.map((one) => ({
        ...one,
        x: x(one.fish.starboardM),
        y: y(one.fish.depthM),
        shown: one.seen.some(({ state }) => state === 'seen') && !one.aground,
        words: `${formatFigure({ value: one.fish.lengthCm, quantity: 'fishLength' }, this.units())} at ${formatFigure({ value: one.fish.depthM, quantity: 'depth' }, this.units(), { decimals: 1 })}, ${formatFigure({ value: Math.abs(one.fish.starboardM), quantity: 'length' }, this.units(), { decimals: 1 })} to ${one.fish.starboardM < 0 ? 'port' : 'starboard'}`,
      })),
    };
  });

  protected drawnSteps({ working }: FishSeen) {
    return [...working.slice(0, 1), ...working.slice(2)];
  }

  protected set(changes: Partial<Scene>): void {
    this.open.edits.edit('the bottom, boat and water', { type: 'setScene', changes });
  }

  protected layer(changes: { depthM?: number | null; colderByC?: number }): void {
    if (changes.depthM === null) return this.set({ thermocline: null });
    const before = this.scene().thermocline ?? { depthM: 10, colderByC: 4 };
    this.set({
      thermocline: { depthM: changes.depthM ?? before.depthM, colderByC: changes.colderByC ?? before.colderByC },
    });
  }

  protected add(): void {
    const sought = Object.values(this.plan().sought)[0];
    this.open.edits.edit('put a fish', {
      type: 'placeFish',
      id: newId(),
      fish: {
        lengthCm: sought?.lengthCm ?? 40,
        forwardM: 0,
        starboardM: Math.round(this.depthM()) / 10,
        depthM: Math.round(this.depthM() * 6) / 10,
      },
    });
  }

  protected remove(id: string): void {
    this.open.edits.edit('take a fish out', { type: 'removeFish', id });
  }

  protected taken(id: string, event: PointerEvent): void {
    this.held = id;
    this.canvas()?.nativeElement.setPointerCapture(event.pointerId);
    event.preventDefault();
  }

  protected dragged(event: PointerEvent): void {
    const canvas = this.canvas()?.nativeElement;
    const matrix = canvas?.getScreenCTM();
    if (this.held === null || !matrix) return;
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    const scale = this.perMetre();
    this.moveTo(this.held, (at.x - middle) / scale, (at.y - top) / scale);
  }

  protected dropped(): void {
    const id = this.held;
    this.held = null;
    if (id !== null) this.settle(id);
  }

  protected pressed(id: string, event: KeyboardEvent): void {
    const by = event.shiftKey ? 1 : 0.1;
    const step = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[event.key];
    const fish = this.fish()[id];
    if (event.key === 'Delete') this.remove(id);
    else if (step && fish) {
      this.moveTo(id, fish.starboardM + (step[0] ?? 0), fish.depthM + (step[1] ?? 0));
      this.settle(id);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  }

  private moveTo(id: string, starboardM: number, depthM: number): void {
    const fish = this.fish()[id];
    if (!fish) return;
    const tenth = (value: number): number => Math.round(value * 10) / 10;
    const { depthM: range } = placedFishSchema.shape;
    const moved: PlacedFish = {
      ...fish,
      starboardM: tenth(starboardM),
      depthM: Math.min(range.maxValue ?? depthM, Math.max(range.minValue ?? 0, tenth(depthM))),
    };
    this.fish.update((all) => ({ ...all, [id]: moved }));
  }

  /** One move is one edit, made when the fish is let go. */
  private settle(id: string): void {
    const [moved, before] = [this.fish()[id], this.plan().fish[id]];
    if (!moved || !before || (moved.starboardM === before.starboardM && moved.depthM === before.depthM)) return;
    const { starboardM, depthM } = moved;
    this.open.edits.edit('move a fish', { type: 'describeFish', id, changes: { starboardM, depthM } });
  }
}
