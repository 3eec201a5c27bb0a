import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import {
  depthOffsetOf,
  foundSet,
  isLetDown,
  heldBy,
  readAt,
  readingSetTo,
  readingSoundSpeedMps,
  readingWater,
  usualLeadLineByM,
  usualWaveS,
  workingWater,
  type DisplayWater,
} from '@grey-keel/core';
import {
  depthOffsetSchema,
  readingWaterSchema,
  type DepthOffset,
  type Edit,
  type ReadingWater,
  type SettingValue,
} from '@grey-keel/model';
import { ChoiceField } from '../../shared/choice-field.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { keyingIn } from '../key-in.ts';
import { openBoat } from '../open-boat.ts';

type SetTo = DisplayWater | 'own figure';

/** What a display uses that nobody has set otherwise, and the salt a water has of which only the temperature is said. */
const usualMps = 1500;

/** What held while the readings of one transducer were taken: the display's own setting, the water, offset and step. */
@Component({
  selector: 'gk-reading-conditions',
  imports: [ChoiceField, FigurePipe, QuantityField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>While these were read</h3>
    <div class="fields">
      <gk-choice-field
        label="Display was set to"
        [fieldId]="'reading-set-to-' + transducerId()"
        [at]="['depthOffsets', transducerId(), 'displaySetTo']"
        [value]="setTo() ?? ''"
        [choices]="choices"
        (changed)="setDisplay($event)"
      />
      @if (setTo() === 'own figure') {
        <gk-quantity-field
          fieldId="assumed-speed"
          [value]="speedMps()"
          [schema]="shape.soundSpeedAssumedMps"
          (changed)="setOwn($event ?? usualMps)"
        />
      }
      <gk-quantity-field
        [fieldId]="'reading-temperature-' + transducerId()"
        [at]="['depthOffsets', transducerId(), 'takenIn', 'temperatureC']"
        [value]="water()?.temperatureC ?? null"
        [schema]="waterShape.temperatureC"
        (changed)="setWater({ temperatureC: $event ?? 10 })"
      />
      <gk-quantity-field
        [fieldId]="'reading-salinity-' + transducerId()"
        [at]="['depthOffsets', transducerId(), 'takenIn', 'salinityPpt']"
        [value]="water()?.salinityPpt ?? null"
        [schema]="waterShape.salinityPpt"
        (changed)="setWater({ salinityPpt: $event ?? 0 })"
      />
      <gk-quantity-field
        fieldId="offset-set"
        [value]="settings().offsetSetM"
        [schema]="shape.offsetSetM"
        (changed)="set({ offsetSetM: $event ?? 0 })"
      />
      <gk-quantity-field
        fieldId="display-step"
        [value]="settings().displayResolutionM"
        [schema]="shape.displayResolutionM"
        (changed)="set({ displayResolutionM: $event ?? 0.1 })"
      />
      <gk-quantity-field
        fieldId="swell"
        [value]="settings().swellM ?? null"
        [schema]="shape.swellM"
        (changed)="set({ swellM: $event })"
      />
      <gk-quantity-field
        fieldId="read-within"
        [value]="settings().spanS ?? null"
        [schema]="shape.spanS"
        (changed)="set({ spanS: $event })"
      />
      <gk-quantity-field
        fieldId="wave-period"
        [value]="settings().wavePeriodS ?? usualWaveS"
        [schema]="shape.wavePeriodS"
        (changed)="set({ wavePeriodS: $event })"
      />
      <gk-quantity-field
        fieldId="lead-line-by"
        [value]="settings().leadLineByM ?? usualLeadLineByM"
        [schema]="shape.leadLineByM"
        (changed)="set({ leadLineByM: $event })"
      />
      @if (letDown()) {
        <gk-quantity-field
          fieldId="immersion"
          [value]="settings().immersionM ?? null"
          [schema]="shape.immersionM"
          (changed)="set({ immersionM: $event })"
        />
      }
      <gk-quantity-field
        fieldId="tolerance"
        [value]="settings().toleranceM"
        [schema]="shape.toleranceM"
        (changed)="set({ toleranceM: $event ?? 0.1 })"
      />
    </div>
    <p class="small faint">
      @if (speedMps(); as speed) {
        Set so, the display takes sound for {{ speed | figure: 'soundSpeed' : units() }}.
      } @else {
        Look in the display's own settings: what it is set to is the speed of sound its depths rest on.
      }
      @if (letDown()) {
        It hangs on a pole or a shaft: the offset holds at that mark alone. Pulled up by a hand, the display shows a
        hand more water than there is.
      }
      @if (!settings().takenIn) {
        The water is the brief's until you say what it was when you read.
      }
    </p>
  `,
  styles: `
    h3 {
      margin: 10px 0 4px;
    }
    p {
      margin-top: 4px;
    }
  `,
})
export class ReadingConditions {
  readonly transducerId = input.required<string>();

  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  private readonly keyIn = keyingIn();
  protected readonly units = this.open.units;
  protected readonly usualMps = usualMps;
  protected readonly usualWaveS = usualWaveS;
  protected readonly usualLeadLineByM = usualLeadLineByM;
  protected readonly shape = depthOffsetSchema.shape;
  protected readonly waterShape = readingWaterSchema.shape;
  protected readonly choices = [
    { value: '' as const, label: 'not looked at' },
    { value: 'fresh' as const, label: 'fresh water' },
    { value: 'brackish' as const, label: 'brackish water' },
    { value: 'salt' as const, label: 'salt water' },
    { value: 'own figure' as const, label: 'its own figure' },
  ];

  /** It hangs on a pole or a shaft: it holds for one mark on it alone. */
  protected readonly letDown = computed(() => {
    const transducer = this.plan().transducers[this.transducerId()];
    return transducer !== undefined && isLetDown(transducer);
  });
  protected readonly settings = computed(() => depthOffsetOf(this.plan(), this.transducerId()));
  protected readonly setTo = computed(() => readingSetTo(this.plan(), this.transducerId()));
  protected readonly speedMps = computed(() => readingSoundSpeedMps(this.plan(), this.transducerId()));
  protected readonly water = computed(() => readingWater(this.plan(), this.transducerId()));

  protected set(changes: Partial<Omit<DepthOffset, 'readings'>>, ...others: Edit[]): void {
    this.open.edits.edit(
      'how depth is calibrated',
      { type: 'describeDepthOffset', transducerId: this.transducerId(), changes },
      ...foundSet(this.plan(), 'depth', this.transducerId(), changes, new Date().toISOString()),
      ...others,
    );
  }

  protected setDisplay(setTo: SetTo | ''): void {
    if (setTo === '') return;
    if (setTo === 'own figure') return this.setOwn(this.speedMps() ?? usualMps);
    this.set({ displaySetTo: setTo, soundSpeedAssumedMps: null }, ...this.alsoInSources({ waterType: setTo }));
  }

  protected setOwn(soundSpeedMps: number): void {
    this.set(
      { displaySetTo: 'own figure', soundSpeedAssumedMps: soundSpeedMps },
      ...this.alsoInSources({ soundSpeedMps }),
    );
  }

  protected setWater(changes: Partial<ReadingWater>): void {
    const now = this.water() ?? workingWater(this.plan());
    this.set({
      takenIn: { temperatureC: now?.temperatureC ?? 10, salinityPpt: now?.salinityPpt ?? 0, ...changes },
    });
  }

  /** It is asked once: where Sources does not know the display's setting yet, it learns it from here. */
  private alsoInSources(sound: SettingValue<'sound'>): Edit[] {
    const stationId = readAt(this.plan(), this.transducerId());
    if (stationId === null || heldBy(this.plan(), stationId, 'sound')) return [];
    return [this.keyIn(stationId, 'sound', sound)];
  }
}
