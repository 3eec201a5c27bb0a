import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  type OnInit,
  output,
} from '@angular/core';
import { wordsOf } from '@grey-keel/model';
import { Textarea } from 'primeng/textarea';
import { InputText } from 'primeng/inputtext';
import * as z from 'zod';
import { PlanPlace } from './plan-place.ts';
import { TypedDrafts } from './typed-drafts.ts';
import { bare } from './schema-choices.ts';

/** A line of text, or several where it may be long, saved when the field is left. */
@Component({
  selector: 'gk-text-field',
  imports: [InputText, Textarea],
  host: { '[class.long]': 'long()' },
  hostDirectives: [{ directive: PlanPlace, inputs: ['gkPlace: at'] }],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="fieldId()">{{ name() }}</label>
    @if (long()) {
      <textarea
        pTextarea
        rows="4"
        [id]="fieldId()"
        [value]="typed()"
        [attr.data-dirty]="typed() !== value() ? '' : null"
        [attr.aria-invalid]="problem() ? 'true' : null"
        [attr.aria-describedby]="problem() ? fieldId() + '-problem' : null"
        (input)="typing($any($event.target).value)"
        (blur)="keep()"
        (keydown.escape)="takeBack()"
      ></textarea>
    } @else {
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
        (input)="typing($any($event.target).value)"
        (blur)="keep()"
        (keydown.enter)="keep()"
        (keydown.escape)="takeBack()"
      />
    }
    @if (problem(); as words) {
      <span class="problem" role="alert" [id]="fieldId() + '-problem'">{{ words }}</span>
    }
  `,
  styleUrl: './field.css',
  styles: `
    :host(.long) {
      grid-column: 1 / -1;
    }
    input,
    textarea {
      min-height: var(--touch);
      padding: 4px 8px;
      width: 100%;
      text-overflow: ellipsis;
    }
  `,
})
export class TextField implements OnInit {
  /** Where it is called otherwise than its schema says. */
  readonly label = input<string>();
  readonly fieldId = input.required<string>();
  readonly value = input.required<string>();
  readonly schema = input.required<z.ZodType<string>>();
  readonly changed = output<string>();

  private readonly drafts = inject(TypedDrafts);
  protected readonly name = computed(() => this.label() ?? wordsOf(this.schema())?.label ?? '');
  protected readonly long = computed(() => {
    const inner = bare(this.schema());
    return inner instanceof z.ZodString && (inner.maxLength ?? 0) > 500;
  });
  protected readonly typed = linkedSignal(() => this.value());
  /** Gone when the field is given another value. */
  protected readonly problem = linkedSignal({ source: () => this.value(), computation: () => '' });

  ngOnInit(): void {
    this.drafts.restore(this.fieldId(), this.value(), (typed, problem) => {
      this.typed.set(typed);
      this.problem.set(problem);
    });
  }

  protected typing(text: string): void {
    this.typed.set(text);
    this.drafts.note(this.fieldId(), text, this.value());
  }

  protected takeBack(): void {
    this.typed.set(this.value());
    this.problem.set('');
    this.drafts.forget(this.fieldId());
  }

  protected keep(): void {
    const text = this.typed().trim();
    const valid = this.schema().safeParse(text);
    if (!valid.success) return this.problem.set(valid.error.issues[0]?.message ?? 'That cannot be saved.');
    this.problem.set('');
    this.drafts.forget(this.fieldId());
    if (text !== this.value()) this.changed.emit(text);
  }
}
