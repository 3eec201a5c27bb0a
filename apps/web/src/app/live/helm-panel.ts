import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { metresFrom } from '@grey-keel/core';
import { type HelmState, helmSchema, helmScripts } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { ChoiceField, choicesOf } from '../shared/choice-field.ts';
import { Fold } from '../shared/fold.ts';
import { PlanFields } from '../shared/plan-fields.ts';
import { roundTicks } from '../shared/round-ticks.ts';
import { PressButton } from '../shared/press-button.ts';
import { QuantityField } from '../shared/quantity-field.ts';
import { SlideField } from '../shared/slide-field.ts';
import { TickField } from '../shared/tick-field.ts';
import { selectUnitChoice } from '../state/view.ts';
import { InstrumentDoors } from './instrument-doors.ts';
import { selectInstruments, selectListened } from './instruments.ts';
import { LiveSamples } from './live-samples.ts';
import { OverTheSidePanel } from './over-the-side.ts';

const width = 240;
const height = 150;
const trackS = 240;
/** The bar of the scale is about so long. */
const barPx = 90;

/** The helm of the simulated boat: wheel and throttle, or a heading to steer, and its track as the position receiver has it. */
@Component({
  selector: 'gk-helm-panel',
  imports: [ChoiceField, Fold, OverTheSidePanel, PlanFields, PressButton, QuantityField, SlideField, TickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (helm(); as it) {
      <section class="sheet" aria-labelledby="helm-title">
        <h2 id="helm-title">Helm of the simulated boat</h2>
        <div class="both">
          <svg viewBox="0 0 ${width} ${height}" role="img" [attr.aria-label]="track().words">
            <path [attr.d]="track().path" class="track" />
            @if (track().boat; as boat) {
              <path d="M0 -11 L6 9 L0 5 L-6 9 Z" [attr.transform]="boat" class="hull" />
            }
            <line x1="10" [attr.x2]="10 + track().bar" y1="${height - 12}" y2="${height - 12}" class="bar" />
            <text x="10" y="${height - 18}">{{ track().barWords }}</text>
            <text x="${width - 6}" y="14" text-anchor="end" class="quiet">north up</text>
          </svg>
          <div class="controls">
            <div class="slides">
              <gk-slide-field
                fieldId="helm-throttle"
                label="Throttle"
                [max]="100"
                [step]="5"
                [value]="100 * it.throttle"
                [words]="percent(it.throttle)"
                (settled)="steer({ throttle: $event / 100 })"
              />
              <gk-slide-field
                fieldId="helm-wheel"
                label="Wheel, port to starboard"
                [min]="-100"
                [max]="100"
                [step]="10"
                [value]="100 * it.wheel"
                [words]="side(it.wheel)"
                (settled)="steer({ wheel: $event / 100, steerDeg: null, script: null })"
              />
            </div>
            <div class="row">
              <gk-quantity-field
                fieldId="helm-heading"
                label="Steer, true heading"
                quantity="angle"
                [decimals]="0"
                [schema]="headingSchema"
                [value]="it.steerDeg"
                (changed)="steer({ steerDeg: $event, wheel: 0, script: null })"
              />
              <button
                type="button"
                pButton
                severity="secondary"
                id="helm-back"
                [disabled]="it.steerDeg === null"
                (click)="turn(180)"
              >
                Turn back
              </button>
              <button
                type="button"
                pButton
                severity="secondary"
                id="helm-across"
                [disabled]="it.steerDeg === null"
                (click)="turn(90)"
              >
                Turn across
              </button>
              <gk-choice-field
                label="Steered"
                fieldId="helm-script"
                [choices]="scripts"
                [value]="it.script ?? ''"
                (changed)="run($event)"
              />
              <gk-tick-field
                label="Engine on"
                fieldId="helm-engine"
                [value]="it.engineOn"
                (changed)="steer({ engineOn: $event })"
              />
              <gk-tick-field
                label="Tells the variation"
                fieldId="helm-variation"
                [value]="it.variationUnsaid !== true"
                (changed)="steer({ variationUnsaid: !$event })"
              />
            </div>
          </div>
          <gk-fold class="entered" heading="Over the side" [(open)]="overOpen">
            @if (overOpen()) {
              <gk-over-the-side />
            }
          </gk-fold>
          <gk-fold class="entered" heading="What is entered in its instruments" [(open)]="enteredOpen">
            @if (enteredOpen()) {
              <div class="three">
                <gk-plan-fields
                  [of]="it.entered"
                  [shape]="enteredShape"
                  [names]="enteredNames"
                  [at]="[]"
                  ids="helm-entered"
                  (changed)="enter($event)"
                />
              </div>
            }
          </gk-fold>
        </div>
      </section>
    }
  `,
  styleUrl: '../shared/drawing.css',
  styles: `
    .both {
      display: grid;
      grid-template-columns: minmax(0, 240px) minmax(220px, 1fr);
      gap: 4px 14px;
    }
    .entered {
      grid-column: 1 / -1;
    }
    .slides,
    .three {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
      gap: 4px 14px;
    }
    .controls {
      display: grid;
      gap: 6px;
      align-content: start;
    }
    .row gk-quantity-field {
      width: 124px;
    }
    .track {
      fill: none;
      stroke: var(--water);
      stroke-width: 2;
    }
    .hull {
      fill: var(--ink);
    }
    .bar {
      stroke: var(--ink);
      stroke-width: 3;
    }
    svg {
      border: var(--hairline) solid var(--rule);
    }
    @media (max-width: 760px) {
      .both {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class HelmPanel {
  private readonly store = inject(Store);
  private readonly live = inject(LiveSamples);
  private readonly doors = inject(InstrumentDoors);
  private readonly instruments = this.store.selectSignal(selectInstruments);
  private readonly listened = this.store.selectSignal(selectListened);
  private readonly units = this.store.selectSignal(selectUnitChoice);
  protected readonly enteredOpen = signal(false);
  protected readonly overOpen = signal(false);
  protected readonly scripts = [{ value: '', label: 'by hand' }, ...choicesOf(helmScripts)];
  protected readonly enteredShape = helmSchema.shape.entered.shape;
  protected readonly enteredNames = ['headingDeg', 'logFactor', 'temperatureByC'] as const;
  protected readonly headingSchema = helmSchema.shape.steerDeg;
  protected readonly helm = computed((): HelmState | null => this.instruments().simulator?.helm ?? null);

  /** The last minutes of the position, to scale, with a bar of a round length. */
  protected readonly track = computed(() => {
    this.live.beat();
    const from = this.live.nowS() - trackS;
    const { latitudeDeg, longitudeDeg, headingMagneticDeg } = this.listened();
    const north = this.live.of(latitudeDeg?.id).filter(({ atS }) => atS > from);
    const east = this.live.of(longitudeDeg?.id).filter(({ atS }) => atS > from);
    const count = Math.min(north.length, east.length);
    const place = (back: number) => ({
      latitudeDeg: north[north.length - 1 - back]?.value ?? 0,
      longitudeDeg: east[east.length - 1 - back]?.value ?? 0,
    });
    // From the newest point, metres east and north.
    const points = Array.from({ length: count }, (_, i) => metresFrom(place(0), place(count - 1 - i))).map((from) => ({
      x: from.east,
      y: from.north,
    }));
    const xs = points.map(({ x }) => x);
    const ys = points.map(({ y }) => y);
    const [west, south] = [Math.min(0, ...xs), Math.min(0, ...ys)];
    const span = Math.max(60, Math.max(0, ...xs) - west, (Math.max(0, ...ys) - south) * 2);
    const scale = (width - 60) / span;
    const at = ({ x, y }: { x: number; y: number }): string =>
      `${(24 + (x - west) * scale).toFixed(1)} ${(height - 50 - (y - south) * scale).toFixed(1)}`;
    const headings = this.live.of(headingMagneticDeg?.id);
    const heading = headings[headings.length - 1]?.value ?? 0;
    const bar = roundTicks('length', barPx / scale, 2, this.units()).at(-1);
    return {
      path: points.map((point, i) => `${i ? 'L' : 'M'}${at(point)}`).join(' '),
      boat: count ? `translate(${at({ x: 0, y: 0 })}) rotate(${heading.toFixed(0)})` : '',
      bar: (bar?.atM ?? 0) * scale,
      barWords: bar?.words ?? '',
      words: count ? `Track of the simulated boat; it points ${heading.toFixed(0)} degrees` : 'No position yet',
    };
  });

  protected percent(share: number): string {
    return `${Math.round(100 * share)} %`;
  }

  protected side(wheel: number): string {
    if (wheel === 0) return 'amidships';
    return `${Math.round(100 * Math.abs(wheel))} % to ${wheel < 0 ? 'port' : 'starboard'}`;
  }

  protected steer(changes: Partial<HelmState>): void {
    const helm = this.helm();
    if (helm) this.doors.steer({ ...helm, ...changes });
  }

  /** A scripted run begins on the heading that is steered, and stops by itself. */
  protected run(script: string): void {
    const wanted = helmScripts.find((one) => one === script) ?? null;
    this.steer({ script: wanted });
  }

  protected enter(changes: Partial<HelmState['entered']>): void {
    const helm = this.helm();
    if (helm) this.steer({ entered: { ...helm.entered, ...changes } });
  }

  protected turn(byDeg: number): void {
    const helm = this.helm();
    if (helm?.steerDeg != null) this.steer({ steerDeg: (helm.steerDeg + byDeg) % 360, script: null });
  }
}
