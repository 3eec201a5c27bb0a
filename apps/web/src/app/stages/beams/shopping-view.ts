import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { formatFigure, shoppingOf, type ScorePart } from '@grey-keel/core';
import { Store } from '@ngrx/store';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { catalogueFeature, catalogueViewEvents } from '../../state/catalogue.ts';
import { openBoat } from '../open-boat.ts';
import { Printing } from '../printing.ts';
import { seriesVariable } from '../../shared/series.ts';
import { Wide } from '../../shared/wide.ts';
import { CriterionPipe } from './criterion-words.ts';
import { PressButton } from '../../shared/press-button.ts';

/** What to buy and why: the chosen gear, what it gives together, and what it was compared with. */
@Component({
  selector: 'gk-shopping-view',
  imports: [CriterionPipe, FigurePipe, PressButton, Wide],
  providers: [Printing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <button
        type="button"
        pButton
        id="print-shopping"
        [disabled]="printing.busy()"
        (click)="printing.sheet('shopping', 'A4', 'transducers')"
      >
        Sheet as PDF
      </button>
      @if (printing.message(); as words) {
        <p role="alert">{{ words }}</p>
      }
    </div>
    @let it = shopping();
    <article class="sheet" aria-labelledby="shopping-title">
      <h2 id="shopping-title">{{ plan().boat.name }}: transducers</h2>
      @if (it.ranking; as ranking) {
        <p class="faint">
          For a fish of {{ ranking.requirements.lengthCm | figure: 'fishLength' : units() }} at
          {{ ranking.requirements.workingM | figure: 'depth' : units() }}, down to
          {{ ranking.requirements.deepestM | figure: 'depth' : units() }}; school: {{ plan().advice.school }}.
        </p>
      }
      <div gkWide>
        <table class="figures">
          <thead>
            <tr>
              <th scope="col">Chosen</th>
              <th scope="col">kind</th>
              <th scope="col">mounting</th>
              <th scope="col">frequency and cone at -3 dB</th>
              <th scope="col">place if only one</th>
            </tr>
          </thead>
          <tbody>
            @for (line of it.lines; track line.id; let i = $index) {
              <tr>
                <td class="named"><span class="swatch" [style.background]="colour(i)"></span>{{ line.name }}</td>
                <td>{{ line.kind }}</td>
                <td>{{ line.mounting }}</td>
                <td class="mono">
                  @for (beam of line.beams; track $index) {
                    <div>
                      {{ beam.frequencyHz | figure: 'frequency' : units() }},
                      {{ beam.coneDeg | figure: 'angle' : units() }}
                    </div>
                  }
                </td>
                <td class="mono">{{ line.place ?? '-' }}</td>
              </tr>
            } @empty {
              <tr>
                <td colspan="5">Nothing is chosen yet: see the advice.</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      @if (it.chosen; as chosen) {
        <h3>What it gives, and what it was compared with</h3>
        <div gkWide>
          <table class="figures">
            <thead>
              <tr>
                <th scope="col"></th>
                @for (part of chosen.parts; track part.criterion) {
                  <th scope="col">{{ part.criterion | criterion }}</th>
                }
                <th scope="col">of 100</th>
              </tr>
            </thead>
            <tbody>
              <tr class="chosen">
                <td class="named">The sounders chosen, together</td>
                @for (part of chosen.parts; track part.criterion) {
                  <td class="mono">{{ written(part) }}</td>
                }
                <td class="mono">{{ chosen.score.toFixed(1) }}</td>
              </tr>
              @for (place of it.compared; track place.name) {
                <tr>
                  <td class="named">{{ place.name }}</td>
                  @for (part of place.parts; track part.criterion) {
                    <td class="mono">{{ written(part) }}</td>
                  }
                  <td class="mono">{{ place.score.toFixed(1) }}</td>
                </tr>
              }
            </tbody>
          </table>
        </div>
        @if (chosen.givesUp.length) {
          <p>Given up with it: {{ chosen.givesUp.join(', ') }}.</p>
        }
        @for (remark of chosen.remarks; track remark) {
          <p class="small">{{ remark }}</p>
        }
      }
    </article>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .swatch {
      display: inline-block;
      width: 11px;
      height: 11px;
      margin-right: 8px;
    }
    h3 {
      margin-top: 12px;
    }
    .chosen td {
      font-weight: 700;
    }
  `,
})
export class ShoppingView {
  private readonly open = openBoat();
  private readonly store = inject(Store);
  protected readonly printing = inject(Printing);
  private readonly catalogue = this.store.selectSignal(catalogueFeature.selectAll);
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly colour = seriesVariable;
  protected readonly shopping = computed(() => shoppingOf(this.plan(), this.catalogue()));

  constructor() {
    this.store.dispatch(catalogueViewEvents.wanted());
  }

  protected written({ figure }: ScorePart): string {
    return formatFigure(figure, this.units(), figure.quantity === 'depth' ? { decimals: 0 } : {});
  }
}
