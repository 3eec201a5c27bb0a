import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { calibratedSensors, calibrationOf, measurementOf, toleranceOf, wrapped } from '@grey-keel/core';
import { calibrationParts, type CalibrationKind, type Edit } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import type * as z from 'zod';
import { selectInstruments } from '../../live/instruments.ts';
import { Fold } from '../../shared/fold.ts';
import { PlanFields } from '../../shared/plan-fields.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { DeviationPicture } from './deviation-picture.ts';
import { LiveRun, type TakenReading } from './live-run.ts';
import { RecordedRun } from './recorded-run.ts';
import { procedureWords } from './procedure-words.ts';
import { type Residual, ResidualStrip } from './residual-strip.ts';
import { type PicturedRun, RunsPicture } from './runs-picture.ts';
import { SensorReadings } from './sensor-readings.ts';
import { SensorResult } from './sensor-result.ts';
import { sensorRows } from './sensor-rows.ts';
import { VariationHere } from './variation-here.ts';

/** A guided procedure for one sensor: how it is done, the picture, the readings as they come, and what they give. */
@Component({
  selector: 'gk-sensor-procedure',
  imports: [
    DeviationPicture,
    Fold,
    LiveRun,
    PlanFields,
    PlanPlace,
    RecordedRun,
    ResidualStrip,
    RunsPicture,
    SensorReadings,
    SensorResult,
    VariationHere,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section
      class="sheet top"
      [attr.aria-label]="words().title + ', ' + name()"
      [gkPlace]="['calibrations', kind(), sensorId()]"
      tabindex="-1"
    >
      <div>
        <h2>{{ words().title }}, {{ name() }}</h2>
        @switch (kind()) {
          @case ('deviation') {
            <gk-deviation-picture [coefficients]="coefficients()" [readings]="swing()" />
          }
          @case ('temperature') {
            <p class="small">{{ words().where }}</p>
          }
          @default {
            <gk-runs-picture [runs]="runs()" [current]="known()?.current ?? null" [units]="units()" />
          }
        }
      </div>
      <div class="how">
        @if (kind() !== 'temperature') {
          <p class="small">{{ words().where }}</p>
        }
        <ol class="small">
          @for (step of words().steps; track step) {
            <li>{{ step }}</li>
          }
        </ol>
        <p class="small faint">{{ words().people }}</p>
        @if (inHull()) {
          <p class="check">
            <strong>It sits inside the hull: it measures the bilge, and no offset makes that the water.</strong>
          </p>
        }
        @if (residuals().length) {
          <h3>What each leaves over</h3>
          <gk-residual-strip
            [residuals]="residuals()"
            [tolerance]="tolerance()"
            [half]="known()?.half ?? null"
            [units]="units()"
          />
        }
      </div>
    </section>

    <div class="two">
      <section class="sheet" aria-labelledby="readings-title">
        <h2 id="readings-title">{{ title() }}</h2>
        @if (listens()) {
          <gk-live-run
            [kind]="kind()"
            [word]="words().reading"
            [next]="rows().length + 1"
            [lagS]="lagS()"
            [north]="north()"
            [headingBeforeDeg]="headingBefore()"
            (taken)="take($event)"
          />
        }
        @if (cuts()) {
          <gk-fold heading="Cut a run out of a recording" [(open)]="cutting">
            @if (cutting()) {
              <gk-recorded-run [kind]="kind()" [north]="north()" (taken)="take($event)" />
            }
          </gk-fold>
        }
        <gk-sensor-readings [kind]="kind()" [sensorId]="sensorId()" [rows]="rows()" />
        <h3>While these were taken</h3>
        <div class="fields">
          <gk-plan-fields
            [of]="$any(settings())"
            [shape]="shape()"
            [names]="names()"
            [at]="['calibrations', kind(), sensorId()]"
            [ids]="kind()"
            (changed)="set($event)"
          />
        </div>
        @if (magnetic()) {
          <gk-variation-here (taken)="set({ variationDeg: $event })" />
        }
      </section>
      <gk-sensor-result [kind]="kind()" [sensorId]="sensorId()" [measurement]="measurement()" />
    </div>
  `,
  styleUrl: './procedure.css',
  styles: `
    .how {
      display: grid;
      gap: 6px;
      align-content: start;
    }
    ol {
      margin: 0;
      padding-left: 18px;
      display: grid;
      gap: 4px;
    }
    .check {
      color: var(--check);
    }
    /* The runs have four figures each. */
    @media (min-width: 761px) {
      .two {
        grid-template-columns: minmax(0, 9fr) minmax(0, 5fr);
      }
    }
  `,
})
export class SensorProcedure {
  readonly kind = input.required<CalibrationKind>();
  readonly sensorId = input.required<string>();

  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  private readonly instruments = inject(Store).selectSignal(selectInstruments);
  private readonly sources = computed(() => this.instruments().sources);
  protected readonly words = computed(() => procedureWords[this.kind()]);
  protected readonly title = computed(() => {
    const { reading } = this.words();
    return `${reading.charAt(0).toUpperCase()}${reading.slice(1)}s`;
  });
  private readonly sensor = computed(() =>
    calibratedSensors(this.plan(), this.kind()).find(({ id }) => id === this.sensorId()),
  );
  protected readonly name = computed(() => this.sensor()?.name ?? '');
  protected readonly inHull = computed(() => this.sensor()?.inHull ?? false);
  protected readonly settings = computed(() => calibrationOf(this.plan(), this.kind(), this.sensorId()));
  protected readonly tolerance = computed(() => toleranceOf(this.plan(), this.kind(), this.sensorId()));
  protected readonly measurement = computed(() => measurementOf(this.plan(), this.kind(), this.sensorId()));
  protected readonly known = computed(() => {
    const it = this.measurement();
    return it?.known ? it : null;
  });
  protected readonly rows = computed(() => sensorRows(this.settings(), this.measurement()));
  protected readonly shape = computed(
    () => calibrationParts[this.kind()].settings.shape as Readonly<Record<string, z.ZodType>>,
  );
  protected readonly north = computed(() => {
    const settings = this.settings();
    return 'north' in settings ? settings.north : 'true';
  });
  protected readonly magnetic = computed(() => this.north() === 'magnetic');
  protected readonly names = computed(() =>
    Object.keys(this.shape()).filter((name) => name !== 'variationDeg' || this.magnetic()),
  );

  protected readonly residuals = computed<Residual[]>(() =>
    this.rows().flatMap(({ place, left, apart }) => (left ? [{ place, left, apart }] : [])),
  );
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

  /** A swing is read off the compass: its magnetic headings come from elsewhere. */
  protected readonly listens = computed(
    () => this.kind() !== 'deviation' && this.sources().some(({ wanted }) => wanted),
  );
  protected readonly cuts = computed(() => this.kind() === 'heading' || this.kind() === 'speed');
  protected readonly cutting = signal(false);
  protected readonly headingBefore = computed(() => this.rows().at(-1)?.figures['headingDeg'] ?? null);
  protected readonly lagS = computed(() => {
    const settings = this.settings();
    return 'lagS' in settings ? settings.lagS : 0;
  });

  protected take({ figures, from }: TakenReading): void {
    const blank = this.kind() === 'temperature' ? { referenceC: null } : {};
    this.open.edits.edit(`${this.words().reading} ${this.rows().length + 1}`, {
      type: 'recordCalibration',
      of: this.kind(),
      sensorId: this.sensorId(),
      readingId: newId(),
      reading: { ...blank, ...figures, leftOut: false, from },
    } as unknown as Edit);
  }

  protected set(changes: object): void {
    this.open.edits.edit(`how ${this.words().title.toLowerCase()} is calibrated`, {
      type: 'describeCalibration',
      of: this.kind(),
      sensorId: this.sensorId(),
      changes,
    });
  }
}
