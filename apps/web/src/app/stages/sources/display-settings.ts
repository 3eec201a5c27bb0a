import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { displayDepthError, heldBy, inOrder, workingWater, type DisplayWater } from '@grey-keel/core';
import {
  displayWaters,
  housekeeping,
  unitSettingsSchema,
  type Housekeeping,
  type UnitSettings,
} from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TickField } from '../../shared/tick-field.ts';
import { openBoat } from '../open-boat.ts';
import { Fold } from '../../shared/fold.ts';
import { Wide } from '../../shared/wide.ts';

/** The units displays show depth in, with the steps they show it in. */
const depthShown = (
  [
    ['m', 0.1, 'm, steps 0.1'],
    ['m', 0.01, 'm, steps 0.01'],
    ['ft', 0.1, 'ft, steps 0.1'],
    ['ft', 1, 'ft, steps 1'],
    ['fathom', 0.1, 'fm, steps 0.1'],
  ] as const
).map(([depthUnit, depthStep, label]) => ({ value: `${depthUnit} ${depthStep}`, depthUnit, depthStep, label }));

/** What a display uses that nobody has set otherwise. */
const usualMps = 1500;

const sides = ['not looked at', 'right', 'swapped'] as const;
const unset = { value: '' as const, label: 'not looked at' };

