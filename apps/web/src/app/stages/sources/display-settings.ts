import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import {
  displayDepthError,
  heldBy,
  inOrder,
  isSet,
  looksAside,
  seenToOnce,
  sidesHeld,
  workingWater,
  type DisplayWater,
} from '@grey-keel/core';
import { displayWaters, type Edit, type SettingKind, type SettingValue, settingValues } from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TickField } from '../../shared/tick-field.ts';
import { forgetting, keyingIn } from '../key-in.ts';
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
).map(([unit, step, label]) => ({ value: `${unit} ${step}`, unit, step, label }));

/** What a display uses that nobody has set otherwise. */
const usualMps = 1500;

const sideChoices = ['not looked at', 'right', 'swapped'] as const;

/** What is ticked off on a display, as it is said once it is done. */
const seenTo = Object.values(seenToOnce).map(({ kind, word, done }) => ({
  kind,
  value: done,
  label: `${word.toLowerCase()} ${done}`,
}));
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
                  [at]="['held', it.id, 'sound', it.id]"
                  [value]="it.setTo"
                  [choices]="waters"
                  (changed)="setWater(it.id, it.name, $event)"
                />
                @if (it.ownMps !== null) {
                  <gk-quantity-field
                    [label]="'Speed of sound of ' + it.name"
                    [labelHidden]="true"
                    [fieldId]="'unit-own-speed-' + it.id"
                    [at]="['held', it.id, 'sound', it.id, 'asLeft', 'value', 'soundSpeedMps']"
                    [value]="it.ownMps"
                    [schema]="ownSchema"
                    (changed)="setOwn(it.id, it.name, $event)"
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
                  [at]="['held', it.id, 'depth-display', it.id]"
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
                  [at]="['held', it.id, 'north', it.id]"
                  [value]="it.north"
                  [choices]="norths"
                  (changed)="set(it.id, it.name, 'north', $event || null)"
                />
              </td>
              <td>
                @if (aside().length === 0) {
                  <span class="small faint">nothing looks aside</span>
                } @else {
                  <gk-choice-field
                    label="Sides"
                    [labelHidden]="true"
                    [fieldId]="'unit-sides-' + it.id"
                    [at]="['held', it.id, 'sides']"
                    [value]="it.sides"
                    [choices]="sides"
                    (changed)="setSides(it.id, it.name, $event)"
                  />
                }
              </td>
              <td>
                <gk-tick-field
                  wordless
                  [label]="'The antenna’s distance is entered at ' + it.name"
                  [fieldId]="'unit-antenna-' + it.id"
                  [at]="['held', it.id, 'antenna-offset', it.id]"
                  [value]="it.antenna"
                  (changed)="set(it.id, it.name, 'antenna-offset', $event ? 'not noted' : null)"
                />
              </td>
              <td class="left">
                <gk-fold [heading]="it.done.length + ' of ' + items.length + ' done'">
                  @for (item of items; track item.kind) {
                    <gk-tick-field
                      [label]="item.label"
                      [value]="it.done.includes(item.kind)"
                      (changed)="set(it.id, item.label, item.kind, $event ? item.value : null)"
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
  private readonly keyIn = keyingIn();
  /** What is ticked off; the alarms have a figure of their own. */
  protected readonly items = seenTo;
  protected readonly waters = [
    unset,
    ...choicesOf(displayWaters),
    { value: 'own figure' as const, label: 'own figure' },
  ];
  protected readonly ownSchema = settingValues.sound.options[1].shape.soundSpeedMps;
  protected readonly depths = [unset, ...depthShown.map(({ value, label }) => ({ value, label }))];
  protected readonly norths = [unset, ...choicesOf(['true', 'magnetic'] as const)];
  protected readonly sides = choicesOf(sideChoices);
  protected readonly water = computed(() => workingWater(this.plan())?.kind ?? 'not described');

  protected readonly aside = computed(() =>
    Object.entries(this.plan().transducers).flatMap(([id, { kind }]) => (looksAside.includes(kind) ? [id] : [])),
  );
  protected readonly stations = computed(() => {
    const plan = this.plan();
    return inOrder(plan.stations).flatMap(([id, { name }]) => {
      const display = plan.displays[id];
      if (!display) return [];
      const [sound, depth] = [heldBy(plan, id, 'sound'), heldBy(plan, id, 'depth-display')];
      const done = seenTo.flatMap(({ kind }) => (isSet(plan, id, kind) ? [kind] : []));
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
          sides: sidesHeld(plan, id) ?? ('not looked at' as const),
          antenna: isSet(plan, id, 'antenna-offset'),
          done,
          error: displayDepthError(plan, id, plan.working.depthM)?.step ?? null,
        },
      ];
    });
  });

  /** Null where nobody looked. */
  protected set<K extends SettingKind>(
    stationId: string,
    name: string,
    kind: K,
    value: SettingValue<K> | 'not noted' | null,
  ): void {
    this.open.edits.edit(name, value === null ? forgetting(stationId, kind) : this.keyIn(stationId, kind, value));
  }

  protected setWater(stationId: string, name: string, setTo: DisplayWater | 'own figure' | ''): void {
    if (setTo === 'own figure') return this.setOwn(stationId, name, usualMps);
    this.set(stationId, name, 'sound', setTo === '' ? null : { waterType: setTo });
  }

  protected setOwn(stationId: string, name: string, soundSpeedMps: number | null): void {
    this.set(stationId, name, 'sound', soundSpeedMps === null ? null : { soundSpeedMps });
  }

  protected setDepth(stationId: string, name: string, value: string): void {
    const shown = depthShown.find((one) => one.value === value);
    this.set(stationId, name, 'depth-display', shown ? { unit: shown.unit, step: shown.step } : null);
  }

  /** Said of all pictures at once; each can be seen by itself on Calibrate. */
  protected setSides(stationId: string, name: string, sides: (typeof sideChoices)[number]): void {
    const edits = this.aside().map((id): Edit =>
      sides === 'not looked at' ? forgetting(stationId, 'sides', id) : this.keyIn(stationId, 'sides', sides, id),
    );
    this.open.edits.edit(name, ...edits);
  }
}
