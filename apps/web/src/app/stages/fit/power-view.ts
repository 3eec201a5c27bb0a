import { ChangeDetectionStrategy, Component } from '@angular/core';
import { BatteryList } from './battery-list.ts';
import { CircuitList } from './circuit-list.ts';
import { VoltageDay } from './voltage-day.ts';

/** Batteries, the wires from them, what hangs on the wires, and the day they have to last. */
@Component({
  selector: 'gk-power-view',
  imports: [BatteryList, CircuitList, VoltageDay],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <gk-voltage-day />
    <gk-battery-list />
    <gk-circuit-list />
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
  `,
})
export class PowerView {}
