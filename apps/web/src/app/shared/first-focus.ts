import { Directive, inject, input } from '@angular/core';
import { Dialog } from 'primeng/dialog';

/**
 * The field a dialog begins at, by its id. The library claims the focus once the dialog stands still, wherever it has gone
 * meanwhile: what somebody quick types next would land in the wrong field, or send the form off. Here it is claimed only
 * while it is not in the dialog.
 */
@Directive({ selector: 'p-dialog[gkFirstFocus]' })
export class FirstFocus {
  readonly gkFirstFocus = input.required<string>();

  constructor() {
    const dialog = inject(Dialog);
    dialog.focusOnShow = false;
    dialog.onShow.subscribe(() => {
      const field = document.getElementById(this.gkFirstFocus());
      if (field?.closest('[role=dialog]')?.contains(document.activeElement) === false) field.focus();
    });
  }
}
