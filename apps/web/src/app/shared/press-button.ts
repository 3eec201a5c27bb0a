import { Directive } from '@angular/core';
import { PARENT_INSTANCE } from 'primeng/basecomponent';
import { ButtonDirective, ButtonStyle } from 'primeng/button';

/**
 * The library's button on a plain element. The library looks for attributes that are passed through to it at every check of
 * the view around it; none are, and with a button a row that is a third of what a drag costs.
 */
@Directive({
  selector: '[pButton]',
  providers: [ButtonStyle, { provide: PARENT_INSTANCE, useExisting: PressButton }],
})
export class PressButton extends ButtonDirective {
  /* eslint-disable @angular-eslint/no-empty-lifecycle-method -- Angular calls what the library's class has; only an empty one takes its place. */
  override ngDoCheck(): void {
    // Nothing is passed through.
  }

  override ngAfterContentChecked(): void {
    // Nothing is passed through.
  }

  override ngAfterViewChecked(): void {
    // Nothing is passed through.
  }
}
