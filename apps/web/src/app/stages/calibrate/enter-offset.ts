import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import {
  type DepthOffsetAnswer,
  enteredResult,
  entryDoubts,
  lineOfProcedure,
  measuredOffset,
  offsetAtGrounding,
  offsetForDisplay,
} from '@grey-keel/core';
import { asLeftShape } from '@grey-keel/model';
import { FigurePipe, SentencePipe } from '../../shared/figure-pipe.ts';
import { TextField } from '../../shared/text-field.ts';
import { PressButton } from '../../shared/press-button.ts';
import { openBoat } from '../open-boat.ts';
import { EnteredByField } from '../entered-by-field.ts';

/** What is entered, and why where something speaks against it. */
export interface Entering {
  readonly offsetM: number;
  readonly reason: string | null;
}

/** The readings that stand apart, and the offset without them. */
export interface Without {
  readonly offsetM: number;
  readonly readingIds: readonly string[];
  readonly words: string;
}

/** The step from a worked-out offset to one that is in the display: what speaks against it, and why it is entered anyway. */
@Component({
  selector: 'gk-enter-offset',
  imports: [EnteredByField, FigurePipe, PressButton, SentencePipe, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (holdsM(); as holds) {
      <p>
        One offset does not hold at every depth here. Where the boat touches
        <strong class="mono">{{ holds | figure: 'length' : units() : { signed: true } }}</strong> holds.
      </p>
      <button
        type="button"
        pButton
        severity="secondary"
        id="enter-grounding"
        (click)="entered.emit({ offsetM: holds, reason: null })"
        [disabled]="isDone() && isHeld(holds)"
      >
        I have entered {{ holds | figure: 'length' : units() : { signed: true } }}
      </button>
    }
    @if (!isDone() && doubts().length) {
      <ul class="doubts">
        @for (doubt of doubts(); track $index) {
          <li>{{ doubt | sentence: units() }}</li>
        }
      </ul>
      <gk-text-field
        label="Enter it all the same, because"
        fieldId="enter-reason"
        [value]="reason()"
        [schema]="because"
        (changed)="reason.set($event)"
      />
    }
    @if (steppedDown()) {
      <p class="small">
        The display takes {{ taken() | figure: 'length' : units() : { signed: true } }}: the next step of its own that
        shows no more water than there is.
      </p>
    }
    <gk-entered-by-field />
    @if (without(); as other) {
      <button
        type="button"
        pButton
        severity="secondary"
        id="enter-without"
        (click)="leaveOut.emit(other.readingIds)"
        [disabled]="isDone()"
      >
        Leave {{ other.words }} out: {{ other.offsetM | figure: 'length' : units() : { signed: true } }}
      </button>
    }
    <button
      type="button"
      pButton
      id="enter-offset"
      (click)="entered.emit({ offsetM: taken(), reason: doubts().length ? reason() : null })"
      [disabled]="isDone() || (doubts().length > 0 && reason() === '')"
    >
      @if (isDone()) {
        Entered
      } @else {
        I have entered {{ taken() | figure: 'length' : units() : { signed: true } }}{{ without() ? ', with it' : '' }}
      }
    </button>
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    .doubts {
      margin: 0;
      padding-left: 18px;
      color: var(--check);
      font-weight: 700;
    }
  `,
})
export class EnterOffset {
  readonly transducerId = input.required<string>();
  readonly answer = input.required<DepthOffsetAnswer>();
  /** What it would be without the readings that stand apart; null where none does. */
  readonly without = input<Without | null>(null);
  readonly entered = output<Entering>();
  readonly leaveOut = output<readonly string[]>();

  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly because = asLeftShape.reason.unwrap();
  /** Nothing is to be done: it is entered as it is now, and the display was not reset since. */
  protected readonly isDone = computed(
    () =>
      measuredOffset.standing(this.plan(), this.transducerId()).state === 'fresh' &&
      lineOfProcedure(this.plan(), 'depth', this.transducerId())?.standing !== 'look again',
  );
  protected readonly doubts = computed(() => entryDoubts(this.plan(), this.transducerId(), this.answer()));
  protected readonly taken = computed(() => offsetForDisplay(this.plan(), this.transducerId(), this.answer().offsetM));
  /** By more than the figure above it shows. */
  protected readonly steppedDown = computed(() => this.answer().offsetM - this.taken() > 0.005);
  protected readonly holdsM = computed(() => {
    const holds = offsetAtGrounding(this.plan(), this.transducerId(), this.answer());
    return holds && offsetForDisplay(this.plan(), this.transducerId(), holds.value);
  });
  /** Said of one result: gone with the readings it was said of. */
  protected readonly reason = linkedSignal({
    source: () => `${this.transducerId()} ${this.answer().offsetM}`,
    computation: () => '',
  });

  protected isHeld(offsetM: number): boolean {
    const held = enteredResult(this.plan(), 'depth', this.transducerId())?.values[0];
    return held !== undefined && Math.abs(held - offsetM) < 1e-6;
  }
}
