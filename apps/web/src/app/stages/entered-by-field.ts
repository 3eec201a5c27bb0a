import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { enteredCalibrationSchema } from '@grey-keel/model';
import { TextField } from '../shared/text-field.ts';
import { EnteredBy } from './entered-by.ts';

/** Who enters what was found on the display. */
@Component({
  selector: 'gk-entered-by-field',
  imports: [TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <gk-text-field
      label="Entered by"
      fieldId="entered-by"
      [value]="by()"
      [schema]="schema"
      (changed)="by.set($event)"
    />
  `,
})
export class EnteredByField {
  protected readonly by = inject(EnteredBy).name;
  protected readonly schema = enteredCalibrationSchema.shape.by;
}
