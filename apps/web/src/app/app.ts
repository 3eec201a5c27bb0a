import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { Store } from '@ngrx/store';
import { Message } from 'primeng/message';
import { FocusKeeper } from './shell/focus-keeper.ts';
import { selectFault, viewEvents } from './state/view.ts';

@Component({
  selector: 'gk-root',
  imports: [Message, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (fault(); as words) {
      <p-message severity="error" [closable]="true" (onClose)="read()">{{ words }}</p-message>
    }
    <router-outlet />
  `,
  styles: `
    p-message {
      position: fixed;
      inset: 8px 8px auto;
      z-index: 1200;
    }
  `,
})
export class App {
  private readonly store = inject(Store);
  protected readonly fault = this.store.selectSignal(selectFault);

  constructor() {
    inject(FocusKeeper).watch();
  }

  protected read(): void {
    this.store.dispatch(viewEvents.faultRead());
  }
}
