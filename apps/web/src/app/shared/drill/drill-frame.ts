import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import {
  answerOf,
  exerciseKinds,
  formatFigure,
  makeExercise,
  sceneAt,
  scoreOf,
  targetArea,
  type DrillAnswer,
  type Exercise,
  type FishSeen,
  type MarkStrength,
  type Score,
  type ScoredPart,
} from '@grey-keel/core';
import type { PlacedFish } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { openBoat } from '../open-boat.ts';
import { FishSection, type FishMoved } from './fish-section.ts';
import { MarkPlan, type PlanPlace } from './mark-plan.ts';
import { seriesVariable } from '../../shared/series.ts';

const lowestHz = 30_000;
const octaves = 6;

const showsWords: Readonly<Record<MarkStrength, string>> = {
  strong: 'shows it strong',
  weak: 'shows it weak, at its edge',
  none: 'does not show it',
};

const whyWords: Readonly<Record<FishSeen['state'], string>> = {
  seen: 'it lies outside it, in a side lobe at most',
  faint: 'it is too faint there',
  hidden: "it lies in the bottom's echo",
};

/** Short exercises on this boat in its own water: answered in the drawings, scored by the stages' own calculations. */
@Component({
  selector: 'gk-drill-view',
  imports: [ComputedNumber, FigurePipe, FishSection, MarkPlan],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="drill-title">
      <h2 id="drill-title">Drill</h2>
      @if (round().length === 0) {
        <p>
          Three short exercises on this boat in its water: where a mark is, which beam shows a fish, and which frequency
          covers a range. Each is worth 100; none of it is saved in the plan.
        </p>
        @if (started()) {
          <p class="lost">
            There is nothing to ask yet: describe the water in the brief, and choose two sounders with different cones.
          </p>
        }
        <button type="button" class="action chief" id="drill-start" (click)="start()">Start</button>
      } @else if (exercise(); as it) {
        <p class="small faint">Exercise {{ place() + 1 }} of {{ round().length }}: {{ it.kind }}</p>
        @switch (it.kind) {
          @case ('where is it') {
            <p class="question">
              A mark {{ it.depthM | figure: 'depth' : units() : oneDecimal }} under the faces. Put the cross where it
              can be.
            </p>
            <div class="two">
              <gk-mark-plan
                [boat]="plan().boat"
                [beams]="planBeams()"
                [depthM]="it.depthM"
                [units]="units()"
                [polygons]="area()"
                [mark]="answer()"
                (marked)="put($event)"
              />
              <ul>
                @for (beam of it.beams; track beam.id) {
                  <li>{{ beam.name }} ({{ beam.beamwidthDeg.toFixed(0) }}°) {{ shows[beam.shows] }}</li>
                }
              </ul>
            </div>
          }
          @case ('which beam shows it') {
            <p class="question">
              Move the fish of {{ it.lengthCm | figure: 'fishLength' : units() }} to where
              <strong>{{ it.shows.name }}</strong> shows it in its cone and <strong>{{ it.silent.name }}</strong> does
              not.
            </p>
            @if (scene(); as made) {
              <gk-fish-section
                [plan]="plan()"
                [depthM]="it.depthM"
                [units]="units()"
                [fish]="fish()"
                [scene]="made"
                [tells]="score() !== null"
                (moved)="move($event)"
              />
            }
          }
          @case ('which frequency') {
            <p class="question">
              Choose the highest frequency whose side-scan image still covers
              {{ it.rangeM | figure: 'length' : units() : { decimals: 0 } }} in this water ({{
                it.temperatureC | figure: 'temperature' : units()
              }}, {{ it.salinityPpt | figure: 'salinity' : units() }}).
            </p>
            <label for="drill-frequency" class="small faint">Frequency</label>
            <div class="row slide">
              <input
                id="drill-frequency"
                type="range"
                min="0"
                max="1000"
                [value]="slid()"
                [attr.aria-valuetext]="kHz()"
                [disabled]="score() !== null"
                (input)="slide(+$any($event.target).value)"
              />
              <output for="drill-frequency" class="mono large">{{ kHz() }}</output>
            </div>
          }
        }
        @if (score(); as result) {
          <div class="result" role="status">
            <p>
              <gk-number
                of="Score of the exercise"
                [value]="result.points"
                quantity="count"
                [decimals]="0"
                [large]="true"
                [steps]="result.working"
              />
              of 100
            </p>
            <ul>
              @for (part of result.parts; track $index) {
                <li [class.lost]="!good(part)">{{ inWords(part) }}</li>
              }
            </ul>
          </div>
          <button type="button" class="action chief" id="drill-next" (click)="next()">
            {{ place() + 1 < round().length ? 'Next' : 'How it went' }}
          </button>
        } @else {
          <button type="button" class="action chief" id="drill-score" (click)="mark()">Score it</button>
        }
      } @else {
        <p class="question">{{ total() }} of {{ 100 * round().length }}</p>
        <ul>
          @for (done of round(); track $index; let i = $index) {
            <li>{{ done.kind }}: {{ scores()[i] }}</li>
          }
        </ul>
        <button type="button" class="action chief" id="drill-start" (click)="start()">Three others</button>
      }
    </section>
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
    .slide {
      align-items: center;
      margin-bottom: 14px;
    }
    .slide input {
      flex: 1;
      min-height: var(--touch);
      accent-color: var(--water);
    }
    .large {
      font-size: 22px;
      font-weight: 700;
      min-width: 9ch;
    }
    .lost {
      color: var(--check);
      font-weight: 700;
    }
    button.chief {
      margin-top: 10px;
    }
    @media (max-width: 760px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class DrillView {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly shows = showsWords;
  protected readonly oneDecimal = { decimals: 1 };

  protected readonly started = signal(false);
  protected readonly round = signal<readonly Exercise[]>([]);
  protected readonly place = signal(0);
  protected readonly exercise = computed(() => this.round()[this.place()] ?? null);
  protected readonly answer = signal<DrillAnswer>({ forwardM: 0, starboardM: 0, depthM: 1, frequencyHz: lowestHz });
  protected readonly score = signal<Score | null>(null);
  protected readonly scores = signal<readonly number[]>([]);
  protected readonly total = computed(() => this.scores().reduce((sum, points) => sum + points, 0));

  protected readonly planBeams = computed(() => {
    const it = this.exercise();
    const order = Object.keys(this.plan().transducers).sort();
    return it?.kind === 'where is it'
      ? it.beams.map((beam) => ({ ...beam, colour: seriesVariable(order.indexOf(beam.id)), quiet: false }))
      : [];
  });
  /** Where it can be is drawn once the answer is given. */
  protected readonly area = computed(() => {
    const it = this.exercise();
    if (it?.kind !== 'where is it' || !this.score()) return [];
    const beams = it.beams.map(({ beamwidthDeg, atM, shows }) => ({ beamwidthDeg, atM, shows }));
    return answerOf(targetArea, { beams, depthM: it.depthM }).polygons;
  });
  protected readonly fish = computed((): Readonly<Record<string, PlacedFish>> => {
    const it = this.exercise();
    const { starboardM, depthM } = this.answer();
    return it?.kind === 'which beam shows it'
      ? { fish: { lengthCm: it.lengthCm, forwardM: 0, starboardM, depthM } }
      : {};
  });
  protected readonly scene = computed(() => {
    const it = this.exercise();
    return it?.kind === 'which beam shows it' ? sceneAt(this.plan(), it.depthM, this.fish()) : null;
  });
  protected readonly slid = computed(() => (1000 * Math.log2(this.answer().frequencyHz / lowestHz)) / octaves);
  protected readonly kHz = computed(() =>
    formatFigure({ value: this.answer().frequencyHz, quantity: 'frequency' }, this.units(), { decimals: 0 }),
  );

  protected start(): void {
    const seed = crypto.getRandomValues(new Int32Array(1))[0] ?? 0;
    this.started.set(true);
    this.scores.set([]);
    this.round.set(
      exerciseKinds.flatMap((kind, i) => {
        const exercise = makeExercise(this.plan(), kind, seed + i);
        return exercise ? [exercise] : [];
      }),
    );
    this.show(0);
  }

  protected next(): void {
    this.show(this.place() + 1);
  }

  private show(place: number): void {
    this.place.set(place);
    this.score.set(null);
    const it = this.exercise();
    this.answer.set({
      forwardM: it?.kind === 'where is it' ? it.startsAt.forwardM : 0,
      starboardM: it && 'startsAt' in it ? it.startsAt.starboardM : 0,
      depthM: it?.kind === 'which beam shows it' ? it.startsAt.depthM : 1,
      frequencyHz: 190_000,
    });
  }

  protected put(place: PlanPlace): void {
    if (!this.score()) this.answer.update((before) => ({ ...before, ...place }));
  }

  protected move({ starboardM, depthM }: FishMoved): void {
    if (!this.score()) this.answer.update((before) => ({ ...before, starboardM, depthM }));
  }

  protected slide(step: number): void {
    this.answer.update((before) => ({ ...before, frequencyHz: lowestHz * 2 ** ((octaves * step) / 1000) }));
  }

  protected mark(): void {
    const it = this.exercise();
    if (!it) return;
    const score = scoreOf(this.plan(), it, this.answer());
    this.score.set(score);
    this.scores.update((before) => [...before, score.points]);
  }

  protected good({ is }: ScoredPart): boolean {
    return is === 'inside the area' || is === 'shows it' || is === 'does not show it' || is === 'covers the range';
  }

  protected inWords(part: ScoredPart): string {
    const metres = (value: number): string =>
      formatFigure({ value, quantity: 'length' }, this.units(), { decimals: 1 });
    switch (part.is) {
      case 'inside the area':
        return 'The cross lies where the mark can be, hatched.';
      case 'outside the area':
        return `The cross lies ${metres(part.offM)} outside the water where the mark can be, hatched.`;
      case 'covers the range':
      case 'does not cover the range': {
        const ideal = formatFigure({ value: part.idealHz, quantity: 'frequency' }, this.units(), { decimals: 0 });
        return `That ${part.is}; the highest that does is ${ideal}.`;
      }
      case 'should show it':
        return `${part.beam} does not show it in its cone: ${whyWords[part.why]}.`;
      case 'should not show it':
        return `${part.beam} has it in its cone too.`;
      default:
        return `${part.beam} ${part.is}.`;
    }
  }
}
