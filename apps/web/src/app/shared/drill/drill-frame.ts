import { NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { openBoat } from '../../stages/open-boat.ts';
import { ComputedNumber } from '../computed-number.ts';
import { SentencePipe } from '../figure-pipe.ts';
import type { DrillRow, Turn } from './drill-row.ts';
import { PressButton } from '../press-button.ts';

/** Short exercises on the boat that is open, one a kind: asked from a seed, scored by the stages' own calculations. */
@Component({
  selector: 'gk-drill-frame',
  imports: [ComputedNumber, NgComponentOutlet, PressButton, SentencePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="drill-title">
      <h2 id="drill-title">Drill</h2>
      @if (round().length === 0) {
        <p>{{ about() }} Each is worth 100; none of it is saved in the plan.</p>
        @if (seed() !== null) {
          <p class="lost">There is nothing to ask yet: {{ needs() }}.</p>
        }
        <button type="button" pButton id="drill-start" (click)="start()">Start</button>
      } @else if (turn(); as it) {
        <p class="small faint">Exercise {{ place() + 1 }} of {{ round().length }}: {{ it.name }}</p>
        <ng-container *ngComponentOutlet="it.view; inputs: it.inputs" />
        @if (it.score(); as result) {
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
                <li [class.lost]="!part.right">{{ part.words | sentence: units() }}</li>
              }
            </ul>
          </div>
          <button type="button" pButton id="drill-next" (click)="place.set(place() + 1)">
            {{ place() + 1 < round().length ? 'Next' : 'How it went' }}
          </button>
        } @else {
          <button type="button" pButton id="drill-score" (click)="it.mark()">Show the score</button>
        }
        <button type="button" pButton severity="secondary" id="drill-over" (click)="again()">Start over</button>
      } @else {
        <p class="question">{{ total() }} of {{ 100 * round().length }}</p>
        <ul>
          @for (done of round(); track $index) {
            <li>{{ done.name }}: {{ done.score()?.points }}</li>
          }
        </ul>
        <button type="button" pButton id="drill-start" (click)="start()">New exercises</button>
        <button type="button" pButton severity="secondary" id="drill-over" (click)="again()">Repeat these</button>
      }
    </section>
  `,
  styles: `
    .question {
      font-size: 17px;
    }
    .lost {
      color: var(--check);
      font-weight: 700;
    }
    button {
      margin: 10px 8px 0 0;
    }
  `,
})
export class DrillFrame {
  readonly rows = input.required<readonly DrillRow[]>();
  /** What is asked here, in a sentence or two. */
  readonly about = input.required<string>();
  /** What the boat must have for any of it, as the end of a sentence. */
  readonly needs = input.required<string>();

  private readonly open = openBoat();
  protected readonly units = this.open.units;
  protected readonly seed = signal<number | null>(null);
  protected readonly round = signal<readonly Turn[]>([]);
  protected readonly place = signal(0);
  protected readonly turn = computed(() => this.round()[this.place()] ?? null);
  protected readonly total = computed(() => this.round().reduce((sum, { score }) => sum + (score()?.points ?? 0), 0));

  protected start(): void {
    this.seed.set(crypto.getRandomValues(new Int32Array(1))[0] ?? 0);
    this.again();
  }

  protected again(): void {
    const seed = this.seed() ?? 0;
    this.place.set(0);
    this.round.set(this.rows().flatMap(({ ask }, i) => ask(this.open.plan(), seed + i) ?? []));
  }
}
