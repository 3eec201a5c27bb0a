import { ChangeDetectionStrategy, Component, effect, inject, input, linkedSignal, model, output } from '@angular/core';
import { NonNullableFormBuilder, ReactiveFormsModule } from '@angular/forms';
import { type BoatTemplate, boatTemplates, hullForms, nameSchema, type NewBoat } from '@grey-keel/model';
import { Dialog } from 'primeng/dialog';
import { InputText } from 'primeng/inputtext';
import * as z from 'zod';
import { ChoiceField, choicesOf } from '../shared/choice-field.ts';
import { FileButton } from '../shared/file-button.ts';
import { FirstFocus } from '../shared/first-focus.ts';
import { PressButton } from '../shared/press-button.ts';
import { zodProblem, zodValidator } from '../shared/zod-validator.ts';

/** A new boat by its name and hull, or from a bundle. */
@Component({
  selector: 'gk-add-boat-dialog',
  imports: [ChoiceField, Dialog, FileButton, FirstFocus, InputText, PressButton, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog
      header="Add a boat"
      closeAriaLabel="Close"
      [modal]="true"
      [draggable]="false"
      [resizable]="false"
      [dismissableMask]="true"
      [style]="{ width: 'min(480px, 96vw)' }"
      [(visible)]="open"
      gkFirstFocus="new-boat"
    >
      <form [formGroup]="form" (ngSubmit)="make()">
        <label for="new-boat" class="small faint">Name of the boat</label>
        <input
          pInputText
          id="new-boat"
          formControlName="name"
          autocomplete="off"
          [attr.aria-invalid]="shown() ? 'true' : null"
          [attr.aria-describedby]="shown() ? 'new-boat-problem' : null"
        />
        @if (shown(); as words) {
          <p class="problem" id="new-boat-problem" role="alert">{{ words }}</p>
        }
        <gk-choice-field
          label="Start from"
          fieldId="new-template"
          [value]="form.controls.template.value"
          [choices]="templates"
          (changed)="form.patchValue({ template: $event })"
        />
        @if (form.controls.template.value !== '') {
          <p class="small faint">
            What is usual on such a boat is filled in and marked as assumed, until you confirm it. Draught, keel,
            propellers and offsets are yours to measure.
          </p>
        } @else {
          <gk-choice-field
            label="Hull form"
            fieldId="new-hull-form"
            [value]="form.controls.hullForm.value"
            [choices]="hulls"
            (changed)="form.patchValue({ hullForm: $event })"
          />
        }
        <button type="submit" pButton id="make-boat">Add boat</button>
      </form>
      <p class="small faint">
        Or take one over from another shop. To start from a boat of this fleet, duplicate it: what was measured on the
        first is left out.
      </p>
      <gk-file-button
        label="Import bundles"
        fieldId="bundle-in-dialog"
        accept=".json,.zip,application/json,application/zip"
        [several]="true"
        (chosen)="open.set(false); given.emit($event)"
      />
    </p-dialog>
  `,
  styles: `
    form {
      display: grid;
      gap: 8px;
      margin-bottom: 14px;
    }
    input {
      min-height: var(--touch);
    }
    .problem {
      color: var(--stop);
    }
    p {
      margin-bottom: 8px;
    }
  `,
})
export class AddBoatDialog {
  readonly open = model.required<boolean>();
  /** What the server said of the last try. */
  readonly problem = input<string | null>(null);
  readonly named = output<NewBoat>();
  readonly given = output<readonly File[]>();
  private readonly build = inject(NonNullableFormBuilder);
  protected readonly form = this.build.group({
    name: ['', zodValidator(z.string().trim().pipe(nameSchema))],
    template: this.build.control<BoatTemplate | ''>(''),
    hullForm: this.build.control<(typeof hullForms)[number]>('planing monohull'),
  });
  protected readonly templates = [
    { value: '' as const, label: 'nothing: the name and hull alone' },
    ...boatTemplates.map((template) => ({ value: template, label: template })),
  ];
  protected readonly hulls = choicesOf(hullForms);
  protected readonly shown = linkedSignal(() => this.problem());

  constructor() {
    // Before it is drawn: what is typed while it still opens is not lost.
    effect(() => {
      if (!this.open()) return;
      this.form.controls.name.reset();
      this.shown.set(null);
    });
  }

  protected make(): void {
    const { name, hullForm, template } = this.form.getRawValue();
    const wrong = zodProblem(this.form.controls.name);
    if (wrong !== null) return this.shown.set(`New boat: ${wrong}`);
    this.named.emit({ name: name.trim(), ...(template === '' ? { hullForm } : { template }) });
  }
}
