import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { areaOf, type MarkStrength, type WhereAnswer, type WhereQuestion } from '@grey-keel/core';
import type { Asked } from '../../../shared/drill/drill-row.ts';
import { FigurePipe } from '../../../shared/figure-pipe.ts';
import { seriesVariable } from '../../../shared/series.ts';
import { openBoat } from '../../open-boat.ts';
import { MarkPlan } from '../mark-plan.ts';

const showsWords: Readonly<Record<MarkStrength, string>> = {
  strong: 'shows it strong',
  weak: 'shows it weak, at its edge',
  none: 'does not show it',
};

/** Where a mark is, asked in the plan of the cones. */
@Component({
  selector: 'gk-where-is-it-view',
  imports: [FigurePipe, MarkPlan],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="question">
      A mark {{ it().depthM | figure: 'depth' : units() : oneDecimal }} under the faces. Put the cross where it can be.
    </p>
    <div class="two">
      <gk-mark-plan
        [boat]="asked().plan.boat"
        [beams]="beams()"
        [depthM]="it().depthM"
        [units]="units()"
        [polygons]="area()"
        [mark]="asked().answer()"
        (marked)="put($event)"
      />
      <ul>
        @for (beam of it().beams; track beam.id) {
          <li>{{ beam.name }} ({{ beam.beamwidthDeg.toFixed(0) }}°) {{ shows[beam.shows] }}</li>
        }
      </ul>
    </div>
  `,
  styles: `
    .two {
      display: grid;
      grid-template-columns: minmax(0, 2fr) minmax(0, 1fr);
      gap: 18px;
    }
    .question {
      font-size: 17px;
    }
    @media (max-width: 760px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class WhereIsItView {
  readonly asked = input.required<Asked<WhereQuestion, WhereAnswer>>();
  protected readonly units = openBoat().units;
  protected readonly shows = showsWords;
  protected readonly oneDecimal = { decimals: 1 };
  protected readonly it = computed(() => this.asked().question);
  protected readonly beams = computed(() => {
    const order = Object.keys(this.asked().plan.transducers).sort();
    return this.it().beams.map((beam) => ({ ...beam, colour: seriesVariable(order.indexOf(beam.id)), quiet: false }));
  });
  /** Where it can be is drawn once the answer is given. */
  protected readonly area = computed(() =>
    this.asked().score() ? areaOf(this.it(), this.asked().answer()).polygons : [],
  );

  protected put(place: WhereAnswer): void {
    if (!this.asked().score()) this.asked().answer.set(place);
  }
}
