import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  type OnInit,
  output,
  signal,
} from '@angular/core';
import { formatNumber, parseFigure, toDisplay, toSi, unitFor } from '@grey-keel/core/units';
import { wordsOf, type Quantity } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { InputText } from 'primeng/inputtext';
import * as z from 'zod';
import { selectUnitChoice } from '../state/view.ts';
import { TypedDrafts } from './typed-drafts.ts';
import { limitsOf, rangeInWords } from './value-range.ts';
import { PlanPlace } from './plan-place.ts';

/**
 * A number with its unit, typed in the reader's own units and kept in SI. Leaving the field or Enter keeps it; arrows
 * nudge it; Escape takes back what was typed. What cannot be read stays in the field, with what to write instead.
 */
@Component({
  selector: 'gk-quantity-field',
  imports: [InputText],
  hostDirectives: [{ directive: PlanPlace, inputs: ['gkPlace: at'] }],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="fieldId()" [class.hidden-label]="labelHidden()">{{ name() }}</label>
    <span
      class="box"
      [style.--unit-length]="shown().symbol.length"
      [class.is-missing]="value() === null && typed() === ''"
    >
      <input
        pInputText
        type="text"
        inputmode="text"
        autocomplete="off"
        [id]="fieldId()"
        [value]="typed()"
        [attr.data-dirty]="typed() !== written() ? '' : null"
        [attr.aria-invalid]="problem() ? 'true' : null"
        [attr.aria-describedby]="problem() ? fieldId() + '-problem' : null"
        (input)="typing($any($event.target).value)"
        (blur)="keep()"
        (keydown.enter)="keep()"
        (keydown.escape)="takeBack()"
        (keydown.arrowup)="nudge(1, $event)"
        (keydown.arrowdown)="nudge(-1, $event)"
        (keydown.shift.arrowup)="nudge(10, $event)"
        (keydown.shift.arrowdown)="nudge(-10, $event)"
      />
      <span class="unit mono" aria-hidden="true">{{ shown().symbol }}</span>
    </span>
    @if (problem(); as words) {
      <span class="problem" role="alert" [id]="fieldId() + '-problem'">{{ words }}</span>
    }
  `,
  styleUrl: './field.css',
  styles: `
    .box {
      position: relative;
      display: flex;
      min-height: var(--touch);
    }
    input {
      width: 100%;
      padding: 4px calc(14px + 1ch * var(--unit-length, 3)) 4px 6px;
      text-align: right;
      font-family: var(--mono);
      background: transparent;
    }
    input[aria-invalid] {
      border-color: var(--stop);
      border-width: 2px;
    }
    .unit {
      position: absolute;
      right: 8px;
      align-self: center;
      color: var(--faint);
      font-size: var(--small);
      pointer-events: none;
    }
  `,
})
export class QuantityField implements OnInit {
  /** Where it is called otherwise than its schema says. */
  readonly label = input<string>();
  readonly labelHidden = input(false);
  readonly fieldId = input.required<string>();
  readonly value = input.required<number | null>();
  /** The schema of the value in SI: says what it is called and measures, whether it may be missing and between what it lies. */
  readonly schema = input.required<z.ZodType>();
  /** For a number that is no field of the plan, so that its schema does not say it. */
  readonly quantity = input<Quantity>();
  readonly decimals = input<number>();
  readonly changed = output<number | null>();

  private readonly drafts = inject(TypedDrafts);
  private readonly units = inject(Store).selectSignal(selectUnitChoice);
  private readonly words = computed(() => wordsOf(this.schema()));
  protected readonly name = computed(() => this.label() ?? this.words()?.label ?? '');
  private readonly measures = computed(() => this.quantity() ?? this.words()?.quantity ?? 'count');
  protected readonly shown = computed(() => unitFor(this.measures(), this.units()));
  private readonly limits = computed(() => limitsOf(this.schema()));
  private readonly places = computed(() => this.decimals() ?? this.words()?.decimals ?? this.shown().decimals);
  protected readonly written = computed(() => this.write(this.value()));
  /** The newest value, also where keys come faster than it travels through the store and back. */
  private readonly newest = linkedSignal(() => this.value());
  protected readonly typed = linkedSignal(() => this.written());
  protected readonly problem = signal('');

  ngOnInit(): void {
    this.drafts.restore(this.fieldId(), this.standsOn(), (typed, problem) => {
      this.typed.set(typed);
      this.problem.set(problem);
    });
  }

  protected typing(text: string): void {
    this.typed.set(text);
    this.problem.set('');
    this.drafts.note(this.fieldId(), text, this.standsOn());
  }

  protected takeBack(): void {
    this.typed.set(this.written());
    this.problem.set('');
    this.drafts.forget(this.fieldId());
  }

  protected keep(): void {
    const text = this.typed().trim();
    if (text === this.written()) return this.takeBack();
    if (text === '') return this.offer(null);
    const parsed = parseFigure(text, this.measures(), this.units());
    if (!parsed.ok) return this.problem.set(`${this.name()}: ${parsed.message}`);
    this.offer(parsed.value);
  }

  protected nudge(steps: number, event: Event): void {
    event.preventDefault();
    const value = this.newest();
    if (value === null || this.typed() !== this.write(value)) return;
    const next = toSi(toDisplay(value, this.shown()) + steps * this.shown().step, this.shown());
    const limits = this.limits();
    this.offer(limits ? Math.min(limits.high, Math.max(limits.low, next)) : next);
  }

  /** What is typed over: the value in the unit it is shown in. */
  private standsOn(): string {
    return `${this.written()} ${this.shown().symbol}`;
  }

  private write(value: number | null): string {
    return value === null
      ? ''
      : formatNumber(toDisplay(value, this.shown()), this.places(), this.words()?.signed ?? false);
  }

  private offer(value: number | null): void {
    const valid = this.schema().safeParse(value);
    const limits = this.limits();
    if (!valid.success)
      return this.problem.set(
        value === null
          ? `${this.name()} cannot be left empty.`
          : `${this.name()} must lie within ${limits ? rangeInWords(limits, this.shown()) : 'its bounds'}.`,
      );
    this.problem.set('');
    this.drafts.forget(this.fieldId());
    this.newest.set(value);
    this.typed.set(this.write(value));
    this.changed.emit(value);
  }
}
