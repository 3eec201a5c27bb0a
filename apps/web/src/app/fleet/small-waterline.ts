import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { FleetEntry } from '@grey-keel/model';

/** From one stage to the next: eight of them fit into their column of the fleet. */
const pitchPx = 26;

/** A boat's own small hull: how far it has come, and where something is stale, missing or stopped. */
@Component({
  selector: 'gk-small-waterline',
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
        <rect [attr.x]="mark.x" y="1" width="24" height="32" [attr.class]="mark.under ? 'under' : 'above'" />
        <text [attr.x]="mark.x + 12" y="22" text-anchor="middle">{{ mark.number }}</text>
        @switch (mark.state) {
          @case ('stop') {
            <rect class="stop" [attr.x]="mark.x + 16" y="3" width="7" height="7" />
          }
          @case ('stale') {
            <rect class="stale" [attr.x]="mark.x + 16" y="4" width="6" height="6" />
          }
        }
      }
      <line [attr.x1]="line()" [attr.x2]="line()" y1="0" y2="34" class="line" />
    </svg>
  `,
  styles: `
    .above {
      fill: var(--hull);
    }
    .under {
      fill: var(--antifoul);
    }
    text {
      fill: var(--on-hull);
      font: 700 13px var(--font);
    }
    .line {
      stroke: var(--sheet);
      stroke-width: 4;
    }
    .stop {
      fill: var(--sign-stop);
      stroke: var(--on-hull);
    }
    .stale {
      fill: none;
      stroke: var(--sign-stale);
      stroke-width: 1.5;
      stroke-dasharray: 2 1.5;
    }
  `,
})
export class SmallWaterline {
  readonly stages = input.required<FleetEntry['stages']>();
  private readonly first = computed(() => {
    const at = this.stages().findIndex(({ state }) => state !== 'fresh');
    return at < 0 ? this.stages().length : at;
  });
  protected readonly width = computed(() => this.stages().length * pitchPx + 6);
  protected readonly line = computed(() => this.first() * pitchPx + 2);
  protected readonly marks = computed(() =>
    this.stages().map(({ number, state }, i) => ({ number, state, x: i * pitchPx + 3, under: i >= this.first() })),
  );
  protected readonly words = computed(() =>
    this.stages()
      .map(({ number, state }) => `stage ${number} ${state}`)
      .join(', '),
  );
}
