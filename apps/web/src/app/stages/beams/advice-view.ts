import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ErrorHandler,
  effect,
  inject,
  output,
  signal,
} from '@angular/core';
import {
  type Candidate,
  entriesOf,
  type PlacedAs,
  questions,
  rankings,
  weightsOf,
  type Question,
  type Ranking,
  type Rankings,
  workingWater,
} from '@grey-keel/core';
import { beamSchools, criteria, type BeamSchool, type Criterion } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { choicesOf } from '../../shared/choice-field.ts';
import { catalogueFeature, catalogueViewEvents } from '../../state/catalogue.ts';
import { SlideField } from '../../shared/slide-field.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { inBackground } from '../../workers/background.ts';
import type { RankingWork } from '../../workers/ranking.worker.ts';
import { AdviceFront } from './advice-front.ts';
import { DisplayAdvice } from './display-advice.ts';
import { CriterionPipe, criterionWords } from './criterion-words.ts';
import { ImagingAdvice } from './imaging-advice.ts';
import { RankedPlaces } from './ranked-places.ts';
import { ChoiceButtons } from '../../shared/choice-buttons.ts';
import { PressButton } from '../../shared/press-button.ts';

/** So many entries are ranked between two frames; more go to a worker. */
const mostAtOnce = 100;

/** Which transducers for this boat: ranked, with what each is weighed by, what it gives up, and what was ruled out. */
@Component({
  selector: 'gk-advice-view',
  imports: [
    AdviceFront,
    ChoiceButtons,
    CriterionPipe,
    DisplayAdvice,
    ImagingAdvice,
    PressButton,
    RankedPlaces,
    SlideField,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet ask" aria-label="The question">
      <gk-choice-buttons
        label="Which transducers, if"
        fieldId="advice-question"
        [value]="question()"
        [choices]="questionChoices"
        (changed)="question.set($event)"
      />
      <gk-choice-buttons
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
      <button type="button" pButton text [attr.aria-expanded]="weighing()" (click)="weighing.set(!weighing())">
        {{ weighing() ? 'Hide the weights' : 'Change the weights' }}
      </button>
    </section>
    @if (weighing()) {
      <section class="sheet weights" aria-label="Weights, 0 to 10">
        @for (one of weights(); track one.criterion) {
          <div>
            <gk-slide-field
              [label]="(one.criterion | criterion) + ' ' + one.weight"
              [fieldId]="'weight-' + one.criterion"
              [max]="10"
              [step]="0.5"
              [value]="one.weight"
              [words]="one.weight + ' of 10'"
              (settled)="reweigh(one.criterion, $event)"
            />
            <span class="small faint">{{ one.words }}</span>
          </div>
        }
        <button type="button" pButton severity="secondary" [disabled]="!moved()" (click)="weigh({ weights: {} })">
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
        <gk-ranked-places
          [title]="titles[question()]"
          [ranking]="it"
          [units]="units()"
          [(openName)]="openName"
          (placed)="place($event.candidates)"
        />
        <div class="side">
          <gk-advice-front [ranking]="it" [units]="units()" [open]="openName()" />
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
        <gk-imaging-advice (placed)="place([$event])" />
      </section>
      <section class="sheet below displays" aria-labelledby="displays-title">
        <gk-display-advice />
      </section>
    } @else if (described()) {
      <p class="sheet" role="status">Weighing {{ size() }} entries of the catalogue.</p>
    } @else {
      <p class="sheet">
        The water is not described: give its salt and temperature in the brief, and the target species.
      </p>
    }
  `,
  styles: `
    /* A table for each station: about as long as it is, so that nothing shifts as it comes into sight. */
    .displays {
      contain-intrinsic-size: auto 1400px;
    }
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
  readonly placed = output<readonly PlacedAs[]>();

  private readonly open = openBoat();
  private readonly store = inject(Store);
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
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
  private readonly errors = inject(ErrorHandler);
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
    const weights = ranking ? weightsOf(this.plan(), ranking.requirements) : null;
    return criteria.map((criterion) => ({
      criterion,
      weight: weights?.[criterion] ?? 0,
      words: criterionWords[criterion],
    }));
  });
  protected readonly moved = computed(() => Object.keys(this.plan().advice.weights).length > 0);

  constructor() {
    this.store.dispatch(catalogueViewEvents.wanted());
    const ranking = inBackground<RankingWork>(
      () => new Worker(new URL('../../workers/ranking.worker', import.meta.url), { type: 'module' }),
    );
    effect(() => {
      const [plan, catalogue, question] = [this.plan(), this.catalogue(), this.question()];
      if (this.status() !== 'ready' || catalogue.length <= mostAtOnce) return;
      void ranking
        .run((worker) => worker.rank(plan, catalogue, question))
        .then((answer) => answer && this.fromWorker.set(answer))
        .catch((error: unknown) => this.errors.handleError(error));
    });
  }

  protected weigh(changes: { school?: BeamSchool; weights?: Partial<Record<Criterion, number>> }): void {
    this.open.edits.edit(changes.school ? 'the school of beams' : 'the weights', { type: 'weighBeams', changes });
  }

  protected reweigh(criterion: Criterion, weight: number): void {
    this.weigh({ weights: { ...this.plan().advice.weights, [criterion]: weight } });
  }

  protected place(candidates: readonly Pick<Candidate, 'id' | 'mounting'>[]): void {
    this.placed.emit(entriesOf(candidates, this.catalogue(), newId));
  }
}
