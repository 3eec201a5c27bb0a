import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { calibrationOf, measurementOf, restVoltageV, wrapped } from '@grey-keel/core';
import type { CalibrationKind } from '@grey-keel/model';
import { openBoat } from '../open-boat.ts';
import { BatteryPicture, type PicturedVoltage } from './battery-picture.ts';
import { BearingsPicture, type PicturedBearing } from './bearings-picture.ts';
import { DeviationPicture } from './deviation-picture.ts';
import { procedures } from './procedures/procedures.ts';
import { MarksPicture, type PicturedMark } from './marks-picture.ts';
import { type PicturedTarget, RangePicture } from './range-picture.ts';
import { type PicturedRun, RunsPicture } from './runs-picture.ts';
import type { SensorRow } from './sensor-rows.ts';

/** The readings of one sensor drawn as what they are: runs, bearings, marks, targets, voltages. */
@Component({
  selector: 'gk-procedure-picture',
  imports: [BatteryPicture, BearingsPicture, DeviationPicture, MarksPicture, RangePicture, RunsPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @switch (picture()) {
      @case ('deviation') {
        <gk-deviation-picture [coefficients]="coefficients()" [readings]="swing()" />
      }
      @case ('bearings') {
        <gk-bearings-picture [bearings]="bearings()" [units]="units()" />
      }
      @case ('sides') {
        <gk-bearings-picture [bearings]="bearings()" [units]="units()" />
      }
      @case ('targets') {
        <gk-range-picture [targets]="targets()" [units]="units()" />
      }
      @case ('marks') {
        <gk-marks-picture [marks]="marks()" [vector]="vector()" [units]="units()" />
      }
      @case ('voltages') {
        <gk-battery-picture [readings]="voltages()" [restV]="restV()" [holdsAh]="holdsAh()" [units]="units()" />
      }
      @case ('runs') {
        <gk-runs-picture [runs]="runs()" [current]="known()?.current ?? null" [units]="units()" />
      }
    }
  `,
})
export class ProcedurePicture {
  readonly kind = input.required<CalibrationKind>();
  readonly sensorId = input.required<string>();
  readonly rows = input.required<readonly SensorRow[]>();

  protected readonly picture = computed(() => procedures[this.kind()].picture);
  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  private readonly settings = computed(() => calibrationOf(this.plan(), this.kind(), this.sensorId()));
  protected readonly known = computed(() => {
    const it = measurementOf(this.plan(), this.kind(), this.sensorId());
    return it?.known ? it : null;
  });
  /** What the heading was turned by to have it from true north. */
  private readonly turnDeg = computed(() => {
    const settings = this.settings();
    return 'north' in settings && settings.north === 'magnetic' ? (settings.variationDeg ?? 0) : 0;
  });
  protected readonly runs = computed<PicturedRun[]>(() =>
    this.rows().flatMap(({ place, leftOut, figures }) => {
      const { sogMps = null, cogDeg = null, headingDeg = null, logMps = null } = figures;
      if (leftOut || sogMps === null || cogDeg === null || headingDeg === null) return [];
      return [{ place, sogMps, cogDeg, headingDeg: (wrapped(headingDeg + this.turnDeg()) + 360) % 360, logMps }];
    }),
  );
  protected readonly coefficients = computed(() => this.known()?.enter.map(({ value }) => value) ?? null);
  protected readonly swing = computed(() =>
    this.rows().flatMap(({ leftOut, apart, figures: { compassDeg = null, magneticDeg = null } }) =>
      leftOut || compassDeg === null || magneticDeg === null ? [] : [{ compassDeg, magneticDeg, apart }],
    ),
  );

  /** The rows that count, with every figure that is asked for. */
  private whole<N extends string>(...names: readonly N[]): ({ readonly place: number } & Record<N, number>)[] {
    return this.rows().flatMap(({ place, leftOut, figures }) => {
      const found = names.map((name) => [name, figures[name] ?? null] as const);
      return leftOut || found.some(([, value]) => value === null)
        ? []
        : [{ place, ...(Object.fromEntries(found) as Record<N, number>) }];
    });
  }
  protected readonly bearings = computed<PicturedBearing[]>(() => {
    if (this.picture() === 'bearings') return this.whole('knownDeg', 'shownDeg');
    const side = (value: unknown): number => (value === 'port' ? -90 : 90);
    return this.rows().flatMap(({ place, leftOut, figures }) =>
      leftOut || figures['known'] == null || figures['shown'] == null
        ? []
        : [{ place, knownDeg: side(figures['known']) + 4 * place, shownDeg: side(figures['shown']) + 4 * place }],
    );
  });
  protected readonly targets = computed<PicturedTarget[]>(() =>
    this.whole('knownM', 'shownM', 'heightM', 'targetHeightM'),
  );
  protected readonly marks = computed<PicturedMark[]>(() => this.whole('headingDeg', 'latitudeDeg', 'longitudeDeg'));
  /** Of what the marks say themselves, whatever is set already. */
  protected readonly vector = computed((): readonly [number, number] | null => {
    const it = this.known();
    const settings = this.settings();
    if (this.picture() !== 'marks' || !it || !('setForwardM' in settings)) return null;
    const [forward, starboard] = it.enter;
    return [(forward?.value ?? 0) - settings.setForwardM, (starboard?.value ?? 0) - settings.setStarboardM];
  });
  protected readonly voltages = computed<PicturedVoltage[]>(() =>
    this.whole('usedAh', 'voltsV', 'currentA').map((one) => ({ ...one, loaded: one.currentA > 2 })),
  );
  private readonly battery = computed(() => this.plan().power.batteries[this.sensorId()] ?? null);
  protected readonly holdsAh = computed(() => {
    const share = this.picture() === 'voltages' ? (this.known()?.measured.value ?? 1) : 1;
    return (this.battery()?.capacityAh ?? 100) * share;
  });
  protected readonly restV = computed(() => {
    const battery = this.battery();
    const holdsAh = this.holdsAh();
    return battery && this.known() ? (usedAh: number) => restVoltageV(battery, 1 - usedAh / holdsAh) : null;
  });
}
