import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { waysOfWorking } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { SelectButton } from 'primeng/selectbutton';
import { selectPlan } from '../state/plan.selectors.ts';
import { selectWay, viewEvents } from '../state/view.ts';

/** The way of working that is looked at; none looks at all of them. Drawn anew only when the boat's ways change. */
@Component({
  selector: 'gk-way-choice',
  imports: [FormsModule, SelectButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (ways().length === 0) {
      <span class="small faint">No way of working is ticked yet.</span>
    }
    <p-selectbutton
      aria-label="Way of working looked at"
      [autofocus]="false"
      [options]="$any(ways())"
      [ngModel]="way()"
      (onChange)="store.dispatch(events.wayChosen({ way: $event.value }))"
    />
  `,
  styles: `
    span {
      align-self: center;
    }
    p-selectbutton {
      flex-wrap: wrap;
    }
    /* On a tablet and a phone in one row, which scrolls. */
    @media (max-width: 1100px) {
      p-selectbutton {
        flex-wrap: nowrap;
        white-space: nowrap;
      }
    }
  `,
})
export class WayChoice {
  protected readonly store = inject(Store);
  protected readonly events = viewEvents;
  private readonly plan = this.store.selectSignal(selectPlan);
  protected readonly way = this.store.selectSignal(selectWay);
  protected readonly ways = computed(() => waysOfWorking.filter((one) => this.plan()?.ways[one]), {
    equal: (a, b) => a.join() === b.join(),
  });
}
