import { afterRenderEffect, ChangeDetectionStrategy, Component, inject, input, output, untracked } from '@angular/core';
import { MessageService } from 'primeng/api';
import { Toast } from 'primeng/toast';
import { PressButton } from './press-button.ts';

/** What has been done or refused, and whether it can be undone. */
export interface Told {
  readonly text: string;
  readonly bad: boolean;
  readonly undo: boolean;
}

/** How long good news stays. */
const staysMs = 10_000;

/**
 * What has just been done, at the foot of the page, with the chance to undo it. It stays for ten seconds and while it has
 * the focus or the pointer; what went wrong stays until it is closed.
 */
@Component({
  selector: 'gk-toast',
  imports: [PressButton, Toast],
  providers: [MessageService],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-toast position="bottom-center" [breakpoints]="{ '760px': { width: '92vw' } }" (onClose)="closed.emit()">
      <ng-template #message let-message>
        <div class="told" (focusin)="hold()" (focusout)="letGo()" (pointerenter)="hold()" (pointerleave)="letGo()">
          {{ message.detail }}
          @if (message.data) {
            <button type="button" pButton text (click)="undone.emit()">Undo</button>
          }
        </div>
      </ng-template>
    </p-toast>
  `,
  styles: `
    .told {
      flex: 1;
    }
  `,
})
export class ToastLine {
  readonly told = input.required<Told | null>();
  readonly undone = output();
  readonly closed = output();
  private readonly messages = inject(MessageService);
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    // Once it is drawn: before that nothing listens yet, and the first message would be lost.
    afterRenderEffect((gone) => {
      const told = this.told();
      untracked(() => {
        this.messages.clear();
        if (!told) return;
        this.messages.add({
          severity: told.bad ? 'error' : 'info',
          detail: told.text,
          sticky: true,
          data: told.undo,
        });
        this.letGo();
      });
      gone(() => this.hold());
    });
  }

  protected hold(): void {
    clearTimeout(this.timer);
  }

  protected letGo(): void {
    this.hold();
    if (this.told()?.bad === false) this.timer = setTimeout(() => this.closed.emit(), staysMs);
  }
}
