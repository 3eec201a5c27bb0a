import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, output, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { asDisplayed, averagedRun, type CutRun, headingFrom, type Sample } from '@grey-keel/core';
import { formatNumber, toDisplay, unitFor } from '@grey-keel/core/units';
import type { CalibrationKind, LiveQuantity, Recording, RecordingPart } from '@grey-keel/model';
import type ApexCharts from 'apexcharts';
import { scaleLinear } from 'd3-scale';
import { catchError, forkJoin, map, type Observable, of, Subject, switchMap } from 'rxjs';
import * as z from 'zod';
import { problemOf } from '../../api/problem.ts';
import { Recordings } from '../../live/recordings.ts';
import { procedures } from './procedures/procedures.ts';
import { axisLabels, Chart, chartFrame, type Colour } from '../../shared/chart.ts';
import { ChoiceField } from '../../shared/choice-field.ts';
import { FigurePipe, SentencePipe } from '../../shared/figure-pipe.ts';
import { PressButton } from '../../shared/press-button.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { openBoat } from '../open-boat.ts';
import { figuresOf, type TakenReading } from './live-run.ts';

const chartPoints = 1200;
/** Longer than so nobody holds a straight line, and its samples would come thinned. */
const longestRunS = 1200;

interface Cut {
  readonly recording: Recording;
  readonly fromS: number;
  readonly toS: number;
}

/** The heading that is drawn: the one there is most of. */
const headingOf = ({ channels }: Recording): Recording['channels'][number] | null =>
  channels
    .filter(({ quantity }) => quantity === 'headingTrueDeg' || quantity === 'headingMagneticDeg')
    .sort((one, other) => other.samples - one.samples)[0] ?? null;

