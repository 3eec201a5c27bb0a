import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { TimesIcon } from 'primeng/icons/times';
import { PressButton } from '../../shared/press-button.ts';

/** What can be done with a reading that is on record: left out and taken back, or deleted. */
@Component({
  selector: 'gk-reading-acts',
  imports: [PressButton, TimesIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button
      type="button"
      pButton
      text
      class="small"
      (click)="leftOutChanged.emit(!leftOut())"
      [attr.aria-label]="(leftOut() ? 'Take back ' : 'Leave out ') + of()"
    >
      {{ leftOut() ? 'take back' : 'leave out' }}
    </button>
    <button type="button" pButton text class="small" (click)="deleted.emit()" [attr.aria-label]="'Delete ' + of()">
      <svg data-p-icon="times" aria-hidden="true"></svg>
    </button>
  `,
  styles: `
    .p-button {
      vertical-align: middle;
      padding: 0 2px;
      min-width: 30px;
    }
    @media (pointer: coarse) {
      .p-button {
        min-width: var(--touch);
      }
    }
  `,
})
export class ReadingActs {
  /** Which reading, in words: "reading 3". */
  readonly of = input.required<string>();
  readonly leftOut = input.required<boolean>();
  readonly leftOutChanged = output<boolean>();
  readonly deleted = output();
}
