import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { act, sectionAt, workingWater } from '@grey-keel/core';
import { planSchema } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TurnByTurn } from '../../shared/turn-by-turn.ts';
import { openBoat } from '../open-boat.ts';
import { AbsorptionChart } from './absorption-chart.ts';
import { ChosenTable } from './chosen-table.ts';
import { greatestM, leastM } from './section-picture.ts';
import { SectionView } from './section-view.ts';
import { PlanPlace } from '../../shared/plan-place.ts';

/** The section with its footprints, whose bottom can be dragged, and the figures of what is chosen. */
@Component({
  selector: 'gk-section-tab',
  imports: [PlanPlace, AbsorptionChart, ChosenTable, ComputedNumber, FigurePipe, QuantityField, SectionView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section
      class="sheet picture"
      id="section"
      [gkPlace]="sectionPlace"
      tabindex="-1"
      aria-label="Section and footprints"
    >
      <gk-section-view
        [section]="section()"
        [depthM]="depthM()"
        [units]="units()"
        [way]="way()"
        (moved)="drag($event)"
        (settled)="settle($event)"
        (nudged)="settle(bounded(depthM() + $event))"
      />
      <div class="beside">
        <gk-quantity-field
          label="Depth of the bottom"
          fieldId="working-depth"
          [at]="['working', 'depthM']"
          quantity="depth"
          [decimals]="1"
          [value]="besideM()"
          [schema]="depthSchema"
          (changed)="settle($event)"
        />
        @if (ring(); as ring) {
          @if (ring.answer.nearestM !== null && ring.answer.farthestM !== null) {
            <div>
              <p>A mark in the wide cone only lies in the ring:</p>
              <p class="move">
                move
                <gk-number
                  of="Least distance to move"
                  [value]="ring.answer.nearestM"
                  quantity="length"
                  [decimals]="1"
                  [steps]="ring.answer.working"
                />
                to
                <gk-number
                  of="Greatest distance to move"
                  [value]="ring.answer.farthestM"
                  quantity="length"
                  [decimals]="1"
                  [steps]="ring.answer.working"
                />
              </p>
              <p class="small faint">
                from {{ plan().transducers[ring.narrowId]?.name }}. A strong mark in both is nearly below. A view that
                blends both loses this.
              </p>
            </div>
          } @else {
            <p class="faint">The narrow cone covers the wide one here: there is no ring.</p>
          }
        } @else {
          <p class="faint small">
            Two sounders with different cones show between them where a mark lies: a wide one finds it, a narrow one
            says it is below.
          </p>
        }
      </div>
    </section>

    <div class="two">
      <gk-chosen-table
        [footprintM]="footprintM()"
        [absorbedM]="absorbedM()"
        [selected]="selected()"
        (chose)="chose.emit($event)"
      />
      <section
        class="sheet"
        id="absorption-chart"
        [gkPlace]="absorptionPlace"
        tabindex="-1"
        aria-labelledby="absorption-title"
      >
        <h2 id="absorption-title">Frequency, not cone: lost to absorption</h2>
        @if (water(); as here) {
          <p class="small faint">
            to {{ chartM() | figure: 'depth' : units() : { decimals: 1 } }} and back, {{ here.kind }},
            {{ here.temperatureC | figure: 'temperature' : units() }}
          </p>
          <gk-absorption-chart [section]="charted()" [water]="here" [units]="units()" />
        } @else {
          <p class="faint">The water is not described: give its salt and temperature in the brief.</p>
        }
      </section>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .picture {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
    }
    .beside {
      display: grid;
      grid-template-columns: 128px minmax(0, 1fr);
      gap: 4px 16px;
      align-content: start;
      line-height: 1.25;
    }
    .move {
      font-size: 18px;
      font-weight: 700;
    }
    .two {
      display: grid;
      grid-template-columns: minmax(0, 2fr) minmax(0, 1fr);
      gap: 10px;
    }
    @media (min-width: 1101px) {
      /* Over the empty half of the drawing, whose shape is fixed; the sheet grows with long names. */
      .picture > * {
        grid-area: 1 / 1;
      }
      .beside {
        margin: 35.5% 0 0 54.5%;
      }
    }
    @media (max-width: 760px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class SectionTab {
  protected readonly sectionPlace = act('show the section');
  protected readonly absorptionPlace = act('show the absorption');
  /** The id of the transducer whose fields are open. */
  readonly selected = input.required<string | null>();
  readonly chose = output<string>();

  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly way = this.open.way;
  protected readonly depthSchema = planSchema.shape.working.shape.depthM;

  /** The depth under the finger while the bottom is dragged; the plan's own otherwise. */
  protected readonly dragged = linkedSignal<number, number | null>({
    source: () => this.plan().working.depthM,
    computation: () => null,
  });
  protected readonly depthM = computed(() => this.dragged() ?? this.plan().working.depthM);
  protected readonly section = computed(() => sectionAt(this.plan(), this.depthM()));

  /**
   * The figures beside the picture. All of them and the picture are more than one frame holds, so while the bottom is
   * dragged each event brings the picture and one of these up to date, turn by turn.
   */
  protected readonly besideM = linkedSignal(() => this.plan().working.depthM);
  protected readonly footprintM = linkedSignal(() => this.plan().working.depthM);
  protected readonly absorbedM = linkedSignal(() => this.plan().working.depthM);
  protected readonly chartM = linkedSignal(() => this.plan().working.depthM);
  private readonly figures = new TurnByTurn([this.besideM, this.footprintM, this.absorbedM, this.chartM]);

  protected readonly ring = computed(() => sectionAt(this.plan(), this.besideM()).ring);
  protected readonly charted = computed(() => sectionAt(this.plan(), this.chartM()));
  protected readonly water = computed(() => workingWater(this.plan()));

  protected drag(depthM: number): void {
    this.dragged.set(depthM);
    this.figures.follow(depthM);
  }

  protected settle(depthM: number | null): void {
    if (depthM === null) return;
    this.figures.catchUp(depthM);
    this.dragged.set(null);
    if (depthM !== this.plan().working.depthM)
      this.open.edits.edit('the working depth', { type: 'workAtDepth', depthM });
  }

  protected bounded(depthM: number): number {
    return Math.min(greatestM, Math.max(leastM, depthM));
  }
}
