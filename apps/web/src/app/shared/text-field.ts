import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { wordsOf } from '@grey-keel/model';
import { InputText } from 'primeng/inputtext';
import * as z from 'zod';
import { PlanPlace } from './plan-place.ts';

/** A line of text that is kept when the field is left. */
@Component({
  selector: 'gk-text-field',
  imports: [InputText],
  hostDirectives: [{ directive: PlanPlace, inputs: ['gkPlace: at'] }],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="fieldId()">{{ name() }}</label>
    <input
      pInputText
      type="text"
      autocomplete="off"
      [id]="fieldId()"
      [title]="value()"
      [value]="typed()"
      [attr.data-dirty]="typed() !== value() ? '' : null"
      [attr.aria-invalid]="problem() ? 'true' : null"
      [attr.aria-describedby]="problem() ? fieldId() + '-problem' : null"
      (input)="typed.set($any($event.target).value)"
      (blur)="keep()"
      (keydown.enter)="keep()"
      (keydown.escape)="typed.set(value()); problem.set('')"
    />
    @if (problem(); as words) {
      <span class="problem" role="alert" [id]="fieldId() + '-problem'">{{ words }}</span>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      min-width: 0;
    }
    label {
      font-size: var(--small);
      color: var(--faint);
    }
    input {
      min-height: var(--touch);
      padding: 4px 8px;
      width: 100%;
      text-overflow: ellipsis;
    }
    .problem {
      color: var(--stop);
      font-size: 13px;
    }
  `,
})
export class TextField {
  /** Where it is called otherwise than its schema says. */
  readonly label = input<string>();
  readonly fieldId = input.required<string>();
  readonly value = input.required<string>();
  readonly schema = input.required<z.ZodType<string>>();
  readonly changed = output<string>();

  protected readonly name = computed(() => this.label() ?? wordsOf(this.schema())?.label ?? '');
  protected readonly typed = linkedSignal(() => this.value());
  /** Gone when the field is given another value. */
  protected readonly problem = linkedSignal({ source: () => this.value(), computation: () => '' });

  protected keep(): void {
    const text = this.typed().trim();
    const valid = this.schema().safeParse(text);
    if (!valid.success) return this.problem.set(valid.error.issues[0]?.message ?? 'That cannot be saved.');
    this.problem.set('');
    if (text !== this.value()) this.changed.emit(text);
  }
}
