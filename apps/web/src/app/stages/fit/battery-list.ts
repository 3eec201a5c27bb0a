import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { inOrder, usualChargingV } from '@grey-keel/core';
import { batterySchema, chemistries, type Battery } from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { PlanFields } from '../../shared/plan-fields.ts';
import { TextField } from '../../shared/text-field.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { PressButton } from '../../shared/press-button.ts';

const usualBattery: Battery = {
  name: 'Battery',
  chemistry: 'lead-acid',
  nominalV: 12,
  capacityAh: 100,
  capacityLeft: 1,
  peukert: 1.2,
  internalOhm: 0.006,
  crankingA: 0,
  chargingV: 14.4,
};
/** The batteries of the boat, each with what its day is calculated from. */
@Component({
  selector: 'gk-battery-list',
  imports: [ChoiceField, PlanFields, PlanPlace, PressButton, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="batteries-title">
      <h2 id="batteries-title">Batteries</h2>
      <p class="small faint">
        One school gives the sonar a battery of its own: no dip when the engine starts, none of its noise. The other
        shares one, well fused: less weight, one charger, and the alternator fills it while the engine runs.
      </p>
      @for (entry of batteries(); track entry[0]) {
        <div class="fields item">
          <gk-text-field
            label="Battery"
            [fieldId]="'battery-name-' + entry[0]"
            [at]="['power', 'batteries', entry[0], 'name']"
            [value]="entry[1].name"
            [schema]="battery.name"
            (changed)="setBattery(entry[0], { name: $event })"
          />
          <gk-choice-field
            label="Kind"
            [fieldId]="'battery-kind-' + entry[0]"
            [at]="['power', 'batteries', entry[0], 'chemistry']"
            [value]="entry[1].chemistry"
            [choices]="kinds"
            (changed)="setCells(entry[0], { chemistry: $event })"
          />
          @if (entry[1].chemistry === 'lithium') {
            <gk-choice-field
              label="Its voltage"
              [fieldId]="'battery-curve-' + entry[0]"
              [at]="['power', 'batteries', entry[0], 'curve']"
              [value]="entry[1].curve ?? 'flat'"
              [choices]="curves"
              (changed)="setCells(entry[0], { curve: $event })"
            />
          }
          <gk-plan-fields
            [of]="entry[1]"
            [shape]="battery"
            [names]="batteryFields"
            [at]="['power', 'batteries', entry[0]]"
            ids="battery"
            [one]="entry[0]"
            (changed)="setCells(entry[0], $event)"
          />
          <button type="button" pButton text (click)="removeBattery(entry[0], entry[1].name)">
            Delete {{ entry[1].name }}
          </button>
        </div>
      }
      <button
        type="button"
        pButton
        severity="secondary"
        id="add-battery"
        [gkPlace]="['power', 'batteries']"
        (click)="addBattery()"
      >
        Add a battery
      </button>
    </section>
  `,
  styles: `
    .item {
      padding: 10px 0;
      border-bottom: var(--hairline) solid var(--rule);
      margin-bottom: 10px;
    }
  `,
})
export class BatteryList {
  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly battery = batterySchema.shape;
  protected readonly kinds = choicesOf(chemistries);
  protected readonly curves = [
    { value: 'flat' as const, label: 'flat, iron phosphate' },
    { value: 'sloping' as const, label: 'falls with charge' },
  ];
  protected readonly batteryFields = [
    'nominalV',
    'cells',
    'capacityAh',
    'capacityLeft',
    'peukert',
    'internalOhm',
    'crankingA',
    'chargingV',
    'highestChargingV',
  ] as const;
  protected readonly batteries = computed(() => inOrder(this.plan().power.batteries));

  protected setBattery(id: string, changes: Partial<Battery>): void {
    this.open.edits.edit(this.plan().power.batteries[id]?.name ?? 'a battery', {
      type: 'describeBattery',
      id,
      changes,
    });
  }

  /** The charging voltage that is usual for a pack follows its kind and cells, until somebody sets another. */
  protected setCells(id: string, changes: Partial<Battery>): void {
    const before = this.plan().power.batteries[id];
    if (!before) return;
    const usual = Math.abs(before.chargingV - usualChargingV(before)) < 0.005 && changes.chargingV === undefined;
    this.setBattery(id, { ...changes, ...(usual ? { chargingV: usualChargingV({ ...before, ...changes }) } : {}) });
  }

  protected addBattery(): void {
    const nominalV = this.plan().boat.systemVoltageV ?? 12;
    this.open.edits.edit('add a battery', {
      type: 'addBattery',
      id: newId(),
      battery: { ...usualBattery, nominalV, chargingV: usualChargingV({ ...usualBattery, nominalV }) },
    });
  }

  protected removeBattery(id: string, name: string): void {
    this.open.edits.edit(`delete ${name}`, { type: 'removeBattery', id });
  }
}
