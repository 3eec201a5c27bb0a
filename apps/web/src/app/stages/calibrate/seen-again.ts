import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { PressButton } from '../../shared/press-button.ts';

/** A display may lose what was entered with its power: whether somebody looked again, and the way to say so. */
@Component({
  selector: 'gk-seen-again',
  imports: [DatePipe, PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (at(); as at) {
      <p class="small">Seen again after power off and on, {{ at | date: 'yyyy-MM-dd HH:mm' }}.</p>
    } @else {
      <p class="small">Switch the display off and on, and look whether it is still there.</p>
      <button type="button" pButton severity="secondary" id="seen-again" (click)="say()">It is still there</button>
    }
  `,
})
export class SeenAgain {
  /** Null while nobody looked. */
  readonly at = input.required<string | null>();
  readonly seen = output<string>();

  protected say(): void {
    this.seen.emit(new Date().toISOString());
  }
}
