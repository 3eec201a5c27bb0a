import { ChangeDetectionStrategy, Component, computed, input, model, output } from '@angular/core';
import { measureWorking, type Place, type Ranking, type UnitChoice, whyIt } from '@grey-keel/core';
import type { Criterion, Sentence, WorkingStep } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe, SentencePipe } from '../../shared/figure-pipe.ts';
import { Wide } from '../../shared/wide.ts';
import { ChoiceWarnings } from './choice-warnings.ts';
import { CriterionPipe } from './criterion-words.ts';
import { PressButton } from '../../shared/press-button.ts';

/** The ranked, best first; the open one with what it is weighed by and what it gives up. */
@Component({
  selector: 'gk-ranked-places',
  imports: [ChoiceWarnings, ComputedNumber, CriterionPipe, FigurePipe, PressButton, SentencePipe, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = ranking();
    <section class="sheet" aria-labelledby="ranked-title">
      <h2 id="ranked-title">{{ title() }}</h2>
      <p class="small faint">
        For a fish of {{ it.requirements.lengthCm | figure: 'fishLength' : units() }} at
        {{ it.requirements.workingM | figure: 'depth' : units() : rounded }}, down to
        {{ it.requirements.deepestM | figure: 'depth' : units() : rounded }}; points of 100.
      </p>
      <ol class="places">
        @for (place of it.places; track place.name; let i = $index) {
          <li [class.open]="openName() === place.name">
            <button
              type="button"
              class="place"
              [id]="'place-' + i"
              [attr.aria-expanded]="openName() === place.name"
              (click)="openName.set(openName() === place.name ? '' : place.name)"
            >
              <span class="mono rank">{{ i + 1 }}</span>
              <span class="name">{{ place.name }}</span>
              <span class="bar" aria-hidden="true"><span [style.width.%]="place.score"></span></span>
              <strong class="mono">{{ place.score.toFixed(1) }}</strong>
            </button>
            <p class="small why">{{ reasons()[i] ?? [] | sentence: units() }}</p>
            @if (openName() === place.name) {
              <gk-choice-warnings [candidates]="place.candidates" />
              <button type="button" pButton id="choose-entry" (click)="placed.emit(place)">
                Choose {{ place.ids.length > 1 ? 'both' : place.name }}
              </button>
              <div gkWide>
                <table class="figures" [attr.aria-label]="'What ' + place.name + ' is weighed by'">
                  <thead>
                    <tr>
                      <th scope="col">Weighed by</th>
                      <th scope="col">gives</th>
                      <th scope="col">share of the highest</th>
                      <th scope="col">weight</th>
                      <th scope="col">points</th>
                    </tr>
                  </thead>
                  <tbody>
                    @for (part of place.parts; track part.criterion) {
                      <tr>
                        <td>
                          {{ part.criterion | criterion }}
                          @if (place.givesUp.includes(part.criterion)) {
                            <span class="small up">given up</span>
                          }
                        </td>
                        <td>
                          <gk-number
                            [of]="(part.criterion | criterion) + ' of ' + place.name"
                            [value]="part.figure.value"
                            [quantity]="part.figure.quantity"
                            [decimals]="part.figure.quantity === 'depth' || part.figure.quantity === 'level' ? 0 : null"
                            [figures]="part.figure.quantity === 'depth' ? 3 : null"
                            [steps]="working(part.criterion, place)"
                            without="A round figure of the program's own, not a calculation."
                          />
                          @if (part.figure.quantity === 'level') {
                            <span class="small faint"
                              >to spare at {{ it.requirements.waterM | figure: 'depth' : units() : rounded }}</span
                            >
                          }
                        </td>
                        <td class="mono">{{ (100 * part.utility).toFixed(0) }} %</td>
                        <td class="mono">{{ part.weight }}</td>
                        <td class="mono">{{ part.adds.toFixed(1) }}</td>
                      </tr>
                    }
                  </tbody>
                </table>
              </div>
              @for (remark of place.remarks; track remark) {
                <p class="small">{{ remark }}</p>
              }
            }
          </li>
        } @empty {
          <li>Nothing of the catalogue fits: see what was ruled out, and by what.</li>
        }
      </ol>
    </section>
  `,
  styles: `
    :host {
      display: contents;
    }
    .places {
      margin: 6px 0 0;
      padding: 0;
      list-style: none;
    }
    .places li {
      border-top: var(--hairline) solid var(--rule);
    }
    .places li.open {
      padding-bottom: 10px;
    }
    .place {
      display: grid;
      grid-template-columns: 26px minmax(0, 1fr) 90px 48px;
      gap: 8px;
      align-items: center;
      width: 100%;
      min-height: var(--touch);
      padding: 0;
      border: 0;
      background: none;
      color: var(--ink);
      text-align: left;
      cursor: pointer;
    }
    .bar {
      height: 10px;
      background: var(--water-wash);
    }
    .bar span {
      display: block;
      height: 100%;
      background: var(--water);
    }
    .why {
      margin: 0 56px 8px 34px;
      color: var(--faint);
    }
    .up {
      color: var(--check);
      font-weight: 700;
    }
  `,
})
export class RankedPlaces {
  readonly title = input.required<string>();
  readonly ranking = input.required<Ranking>();
  readonly units = input.required<UnitChoice>();
  readonly openName = model.required<string>();
  readonly placed = output<Place>();
  protected readonly rounded = { decimals: 0, figures: 3 };

  /** Of each in turn why it stands there: the first against the next, any other against the first. */
  protected readonly reasons = computed((): Sentence[] => {
    const { places, requirements } = this.ranking();
    return places.map((place, i) => whyIt(place, places[i === 0 ? 1 : 0], requirements));
  });

  protected working(criterion: Criterion, { measures }: Place): WorkingStep[] {
    return measureWorking(criterion, measures, this.ranking().requirements);
  }
}
