import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { StageState } from '@grey-keel/model';

/** The sign of a stage's state, told apart by its shape: a tick, an empty ring, a broken square, a full square. */
@Component({
  selector: 'gk-state-sign',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 14 14" width="14" height="14" aria-hidden="true">
      @switch (state()) {
        @case ('fresh') {
          <path d="M2 7.5 l3.4 3.6 L12 3.4" class="tick" />
        }
        @case ('stop') {
          <rect x="1.5" y="1.5" width="11" height="11" class="stop" />
        }
        @case ('stale') {
          <rect x="2" y="2" width="10" height="10" class="stale" />
        }
        @default {
          <circle cx="7" cy="7" r="4.6" class="missing" />
        }
      }
    </svg>
  `,
  styles: `
    :host {
      display: inline-flex;
    }
    .tick {
      fill: none;
      stroke: currentcolor;
      stroke-width: 2.4;
    }
    .stop {
      fill: var(--sign-stop);
      stroke: currentcolor;
    }
    .stale {
      fill: none;
      stroke: currentcolor;
      stroke-width: 2;
      stroke-dasharray: 3 2;
    }
    .missing {
      fill: none;
      stroke: currentcolor;
      stroke-width: 2;
    }
  `,
})
export class StateSign {
  readonly state = input.required<StageState>();
}
