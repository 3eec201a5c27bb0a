import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { PressButton } from './press-button.ts';

/** Asks for files of the device. They are read here and sent by whoever asked. */
@Component({
  selector: 'gk-file-button',
  imports: [PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label pButton severity="secondary" [for]="fieldId()">
      {{ label() }}
      <input
        type="file"
        [id]="fieldId()"
        [accept]="accept()"
        [multiple]="several()"
        (change)="take($any($event.target))"
      />
    </label>
  `,
  styles: `
    label {
      position: relative;
    }
    input {
      position: absolute;
      inset: 0;
      width: 100%;
      min-height: var(--touch);
      opacity: 0;
      cursor: pointer;
    }
    label:focus-within {
      outline: 3px solid var(--water);
      outline-offset: 1px;
    }
  `,
})
export class FileButton {
  readonly label = input.required<string>();
  readonly fieldId = input.required<string>();
  readonly accept = input.required<string>();
  readonly several = input(false);
  readonly chosen = output<readonly File[]>();

  protected take(field: HTMLInputElement): void {
    const files = [...(field.files ?? [])];
    // The same file once more is a choice, too.
    field.value = '';
    if (files.length) this.chosen.emit(files);
  }
}
