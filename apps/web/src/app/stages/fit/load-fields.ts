import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { devicesOf } from '@grey-keel/core';
import { type Load, loadSchema, waysOfWorking, type Way } from '@grey-keel/model';
import { ChoiceField } from '../../shared/choice-field.ts';
import { PlanFields } from '../../shared/plan-fields.ts';
import { TextField } from '../../shared/text-field.ts';
import { TickField } from '../../shared/tick-field.ts';
import { openBoat } from '../open-boat.ts';
import { PressButton } from '../../shared/press-button.ts';

export const usualLoad: Load = { name: 'Display', currentA: 3, lowestV: 10, highestV: 17, runsIn: {} };

/** One load of a circuit: what it is, what it draws and bears, and when it runs. */
@Component({
  selector: 'gk-load-fields',
  imports: [ChoiceField, PlanFields, PressButton, TextField, TickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="load" role="group" [attr.aria-label]="load().name + ' on ' + circuitName()">
      <gk-text-field
        label="Load"
        [fieldId]="'load-name-' + circuitId() + '-' + loadId()"
        [value]="load().name"
        [schema]="loadShape.name"
        (changed)="set({ name: $event })"
      />
      <gk-choice-field
        label="Device"
        [fieldId]="'load-device-' + circuitId() + '-' + loadId()"
        [value]="load().deviceId ?? ''"
        [choices]="deviceChoices()"
        (changed)="set(asDevice($event))"
      />
      <gk-plan-fields
        [of]="load()"
        [shape]="loadShape"
        [names]="['currentA', 'lowestV', 'highestV']"
        [at]="['power', 'circuits', circuitId(), 'loads', loadId()]"
        ids="load"
        [one]="circuitId() + '-' + loadId()"
        (changed)="set($event)"
      />
      <div class="ways">
        <span class="small faint">on while</span>
        @for (way of ways(); track way) {
          <gk-tick-field
            class="small"
            [label]="way"
            [value]="load().runsIn[way] === true"
            (changed)="runs(way, $event)"
          />
        }
        <button type="button" pButton text (click)="put(null, 'delete ' + load().name)">
          Delete<span class="hidden-label"> {{ load().name }} from {{ circuitName() }}</span>
        </button>
      </div>
    </div>
  `,
  styles: `
    .load {
      display: grid;
      grid-template-columns: minmax(0, 2fr) minmax(0, 2fr) repeat(3, minmax(0, 1fr));
      gap: 4px 12px;
      padding: 6px 0 0 14px;
      border-left: 3px solid var(--rule);
      margin-bottom: 8px;
    }
    .ways {
      grid-column: 1 / -1;
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0 16px;
    }
    .ways .p-button {
      margin-left: auto;
    }
    @media (max-width: 900px) {
      .load {
        grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      }
    }
  `,
})
export class LoadFields {
  readonly circuitId = input.required<string>();
  readonly circuitName = input.required<string>();
  readonly loadId = input.required<string>();
  readonly load = input.required<Load>();

  private readonly open = openBoat();
  protected readonly loadShape = loadSchema.shape;
  protected readonly ways = computed(() => waysOfWorking.filter((way) => this.open.plan().ways[way]));
  protected readonly deviceChoices = computed(() => [
    { value: '', label: 'something else' },
    ...devicesOf(this.open.plan()).map(({ id, name, kind }) => ({ value: id, label: `${name}, ${kind}` })),
  ]);

  /** A load that has the usual name still takes that of what it is said to be. */
  protected asDevice(deviceId: string): Partial<Load> {
    const found = devicesOf(this.open.plan()).find(({ id }) => id === deviceId);
    return {
      deviceId: deviceId || null,
      ...(found && this.load().name === usualLoad.name ? { name: found.name } : {}),
    };
  }

  protected set(changes: Partial<Load>): void {
    this.put({ ...this.load(), ...changes }, this.load().name);
  }

  protected runs(way: Way, on: boolean): void {
    const load = this.load();
    const { [way]: _was, ...others } = load.runsIn;
    this.put({ ...load, runsIn: on ? { ...others, [way]: true } : others }, `${load.name} ${way}`);
  }

  protected put(load: Load | null, what: string): void {
    this.open.edits.edit(what, { type: 'putLoad', circuitId: this.circuitId(), id: this.loadId(), load });
  }
}
