import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { FleetEntry } from '@grey-keel/model';
import { stateWords } from '../shared/state-words.ts';

/** From one stage to the next: eight of them fit into their column of the fleet. */
const pitchPx = 26;

/** A boat's own small ladder: which stages are done, which are to do, out of date or stopped. */
@Component({
  selector: 'gk-small-ladder',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + width() + ' 34'"
      [attr.width]="width()"
      height="34"
      role="img"
      [attr.aria-label]="words()"
    >
      @for (mark of marks(); track mark.number) {
        <rect [attr.x]="mark.x + 0.5" y="1" width="23" height="32" class="mark {{ mark.state }}" />
        <text [attr.x]="mark.x + 12" y="26" text-anchor="middle" class="number {{ mark.state }}">
          {{ mark.number }}
        </text>
        @switch (mark.state) {
          @case ('fresh') {
            <path class="tick" [attr.d]="'M' + (mark.x + 14) + ' 6.5 l2.6 2.8 l5 -6'" />
          }
          @case ('stop') {
            <rect class="stop" [attr.x]="mark.x + 16" y="3" width="7" height="7" />
          }
          @case ('stale') {
            <rect class="stale" [attr.x]="mark.x + 16" y="4" width="6" height="6" />
          }
        }
      }
    </svg>
  `,
  styles: `
    .mark {
      fill: var(--hull);
    }
    /* Bare while it is still to be done. */
    .mark.missing {
      fill: var(--sheet);
      stroke: var(--hull);
    }
    .mark.stop {
      fill: var(--antifoul);
    }
    .number {
      fill: var(--on-hull);
      font: 700 13px var(--font);
    }
    .number.missing {
      fill: var(--ink);
    }
    .tick {
      fill: none;
      stroke: var(--on-hull);
      stroke-width: 1.6;
    }
    rect.stop:not(.mark) {
      fill: var(--sign-stop);
      stroke: var(--on-hull);
    }
    rect.stale:not(.mark) {
      fill: none;
      stroke: var(--sign-stale);
      stroke-width: 1.5;
      stroke-dasharray: 2 1.5;
    }
  `,
})
export class SmallLadder {
  readonly stages = input.required<FleetEntry['stages']>();
  protected readonly width = computed(() => this.stages().length * pitchPx + 2);
  protected readonly marks = computed(() =>
    this.stages().map(({ number, state }, i) => ({ number, state, x: i * pitchPx + 1 })),
  );
  protected readonly words = computed(() =>
    this.stages()
      .map(({ number, state }) => `stage ${number} ${stateWords[state]}`)
      .join(', '),
  );
}