/** A run cut out of a recording: by brushing its headings, or by its two times; averaged, and refused where it is none. */
@Component({
  selector: 'gk-recorded-run',
  imports: [Chart, ChoiceField, FigurePipe, PressButton, QuantityField, SentencePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (choices().length) {
      <gk-choice-field
        label="Recording"
        fieldId="recording"
        [value]="chosen()?.id ?? ''"
        [choices]="choices()"
        (changed)="choose($event)"
      />
    } @else {
      <p class="small faint">No recording yet: take in a log, or record what comes in, under Instruments.</p>
    }
    @if (chosen(); as it) {
      @if (heading(); as part) {
        <gk-chart
          [label]="'Heading over the minutes of ' + it.name + '; brush it, or write the two times below'"
          [height]="190"
          [options]="options()"
        />
        <div class="row">
          <gk-quantity-field
            fieldId="cut-from"
            label="From"
            quantity="wait"
            [decimals]="0"
            [schema]="timeSchema()"
            [value]="fromS()"
            (changed)="cut($event ?? 0, toS())"
          />
          <gk-quantity-field
            fieldId="cut-to"
            label="To"
            quantity="wait"
            [decimals]="0"
            [schema]="timeSchema()"
            [value]="toS()"
            (changed)="cut(fromS(), $event ?? it.lastedS)"
          />
        </div>
      } @else {
        <p class="small">{{ problem() || 'The recording is read.' }}</p>
      }
      @if (result(); as run) {
        @if ('why' in run) {
          <p role="status">{{ run.why | sentence: units() }}</p>
        } @else {
          <p class="mono">
            heading {{ run.average.headingDeg | figure: 'angle' : units() }}, course
            {{ run.average.cogDeg | figure: 'angle' : units() }},
            {{ run.average.sogMps | figure: 'speed' : units() : { decimals: 2 } }} over ground
            @if (run.average.logMps !== null) {
              , log {{ run.average.logMps | figure: 'speed' : units() : { decimals: 2 } }}
            }
          </p>
          @if (figures(); as it) {
            @if ('why' in it) {
              <p class="check small" role="status">{{ it.why | sentence: units() }}</p>
            }
          }
          @if (barred()) {
            <p class="check small">
              This was recorded of the simulated boat: its readings are taken on a practice copy alone.
            </p>
          }
          <button type="button" pButton id="take-cut" [disabled]="!takeable()" (click)="take()">
            Take it as a run
          </button>
        }
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    /* Brushing is all its bar is for. */
    :host ::ng-deep .apexcharts-toolbar {
      display: none;
    }
    .row gk-quantity-field {
      width: 120px;
    }
    .check {
      color: var(--check);
    }
    button {
      justify-self: start;
    }
  `,
})
export class RecordedRun {
  readonly kind = input.required<CalibrationKind>();
  readonly sensorId = input.required<string>();
  /** The north the heading is shown from on this boat's displays. */
  readonly north = input.required<'true' | 'magnetic'>();
  readonly taken = output<TakenReading>();

  private readonly open = openBoat();
  private readonly recordings = inject(Recordings);
  protected readonly units = this.open.units;
  protected readonly problem = signal('');
  protected readonly chosen = signal<Recording | null>(null);
  protected readonly heading = signal<RecordingPart | null>(null);
  protected readonly fromS = signal(0);
  protected readonly toS = signal(0);
  protected readonly result = signal<CutRun | null>(null);
  private readonly cuts = new Subject<Cut>();
  private readonly destroyed = inject(DestroyRef);

  protected readonly choices = computed(() =>
    this.recordings
      .list()
      .filter((one) => headingOf(one) !== null)
      .map(({ id, name }) => ({ value: id, label: name })),
  );
  protected readonly timeSchema = computed(() =>
    z
      .number()
      .min(0)
      .max(Math.max(1, this.chosen()?.lastedS ?? 1)),
  );
  protected readonly barred = computed(() => this.chosen()?.simulated === true && this.open.plan().practice !== true);
  /** The figures as the display shows them, or why that cannot be told. */
  protected readonly figures = computed(() => {
    const run = this.result();
    return run && 'average' in run
      ? asDisplayed(this.open.plan(), this.kind(), this.sensorId(), figuresOf(run.average))
      : null;
  });
  protected readonly options = computed(() => {
    const part = this.heading();
    this.units();
    this.fromS();
    this.toS();
    return (colour: Colour): ApexCharts.ApexOptions => this.draw(colour, part);
  });

  constructor() {
    this.recordings.refresh();
    this.cuts
      .pipe(
        switchMap((cut) => this.averaged(cut).pipe(catchError((error: unknown) => of(problemOf(error))))),
        takeUntilDestroyed(),
      )
      .subscribe((found) => {
        if ('detail' in found) this.problem.set(found.detail);
        else this.result.set(found);
      });
  }

  protected choose(id: string): void {
    const recording = this.recordings.list().find((one) => one.id === id) ?? null;
    this.chosen.set(recording);
    this.heading.set(null);
    this.result.set(null);
    const channel = recording && headingOf(recording);
    if (!recording || !channel) return;
    this.fromS.set(0);
    this.toS.set(recording.lastedS);
    this.recordings
      .part(id, { channel: channel.id, points: chartPoints })
      .pipe(takeUntilDestroyed(this.destroyed))
      .subscribe({
        next: (part) => this.chosen()?.id === id && this.heading.set(part),
        error: (error: unknown) => this.problem.set(problemOf(error).detail),
      });
  }

  /** Cuts a run between two times; what is in it is averaged once it is there. */
  protected cut(fromS: number, toS: number): void {
    const recording = this.chosen();
    if (!recording || toS <= fromS) return;
    this.fromS.set(Math.round(fromS));
    this.toS.set(Math.round(toS));
    this.cuts.next({ recording, fromS, toS });
  }

  /** The newest cut alone counts: an answer to one before it is let go. */
  private averaged({ recording, fromS, toS }: Cut): Observable<CutRun> {
    if (toS - fromS > longestRunS)
      return of({
        why: ['No straight run lasts longer than ', { value: longestRunS, quantity: 'wait' }, ': cut a part.'],
        few: false,
      });
    const samples = (quantity: LiveQuantity): Observable<readonly Sample[]> =>
      this.recordings.samples(recording, quantity, fromS, toS);
    return forkJoin({
      trueDeg: samples('headingTrueDeg'),
      magneticDeg: samples('headingMagneticDeg'),
      variationDeg: samples('variationDeg'),
      cogDeg: samples('cogDeg'),
      sogMps: samples('sogMps'),
      logMps: samples('logMps'),
    }).pipe(
      map(({ cogDeg, sogMps, logMps, ...headings }): CutRun => {
        const heading = headingFrom(this.north(), headings);
        if ('why' in heading) return { why: heading.why, few: false };
        const { live } = procedures[this.kind()];
        const log = live?.by === 'run' && live.follows === 'log' ? { logMps } : {};
        return averagedRun({ headingDeg: heading.samples, cogDeg, sogMps, ...log }, fromS, toS);
      }),
    );
  }

  protected readonly takeable = computed(() => {
    const it = this.figures();
    return it !== null && 'figures' in it && !this.barred();
  });

  protected take(): void {
    const [recording, run, displayed] = [this.chosen(), this.result(), this.figures()];
    if (!recording || !run || 'why' in run || !displayed || 'why' in displayed || this.barred()) return;
    const startedMs = recording.startedAt === null ? Date.now() : Date.parse(recording.startedAt) + 1000 * this.fromS();
    this.taken.emit({
      figures: displayed.figures,
      from: {
        source: `${recording.name}, ${this.fromS()} to ${this.toS()} s`.slice(0, 120),
        simulated: recording.simulated,
        at: new Date(startedMs).toISOString(),
        lastedS: this.toS() - this.fromS(),
        samples: run.samples,
      },
    });
  }

  private draw(colour: Colour, part: RecordingPart | null): ApexCharts.ApexOptions {
    const angle = unitFor('angle', this.units());
    const frame = chartFrame(colour, 'line', 190);
    const label = axisLabels(colour);
    const [, endMin] = scaleLinear([0, Math.max(1, (this.chosen()?.lastedS ?? 0) / 60)], [0, 1])
      .nice(6)
      .domain() as [number, number];
    const points = (part?.timesS ?? []).flatMap((timeS, i) => {
      const y = toDisplay(part?.values[i] ?? 0, angle);
      const before = part?.values[i - 1];
      const x = timeS / 60;
      // Over north the line is lifted: it does not run down the whole chart.
      return before !== undefined && Math.abs(y - before) > 180
        ? [
            { x, y: null },
            { x, y },
          ]
        : [{ x, y }];
    });
    return {
      ...frame,
      chart: {
        ...frame.chart,
        type: 'line',
        selection: { enabled: true, type: 'x' },
        // Selecting is what the bar is for; its icons are not shown.
        toolbar: {
          show: true,
          autoSelected: 'selection',
          tools: {
            download: false,
            selection: true,
            zoom: false,
            zoomin: false,
            zoomout: false,
            pan: false,
            reset: false,
          },
        },
        events: {
          selection: (_chart: unknown, { xaxis }: { xaxis: { min: number; max: number } }) =>
            this.cut(60 * xaxis.min, 60 * xaxis.max),
        },
      },
      series: [{ name: 'heading', data: points }],
      colors: [colour('--series-0')],
      stroke: { width: 1.5 },
      annotations: {
        xaxis: [
          {
            x: this.fromS() / 60,
            x2: this.toS() / 60,
            fillColor: colour('--series-0'),
            opacity: 0.12,
            borderColor: 'transparent',
          },
        ],
      },
      xaxis: {
        type: 'numeric',
        min: 0,
        max: endMin,
        tickAmount: scaleLinear([0, endMin], [0, 1]).ticks(6).length - 1,
        labels: { ...label, formatter: (value: string) => formatNumber(Number(value), 1) },
        title: { text: 'minutes' },
      },
      yaxis: {
        min: 0,
        max: 360,
        tickAmount: 4,
        labels: { ...label, formatter: (value: number) => value.toFixed(0) },
        title: { text: 'heading, °' },
      },
    };
  }
}
