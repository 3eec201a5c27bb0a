import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { stageAfter } from '@grey-keel/core';
import type { Stage } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { stageRegister } from '../stages/stages.ts';
import { selectStages } from '../state/plan.selectors.ts';

/** At the foot of a stage: on to the next that is not done. */
@Component({
  selector: 'gk-next-stage',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (next(); as entry) {
      <a [routerLink]="['/boats', boatId(), entry.stage]" id="next-stage">Next: {{ entry.title }}</a>
    } @else {
      <span class="small faint">Every stage is done.</span>
    }
  `,
  styles: `
    :host {
      display: flex;
      justify-content: flex-end;
      padding-top: 12px;
    }
    @media print {
      :host {
        display: none;
      }
    }
    a {
      display: inline-flex;
      align-items: center;
      min-height: var(--touch);
      padding: 0 18px;
      font-weight: 700;
      color: var(--on-hull);
      background: var(--hull);
      text-decoration: none;
    }
  `,
})
export class NextStage {
  readonly boatId = input.required<string>();
  readonly stage = input.required<Stage>();
  private readonly states = inject(Store).selectSignal(selectStages);
  protected readonly next = computed(() => {
    const stage = stageAfter(this.states(), this.stage());
    return stageRegister.find((entry) => entry.stage === stage) ?? null;
  });
}