/** What each display has set for itself, and what is ticked off on it. */
@Component({
  selector: 'gk-display-settings',
  imports: [Fold, ChoiceField, ComputedNumber, QuantityField, TickField, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div gkWide>
      <table class="figures units" aria-label="Settings of each display">
        <thead>
          <tr>
            <th scope="col">Display</th>
            <th scope="col">its water</th>
            <th scope="col">shows depth in</th>
            <th scope="col">north</th>
            <th scope="col">port is drawn on port</th>
            <th scope="col">antenna’s distance entered</th>
            <th scope="col">housekeeping</th>
          </tr>
        </thead>
        <tbody>
          @for (it of stations(); track it.id) {
            <tr>
              <td class="named">
                {{ it.name }}<br /><span class="small faint">{{ it.display }}</span>
              </td>
              <td>
                <gk-choice-field
                  label="Water type"
                  [labelHidden]="true"
                  [fieldId]="'unit-water-' + it.id"
                  [at]="['units', it.id, 'waterType']"
                  [value]="it.setTo"
                  [choices]="waters"
                  (changed)="setWater(it.id, it.name, $event)"
                />
                @if (it.ownMps !== null) {
                  <gk-quantity-field
                    [label]="'Speed of sound of ' + it.name"
                    [labelHidden]="true"
                    [fieldId]="'unit-own-speed-' + it.id"
                    [at]="['units', it.id, 'ownSoundSpeedMps']"
                    [value]="it.ownMps"
                    [schema]="unitShape.ownSoundSpeedMps"
                    (changed)="setUnit(it.id, it.name, { ownSoundSpeedMps: $event })"
                  />
                }
                <span class="small faint">
                  @if (it.error; as error) {
                    <gk-number
                      [of]="'Error of the depth ' + it.name + ' shows at the working depth'"
                      [value]="error.value"
                      quantity="depth"
                      [signed]="true"
                      [steps]="[error]"
                    />
                    at the working depth
                  } @else {
                    the brief: {{ water() }}
                  }
                </span>
              </td>
              <td>
                <gk-choice-field
                  label="Unit and step of depth"
                  [labelHidden]="true"
                  [fieldId]="'unit-depth-' + it.id"
                  [at]="['units', it.id, 'depthUnit']"
                  [value]="it.depth"
                  [choices]="depths"
                  (changed)="setDepth(it.id, it.name, $event)"
                />
              </td>
              <td>
                <gk-choice-field
                  label="North"
                  [labelHidden]="true"
                  [fieldId]="'unit-north-' + it.id"
                  [at]="['units', it.id, 'north']"
                  [value]="it.north"
                  [choices]="norths"
                  (changed)="setUnit(it.id, it.name, { north: $event || null })"
                />
              </td>
              <td>
                <gk-choice-field
                  label="Sides"
                  [labelHidden]="true"
                  [fieldId]="'unit-sides-' + it.id"
                  [at]="['units', it.id, 'sidesRight']"
                  [value]="it.sides"
                  [choices]="sideChoices"
                  (changed)="setUnit(it.id, it.name, { sidesRight: $event })"
                />
              </td>
              <td>
                <gk-tick-field
                  wordless
                  [label]="'The antenna’s distance is entered at ' + it.name"
                  [fieldId]="'unit-antenna-' + it.id"
                  [at]="['units', it.id, 'antennaOffsetSet']"
                  [value]="it.antenna"
                  (changed)="setUnit(it.id, it.name, { antennaOffsetSet: $event })"
                />
              </td>
              <td class="left">
                <gk-fold [heading]="it.doneCount + ' of ' + items.length + ' done'">
                  @for (item of items; track item) {
                    <gk-tick-field
                      [label]="item"
                      [value]="it.done[item] === true"
                      (changed)="tick(it.id, item, $event)"
                    />
                  }
                </gk-fold>
              </td>
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styles: `
    td {
      vertical-align: top;
      min-width: 92px;
    }
    thead th {
      white-space: normal;
      vertical-align: bottom;
    }
    td,
    th {
      text-align: left;
    }
    summary {
      display: flex;
      gap: 8px;
      align-items: center;
      min-height: var(--touch);
      cursor: pointer;
      color: var(--water);
      font-weight: 600;
    }
  `,
})
export class DisplaySettings {
  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  /** What is ticked off; the alarms have a figure of their own. */
  protected readonly items = housekeeping.filter((item) => !item.endsWith('alarm'));
  protected readonly waters = [
    unset,
    ...choicesOf(displayWaters),
    { value: 'own figure' as const, label: 'own figure' },
  ];
  protected readonly unitShape = unitSettingsSchema.shape;
  protected readonly depths = [unset, ...depthShown.map(({ value, label }) => ({ value, label }))];
  protected readonly norths = [unset, ...choicesOf(['true', 'magnetic'] as const)];
  protected readonly sideChoices = choicesOf(sides);
  protected readonly water = computed(() => workingWater(this.plan())?.kind ?? 'not described');

  protected readonly stations = computed(() => {
    const plan = this.plan();
    return inOrder(plan.stations).flatMap(([id, { name }]) => {
      const display = plan.displays[id];
      if (!display) return [];
      const [sound, depth] = [heldBy(plan, id, 'sound'), heldBy(plan, id, 'depth-display')];
      const done = heldBy(plan, id, 'housekeeping');
      const ownMps = sound && 'soundSpeedMps' in sound ? sound.soundSpeedMps : null;
      return [
        {
          id,
          name,
          display: display.name,
          ownMps,
          setTo:
            sound && 'waterType' in sound ? sound.waterType : ownMps === null ? ('' as const) : ('own figure' as const),
          depth: depth ? `${depth.unit} ${depth.step}` : '',
          north: heldBy(plan, id, 'north') ?? ('' as const),
          sides: heldBy(plan, id, 'sides') ?? ('not looked at' as const),
          antenna: heldBy(plan, id, 'antenna-offset'),
          done,
          doneCount: this.items.filter((item) => done[item]).length,
          error: displayDepthError(plan, id, plan.working.depthM)?.step ?? null,
        },
      ];
    });
  });

  protected setUnit(stationId: string, name: string, changes: Partial<UnitSettings>): void {
    this.open.edits.edit(name, { type: 'describeUnit', stationId, changes });
  }

  protected setWater(stationId: string, name: string, setTo: DisplayWater | 'own figure' | ''): void {
    this.setUnit(
      stationId,
      name,
      setTo === 'own figure'
        ? { waterType: null, ownSoundSpeedMps: usualMps }
        : { waterType: setTo || null, ownSoundSpeedMps: null },
    );
  }

  protected setDepth(stationId: string, name: string, value: string): void {
    const shown = depthShown.find((one) => one.value === value);
    if (shown) this.setUnit(stationId, name, { depthUnit: shown.depthUnit, depthStep: shown.depthStep });
  }

  protected tick(stationId: string, item: Housekeeping, on: boolean): void {
    const { [item]: _was, ...others } = heldBy(this.plan(), stationId, 'housekeeping');
    this.setUnit(stationId, item, { done: on ? { ...others, [item]: true } : others });
  }
}
