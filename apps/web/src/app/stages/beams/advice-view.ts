import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  output,
  signal,
} from '@angular/core';
import {
  formatFigure,
  measureWorking,
  questions,
  rankings,
  toDisplay,
  unitFor,
  weightsOf,
  type Place,
  type Question,
  type Ranking,
  type Rankings,
  workingWater,
} from '@grey-keel/core';
import {
  beamSchools,
  criteria,
  type BeamSchool,
  type CatalogueEntry,
  type Criterion,
  type WorkingStep,
} from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { scaleLinear } from 'd3-scale';
import { axisLabels, Chart, chartFrame, type Colour } from '../../shared/chart.ts';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { catalogueEvents, catalogueFeature } from '../../state/lists.ts';
import { openBoat } from '../open-boat.ts';
import type { RankingReply, RankingRequest } from '../../workers/ranking-messages.ts';
import { DisplayAdvice } from './display-advice.ts';
import { criterionWords } from './criterion-words.ts';
import { ImagingAdvice } from './imaging-advice.ts';

/** So many entries are ranked between two frames; more go to a worker. */
const mostAtOnce = 100;

/** Which transducers for this boat: ranked, with what each is weighed by, what it gives up, and what was ruled out. */
@Component({
  selector: 'gk-advice-view',
  imports: [Chart, ChoiceField, ComputedNumber, DisplayAdvice, ImagingAdvice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet ask" aria-label="The question">
      <gk-choice-field
        label="Which transducers, if"
        fieldId="advice-question"
        [value]="question()"
        [choices]="questionChoices"
        (changed)="question.set($event)"
      />
      <gk-choice-field
        label="School"
        fieldId="advice-school"
        [value]="plan().advice.school"
        [choices]="schoolChoices"
        (changed)="weigh({ school: $event })"
      />
      @if (ranking(); as it) {
        <p class="small">
          @for (other of schools(); track other.school) {
            <span [class.now]="other.school === plan().advice.school">{{ other.school }}: {{ other.first }}</span>
          }
        </p>
      }
      <button type="button" class="plain" [attr.aria-expanded]="weighing()" (click)="weighing.set(!weighing())">
        {{ weighing() ? 'Fold the weights' : 'Move the weights' }}
      </button>
    </section>
    @if (weighing()) {
      <section class="sheet weights" aria-label="Weights, 0 to 10">
        @for (one of weights(); track one.criterion) {
          <label>
            <span
              >{{ one.criterion }} <strong class="mono">{{ one.weight }}</strong></span
            >
            <input
              type="range"
              min="0"
              max="10"
              step="0.5"
              [id]="'weight-' + one.criterion"
              [value]="one.weight"
              (change)="reweigh(one.criterion, $any($event.target).valueAsNumber)"
            />
            <span class="small faint">{{ one.words }}</span>
          </label>
        }
        <button type="button" class="action" [disabled]="!moved()" (click)="weigh({ weights: {} })">
          The school's own weights
        </button>
      </section>
    }
    @if (status() === 'loading') {
      <p class="sheet" role="status">Reading the catalogue.</p>
    } @else if (status() === 'failed') {
      <p class="sheet" role="alert">The catalogue could not be read. Start the server and open this again.</p>
    } @else if (ranking(); as it) {
      <div class="two">
        <section class="sheet" aria-labelledby="ranked-title">
          <h2 id="ranked-title">{{ titles[question()] }}</h2>
          <p class="small faint">
            For a fish of {{ figure(it.wants.lengthCm, 'fishLength') }} at {{ figure(it.wants.workingM, 'depth') }},
            down to {{ figure(it.wants.deepestM, 'depth') }}; points of 100.
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
                @if (openName() === place.name) {
                  <table class="figures" [attr.aria-label]="'What ' + place.name + ' is weighed by'">
                    <thead>
                      <tr>
                        <th scope="col">Weighed by</th>
                        <th scope="col">gives</th>
                        <th scope="col">of full marks</th>
                        <th scope="col">weight</th>
                        <th scope="col">points</th>
                      </tr>
                    </thead>
                    <tbody>
                      @for (part of place.parts; track part.criterion) {
                        <tr>
                          <td>
                            {{ part.criterion }}
                            @if (place.givesUp.includes(part.criterion)) {
                              <span class="small up">given up</span>
                            }
                          </td>
                          <td>
                            <gk-number
                              [of]="part.criterion + ' of ' + place.name"
                              [value]="part.figure.value"
                              [quantity]="part.figure.quantity"
                              [decimals]="
                                part.figure.quantity === 'depth' || part.figure.quantity === 'level' ? 0 : null
                              "
                              [figures]="part.figure.quantity === 'depth' ? 3 : null"
                              [steps]="working(part.criterion, place)"
                              without="A round figure of the program's own, not a calculation."
                            />
                            @if (part.figure.quantity === 'level') {
                              <span class="small faint">to spare at {{ figure(it.wants.waterM, 'depth') }}</span>
                            }
                          </td>
                          <td class="mono">{{ (100 * part.utility).toFixed(0) }} %</td>
                          <td class="mono">{{ part.weight }}</td>
                          <td class="mono">{{ part.adds.toFixed(1) }}</td>
                        </tr>
                      }
                    </tbody>
                  </table>
                  @for (remark of place.remarks; track remark) {
                    <p class="small">{{ remark }}</p>
                  }
                  <button type="button" class="action" (click)="place_(place)">
                    Place {{ place.ids.length > 1 ? 'both' : 'it' }} on the boat
                  </button>
                }
              </li>
            } @empty {
              <li>Nothing of the catalogue fits: see what was ruled out, and by what.</li>
            }
          </ol>
        </section>
        <div class="side">
          <section class="sheet" aria-labelledby="front-title">
            <h2 id="front-title">Signal against footprint</h2>
            <p class="small faint">
              Over what the fish wants, at {{ figure(it.wants.waterM, 'depth') }}. Filled: none beats it in both. The
              score is not the only way to look at it.
            </p>
            <gk-chart [label]="frontWords()" [height]="250" [options]="front()" />
          </section>
          <section class="sheet" aria-labelledby="out-title">
            <h2 id="out-title">Ruled out</h2>
            <ul class="small">
              @for (one of it.ruledOut; track one.id) {
                <li>
                  <strong>{{ one.name }}</strong>: {{ one.by }}.
                </li>
              } @empty {
                <li>Nothing.</li>
              }
            </ul>
          </section>
        </div>
      </div>
      <section class="sheet" aria-labelledby="imaging-advice-title">
        <gk-imaging-advice (placed)="placed.emit($event)" />
      </section>
      <section class="sheet below" aria-labelledby="displays-title">
        <gk-display-advice />
      </section>
    } @else if (described()) {
      <p class="sheet" role="status">Weighing {{ size() }} entries of the catalogue.</p>
    } @else {
      <p class="sheet">The water is not described: give its salt and temperature in the brief, and what is sought.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .ask {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 16px;
      align-items: end;
    }
    .ask p {
      flex: 1 1 260px;
      display: grid;
    }
    .now {
      font-weight: 700;
    }
    .weights {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
      gap: 8px 18px;
      align-items: start;
    }
    .weights label {
      display: grid;
    }
    .weights label > span:first-child {
      display: flex;
      justify-content: space-between;
    }
    input[type='range'] {
      min-height: var(--touch);
      accent-color: var(--water);
    }
    .two {
      display: grid;
      grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
      gap: 10px;
      align-items: start;
    }
    .side {
      display: grid;
      gap: 10px;
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
    .up {
      color: var(--check);
      font-weight: 700;
    }
    ul {
      margin: 4px 0;
      padding-left: 18px;
    }
    @media (max-width: 1100px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class AdviceView {
  /** What is to be put on the boat, as the catalogue has it. */
  readonly placed = output<CatalogueEntry[]>();

  private readonly open = openBoat();
  private readonly store = inject(Store);
  protected readonly plan = this.open.plan;
  private readonly units = this.open.units;
  private readonly catalogue = this.store.selectSignal(catalogueFeature.selectAll);
  protected readonly status = this.store.selectSignal(catalogueFeature.selectStatus);

  protected readonly questionChoices = choicesOf(questions);
  protected readonly schoolChoices = choicesOf(beamSchools);
  protected readonly titles: Record<Question, string> = {
    'only one': 'If there is to be one',
    'two together': 'Two that complete each other',
    'add to what is there': 'One beside what is aboard',
  };
  protected readonly question = signal<Question>('only one');
  protected readonly weighing = signal(false);
  protected readonly openName = signal('');

  /** What the worker answered last, for a catalogue that would hold up the interface. */
  private readonly fromWorker = signal<Rankings | null>(null);
  protected readonly ranking = computed<Ranking | null>(() => this.ranked()?.chosen ?? null);
  protected readonly schools = computed(() => this.ranked()?.schools ?? []);
  private readonly ranked = computed<Rankings | null>(() => {
    if (this.status() !== 'ready') return null;
    if (this.catalogue().length > mostAtOnce) return this.fromWorker();
    return rankings(this.plan(), this.catalogue(), this.question());
  });
  protected readonly size = computed(() => this.catalogue().length);
  protected readonly described = computed(() => workingWater(this.plan()) !== null);
  protected readonly weights = computed(() => {
    const ranking = this.ranking();
    const weights = ranking ? weightsOf(this.plan(), ranking.wants) : null;
    return criteria.map((criterion) => ({
      criterion,
      weight: weights?.[criterion] ?? 0,
      words: criterionWords[criterion],
    }));
  });
  protected readonly moved = computed(() => Object.keys(this.plan().advice.weights).length > 0);

  constructor() {
    this.store.dispatch(catalogueEvents.wanted());
    let worker: Worker | null = null;
    let turn = 0;
    effect(() => {
      const request: RankingRequest = {
        turn: ++turn,
        plan: this.plan(),
        catalogue: this.catalogue(),
        question: this.question(),
      };
      if (this.status() !== 'ready' || request.catalogue.length <= mostAtOnce) return;
      if (!worker) {
        worker = new Worker(new URL('../../workers/ranking.worker', import.meta.url), { type: 'module' });
        worker.onmessage = ({ data }: MessageEvent<RankingReply>) => {
          if (data.turn === turn) this.fromWorker.set(data.answer);
        };
      }
      worker.postMessage(request);
    });
    inject(DestroyRef).onDestroy(() => worker?.terminate());
  }

  protected figure(value: number, quantity: Parameters<typeof formatFigure>[0]['quantity']): string {
    return formatFigure({ value, quantity }, this.units(), quantity === 'depth' ? { decimals: 0, figures: 3 } : {});
  }

  protected weigh(changes: { school?: BeamSchool; weights?: Partial<Record<Criterion, number>> }): void {
    this.open.edits.edit(changes.school ? 'the school of beams' : 'the weights', { type: 'weighBeams', changes });
  }

  protected reweigh(criterion: Criterion, weight: number): void {
    this.weigh({ weights: { ...this.plan().advice.weights, [criterion]: weight } });
  }

  protected working(criterion: Criterion, { measures }: Place): WorkingStep[] {
    const ranking = this.ranking();
    return ranking ? measureWorking(criterion, measures, ranking.wants) : [];
  }

  protected place_({ ids }: Place): void {
    this.placed.emit(this.catalogue().filter(({ id }) => ids.includes(id)));
  }

  protected readonly frontWords = computed(
    () =>
      `Signal to spare against footprint: ${(this.ranking()?.places ?? [])
        .map(
          ({ name, measures, onFront }) =>
            `${name} ${measures.spareDb.toFixed(0)} dB and ${this.figure(measures.footprintM, 'length')}${onFront ? ', beaten by none' : ''}`,
        )
        .join('; ')}`,
  );

  protected readonly front = computed(() => {
    const places = this.ranking()?.places ?? [];
    const length = unitFor('length', this.units());
    const chosen = this.openName();
    const levels = places.map(({ measures }) => measures.spareDb);
    const [lowestDb = 0, highestDb = 1] = scaleLinear([Math.min(0, ...levels), Math.max(1, ...levels)], [0, 1])
      .nice(5)
      .domain();
    const widest = Math.max(1, ...places.map(({ measures }) => toDisplay(measures.footprintM, length)));
    const [, end = widest] = scaleLinear([0, widest * 1.02], [0, 1])
      .nice(5)
      .domain();
    const middle = Math.max(0, ...places.map(({ measures }) => measures.footprintM)) / 2;
    // The one that is open is named first; a name that would lie on another is left to the list beside.
    const named = places
      .filter(({ onFront, name }) => onFront || name === chosen)
      .sort((a, b) => Number(b.name === chosen) - Number(a.name === chosen))
      .reduce<Place[]>((apart, place) => {
        const clear = apart.every(
          ({ measures }) => Math.abs(measures.spareDb - place.measures.spareDb) > (highestDb - lowestDb) / 9,
        );
        return clear ? [...apart, place] : apart;
      }, []);
    const points = (which: (place: Place) => boolean) =>
      places.filter(which).map(({ measures }) => ({ x: toDisplay(measures.footprintM, length), y: measures.spareDb }));
    return (colour: Colour): ApexCharts.ApexOptions => ({
      ...chartFrame(colour, 'scatter', 250),
      series: [
        { name: 'beaten', data: points(({ onFront, name }) => !onFront && name !== chosen) },
        { name: 'on the front', data: points(({ onFront, name }) => onFront && name !== chosen) },
        { name: 'open in the list', data: points(({ name }) => name === chosen) },
      ],
      colors: [colour('--sheet'), colour('--water'), colour('--series-1')],
      markers: {
        size: [6, 7, 9],
        strokeColors: [colour('--hull'), colour('--water'), colour('--series-1')],
        strokeWidth: 2,
      },
      xaxis: {
        type: 'numeric',
        min: 0,
        max: end,
        tickAmount: scaleLinear([0, end], [0, 1]).ticks(5).length - 1,
        labels: { ...axisLabels(colour), formatter: (value: string) => Number(value).toFixed(0) },
        title: { text: `footprint at the working depth, ${length.symbol}` },
      },
      yaxis: {
        min: lowestDb,
        max: highestDb,
        tickAmount: scaleLinear([lowestDb, highestDb], [0, 1]).ticks(5).length - 1,
        labels: { ...axisLabels(colour), minWidth: 46, formatter: (value: number) => value.toFixed(0) },
        title: { text: 'signal to spare, dB' },
      },
      annotations: {
        points: named.map(({ name, measures }) => ({
          x: toDisplay(measures.footprintM, length),
          y: measures.spareDb,
          marker: { size: 0 },
          label: {
            text: name,
            textAnchor: measures.footprintM < middle ? 'start' : 'end',
            offsetX: measures.footprintM < middle ? 8 : -8,
            offsetY: 14,
            borderWidth: 0,
            style: { background: 'transparent', color: colour('--ink'), fontSize: '11px' },
          },
        })),
      },
    });
  });
}
