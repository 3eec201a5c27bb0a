import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Store } from '@ngrx/store';
import { offline, type ServerProblem } from '../api/problem.ts';
import {
  selectConflict,
  selectGone,
  selectHeard,
  selectKeptAt,
  selectNumber,
  selectStuck,
  selectUnsent,
  selectWaiting,
} from '../state/plan.selectors.ts';
import { ServerNews } from '../state/server-news.ts';

/**
 * Whether what was typed is saved, and whether what is shown is what is saved: the time is given only while nothing
 * waits here and nothing newer is at the server.
 */
@Component({
  selector: 'gk-saved-state',
  imports: [DatePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span role="status" class="small" [title]="waiting()?.detail ?? ''">
      @switch (standing()) {
        @case ('saved') {
          <span class="dot saved" aria-hidden="true"></span>
          <span class="words">saved {{ savedAt() | date: 'HH:mm' }}</span>
        }
        @case ('saving') {
          <span class="dot" aria-hidden="true"></span> saving
        }
        @case ('behind') {
          <span class="dot" aria-hidden="true"></span> fetching newer changes
        }
        @case ('deleted') {
          <span class="dot waiting" aria-hidden="true"></span> this boat was deleted elsewhere{{ left() }}
        }
        @case ('asking') {
          <span class="dot waiting" aria-hidden="true"></span> not saved yet: choose what stands
        }
        @case ('unheard') {
          <span class="dot waiting" aria-hidden="true"></span> no server; nothing waits here
        }
        @default {
          <span class="dot waiting" aria-hidden="true"></span>
          {{ unsent().length }} unsent, held here: {{ reason() }}
        }
      }
      @if (stuck().length) {
        <span class="dot waiting" aria-hidden="true"></span> {{ stuck().length }} not saved
      }
    </span>
  `,
  styles: `
    span[role='status'] {
      display: inline-block;
      min-width: 84px;
    }
    /* On a phone a full dot says it; a reader of the screen still has the words. */
    @media (max-width: 760px) {
      span[role='status'] {
        min-width: 0;
      }
      .words {
        position: absolute;
        width: 1px;
        height: 1px;
        overflow: hidden;
        clip-path: inset(50%);
        white-space: nowrap;
      }
    }
    .dot {
      display: inline-block;
      margin-right: 4px;
      width: 9px;
      height: 9px;
      border-radius: 50%;
      border: 2px solid var(--faint);
    }
    .dot.saved {
      background: var(--fresh);
      border-color: var(--fresh);
    }
    .dot.waiting {
      border-color: var(--check);
      border-radius: 0;
    }
  `,
})
export class SavedState {
  private readonly store = inject(Store);
  private readonly linked = toSignal(inject(ServerNews).linked, { requireSync: true });
  private readonly gone = this.store.selectSignal(selectGone);
  private readonly heard = this.store.selectSignal(selectHeard);
  private readonly number = this.store.selectSignal(selectNumber);
  private readonly conflict = this.store.selectSignal(selectConflict);
  protected readonly unsent = this.store.selectSignal(selectUnsent);
  protected readonly stuck = this.store.selectSignal(selectStuck);
  protected readonly savedAt = this.store.selectSignal(selectKeptAt);
  protected readonly waiting = this.store.selectSignal(selectWaiting);

  protected readonly standing = computed(() => {
    if (this.gone()) return 'deleted';
    if (this.conflict()) return 'asking';
    if (this.unsent().length) return this.waiting() ? 'held' : 'saving';
    if (!this.linked()) return 'unheard';
    return this.heard() > this.number() ? 'behind' : 'saved';
  });
  protected readonly left = computed(() => (this.unsent().length ? `; ${this.unsent().length} unsent, held here` : ''));
  protected readonly reason = computed(() => reasonOf(this.waiting()));
}

const reasonOf = (problem: ServerProblem | null): string => {
  if (!problem || problem.status === offline) return 'no server';
  return problem.status === 507 ? 'the disk of the server is full' : `the server answered ${problem.status}`;
};
