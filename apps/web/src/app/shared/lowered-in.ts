import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { waysAfloat } from '@grey-keel/core';
import type { Plan, Way, WaySet } from '@grey-keel/model';
import { TickField } from './tick-field.ts';

/** In which ways of working something hangs down in the water; what is raised is clear of it. */
@Component({
  selector: 'gk-lowered-in',
  imports: [TickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset [id]="fieldId()">
      <legend class="small faint">Down in the water while</legend>
      @for (way of ways(); track way) {
        <gk-tick-field class="small" [label]="way" [value]="lowered().includes(way)" (changed)="turn(way, $event)" />
      }
    </fieldset>
  `,
  styles: `
    fieldset {
      display: flex;
      flex-wrap: wrap;
      gap: 0 14px;
      margin: 6px 0 0;
      padding: 0;
      border: 0;
    }
  `,
})
export class LoweredIn {
  readonly fieldId = input.required<string>();
  readonly plan = input.required<Plan>();
  readonly lowered = input.required<readonly Way[]>();
  readonly changed = output<WaySet>();

  protected readonly ways = computed(() => waysAfloat(this.plan()));

  protected turn(way: Way, down: boolean): void {
    const now = this.lowered().filter((one) => one !== way);
    this.changed.emit(Object.fromEntries([...now, ...(down ? [way] : [])].map((one) => [one, true])));
  }
}
