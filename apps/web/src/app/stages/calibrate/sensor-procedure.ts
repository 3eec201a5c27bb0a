import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  calibratedSensors,
  calibrationOf,
  correctionIsSet,
  depthGivers,
  foundSet,
  heldAgainst,
  measurementOf,
  overGround,
  placeFrom,
  toleranceOf,
} from '@grey-keel/core';
import { calibrationParts, type CalibrationKind, type Edit } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import type * as z from 'zod';
import { selectInstruments } from '../../live/instruments.ts';
import { ChoiceField } from '../../shared/choice-field.ts';
import { Fold } from '../../shared/fold.ts';
import { PlanFields } from '../../shared/plan-fields.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { heardFor, LiveRun, type TakenReading } from './live-run.ts';
import { RecordedRun } from './recorded-run.ts';
import { ProcedurePicture } from './procedure-picture.ts';
import { severalOf } from './procedures/procedure.ts';
import { procedures } from './procedures/procedures.ts';
import { type Residual, ResidualStrip } from './residual-strip.ts';
import { SensorReadings } from './sensor-readings.ts';
import { SensorResult } from './sensor-result.ts';
import { sensorRows } from './sensor-rows.ts';
import { VariationHere } from './variation-here.ts';

/** A guided procedure for one sensor: how it is done, the picture, the readings as they come, and what they give. */
@Component({
  selector: 'gk-sensor-procedure',
  imports: [
    ChoiceField,
    Fold,
    LiveRun,
    PlanFields,
    NgTemplateOutlet,
    PlanPlace,
    ProcedurePicture,
    RecordedRun,
    ResidualStrip,
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
      <div class="how">
        <h2>{{ words().title }}, {{ name() }}</h2>
        @if (pictured()) {
          <gk-procedure-picture [kind]="kind()" [sensorId]="sensorId()" [rows]="rows()" />
        } @else {
          <ng-container [ngTemplateOutlet]="how" />
        }
      </div>
      <div class="how">
        @if (pictured()) {
          <ng-container [ngTemplateOutlet]="how" />
        }
        @if (residuals().length && tolerance(); as wanted) {
          <h3>Left over at each reading</h3>
          <gk-residual-strip
            [residuals]="residuals()"
            [tolerance]="wanted"
            [half]="known()?.half ?? null"
            [units]="units()"
          />
        } @else if (!pictured()) {
          <p class="small faint">What each {{ words().reading }} leaves over is drawn here once there are two.</p>
        }
      </div>
    </section>

    <ng-template #how>
      <p class="small">{{ words().where }}</p>
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
    </ng-template>

    <div class="two" [class.stacked]="broad()">
      <section class="sheet" aria-labelledby="readings-title">
        <h2 id="readings-title">{{ title() }}</h2>
        @if (listens()) {
          <gk-live-run
            [kind]="kind()"
            [sensorId]="sensorId()"
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
              <gk-recorded-run [kind]="kind()" [sensorId]="sensorId()" [north]="north()" (taken)="take($event)" />
            }
          </gk-fold>
        }
        <gk-sensor-readings [kind]="kind()" [sensorId]="sensorId()" [rows]="rows()" />
        @if (names().length) {
          <h3>While these were taken</h3>
        }
        <div class="fields">
          @if (kind() === 'step') {
            <gk-choice-field
              label="Held against"
              fieldId="step-other"
              [choices]="others()"
              [value]="other()"
              (changed)="set({ otherId: $event })"
            />
          }
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
    @media (min-width: 761px) {
      .two {
        grid-template-columns: minmax(0, 9fr) minmax(0, 5fr);
      }
    }
    /* What has three figures a reading and more takes the whole width; its result stands under it. */
    .two.stacked {
      grid-template-columns: minmax(0, 1fr);
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
  protected readonly words = computed(() => procedures[this.kind()]);
  protected readonly title = computed(() => {
    const several = severalOf(this.words().reading);
    return `${several.charAt(0).toUpperCase()}${several.slice(1)}`;
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
  protected readonly broad = computed(() => Object.keys(calibrationParts[this.kind()].reading.shape).length > 4);
  protected readonly shape = computed(
    () => calibrationParts[this.kind()].settings.shape as Readonly<Record<string, z.ZodType>>,
  );
  protected readonly north = computed(() => {
    const settings = this.settings();
    return 'north' in settings ? settings.north : 'true';
  });
  protected readonly magnetic = computed(() => this.north() === 'magnetic');
  protected readonly names = computed(() =>
    Object.keys(this.shape()).filter(
      (name) =>
        name !== 'otherId' &&
        (name !== 'variationDeg' || this.magnetic()) &&
        // Asked once there is a correction that what comes in may be with or without.
        (name !== 'correctionIn' || correctionIsSet(this.plan(), this.kind(), this.sensorId())),
    ),
  );

  protected readonly pictured = computed(() => this.words().picture !== null);
  protected readonly residuals = computed<Residual[]>(() =>
    this.rows().flatMap(({ place, left, apart }) => (left ? [{ place, left, apart }] : [])),
  );
  protected readonly others = computed(() =>
    depthGivers(this.plan())
      .filter(({ id }) => id !== this.sensorId())
      .map(({ id, name }) => ({ value: id, label: name })),
  );
  protected readonly other = computed(() => heldAgainst(this.plan(), this.sensorId()) ?? '');

  protected readonly listens = computed(
    () => heardFor(this.kind()).length > 0 && this.sources().some(({ wanted }) => wanted),
  );
  protected readonly cuts = computed(() => this.words().live?.by === 'run');
  protected readonly cutting = signal(false);
  protected readonly headingBefore = computed(() => this.rows().at(-1)?.figures['headingDeg'] ?? null);
  protected readonly lagS = computed(() => {
    const settings = this.settings();
    return 'lagS' in settings ? settings.lagS : 0;
  });

  protected take({ figures, from }: TakenReading): void {
    const { shape } = calibrationParts[this.kind()].reading;
    const blank = Object.fromEntries(
      Object.keys(shape)
        .filter((name) => name !== 'from')
        .map((name) => [name, null]),
    );
    this.open.edits.edit(`${this.words().reading} ${this.rows().length + 1}`, {
      type: 'recordCalibration',
      of: this.kind(),
      sensorId: this.sensorId(),
      readingId: newId(),
      reading: { ...blank, ...this.asDisplayed(figures), leftOut: false, from },
    } as unknown as Edit);
  }

  /** A mark that comes in live is where the antenna is; one on the display has what is set there added, and is read so. */
  private asDisplayed(figures: TakenReading['figures']): TakenReading['figures'] {
    const settings = this.settings();
    const { headingDeg, latitudeDeg, longitudeDeg } = figures;
    if (!('setForwardM' in settings)) return figures;
    if (headingDeg === undefined || latitudeDeg === undefined || longitudeDeg === undefined) return figures;
    const set = { forwardM: settings.setForwardM, starboardM: settings.setStarboardM };
    return { ...figures, ...placeFrom({ latitudeDeg, longitudeDeg }, overGround(headingDeg, set)) };
  }

  protected set(changes: object): void {
    this.open.edits.edit(
      `how ${this.words().title.toLowerCase()} is calibrated`,
      { type: 'describeCalibration', of: this.kind(), sensorId: this.sensorId(), changes } as unknown as Edit,
      ...foundSet(this.plan(), this.kind(), this.sensorId(), { ...changes }, new Date().toISOString()),
    );
  }
}
