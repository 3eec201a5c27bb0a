import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { type DepthOffsetAnswer, entryDoubts, measuredOffset, offsetAtGrounding } from '@grey-keel/core';
import { enteredOffsetSchema } from '@grey-keel/model';
import { FigurePipe, SentencePipe } from '../../shared/figure-pipe.ts';
import { TextField } from '../../shared/text-field.ts';
import { PressButton } from '../../shared/press-button.ts';
import { openBoat } from '../open-boat.ts';
import { EnteredByField } from './entered-by-field.ts';

/** What is entered, and why where something speaks against it. */
export interface Entering {
  readonly offsetM: number;
  readonly reason: string | null;
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
        [disabled]="standing().state === 'fresh' && isHeld(holds)"
      >
        I have entered {{ holds | figure: 'length' : units() : { signed: true } }}
      </button>
    }
    @if (standing().state !== 'fresh' && doubts().length) {
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
    <gk-entered-by-field />
    <button
      type="button"
      pButton
      id="enter-offset"
      (click)="entered.emit({ offsetM: answer().offsetM, reason: doubts().length ? reason() : null })"
      [disabled]="standing().state === 'fresh' || (doubts().length > 0 && reason() === '')"
    >
      {{ standing().state === 'fresh' ? 'Entered' : 'I have entered it on the display' }}
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
  readonly entered = output<Entering>();

  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly because = enteredOffsetSchema.shape.reason.unwrap();
  protected readonly standing = computed(() => measuredOffset.standing(this.plan(), this.transducerId()));
  protected readonly doubts = computed(() => entryDoubts(this.plan(), this.transducerId(), this.answer()));
  protected readonly holdsM = computed(
    () => offsetAtGrounding(this.plan(), this.transducerId(), this.answer())?.value ?? null,
  );
  /** Said of one result: gone with the readings it was said of. */
  protected readonly reason = linkedSignal({
    source: () => `${this.transducerId()} ${this.answer().offsetM}`,
    computation: () => '',
  });

  protected isHeld(offsetM: number): boolean {
    const held = this.plan().depthOffsets[this.transducerId()]?.entered?.offsetM;
    return held !== undefined && Math.abs(held - offsetM) < 1e-6;
  }
}
