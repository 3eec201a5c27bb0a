import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Store } from '@ngrx/store';
import { offline, type ServerProblem } from '../api/problem.ts';
import { selectKeptAt, selectUnsent, selectWaiting } from '../state/plan.selectors.ts';

const ahead = 409;

/** Whether what was typed is kept: the time means that the server has answered for all of it. */
@Component({
  selector: 'gk-kept-state',
  imports: [DatePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span role="status" class="small" [title]="waiting()?.detail ?? ''">
      @if (unsent().length === 0) {
        <span class="dot kept" aria-hidden="true"></span> kept {{ keptAt() | date: 'HH:mm' }}
      } @else if (waiting(); as problem) {
        <span class="dot waiting" aria-hidden="true"></span>
        {{ unsent().length }} unsent, held here: {{ reason(problem) }}
      } @else {
        <span class="dot" aria-hidden="true"></span> keeping
      }
    </span>
  `,
  styles: `
    span[role='status'] {
      display: inline-block;
      min-width: 84px;
    }
    .dot {
      display: inline-block;
      width: 9px;
      height: 9px;
      border-radius: 50%;
      border: 2px solid var(--faint);
    }
    .dot.kept {
      background: var(--fresh);
      border-color: var(--fresh);
    }
    .dot.waiting {
      border-color: var(--check);
      border-radius: 0;
    }
  `,
})
export class KeptState {
  private readonly store = inject(Store);
  protected readonly unsent = this.store.selectSignal(selectUnsent);
  protected readonly keptAt = this.store.selectSignal(selectKeptAt);
  protected readonly waiting = this.store.selectSignal(selectWaiting);

  protected reason({ status }: ServerProblem): string {
    if (status === offline) return 'no server';
    // A server put back from a backup does not have what these edits build on.
    return status === ahead ? 'the server has an older boat; open her again' : `the server answered ${status}`;
  }
}
