import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RadioButton } from 'primeng/radiobutton';

/** One of several things of which one is so; they share a name. */
@Component({
  selector: 'gk-one-of-field',
  imports: [FormsModule, RadioButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label>
      <p-radiobutton
        [autofocus]="false"
        [name]="name()"
        [value]="true"
        [ngModel]="chosen()"
        [ngModelOptions]="{ standalone: true }"
        (onClick)="picked.emit()"
      />
      {{ label() }}
    </label>
  `,
  styles: `
    :host {
      display: block;
    }
    label {
      display: flex;
      align-items: center;
      gap: 8px;
      min-height: var(--touch);
      cursor: pointer;
    }
  `,
})
export class OneOfField {
  readonly label = input.required<string>();
  /** What those of which one is so are called alike. */
  readonly name = input.required<string>();
  readonly chosen = input.required<boolean>();
  readonly picked = output();
}
