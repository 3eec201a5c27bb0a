import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import {
  asDisplayed,
  compassFrom,
  headingFrom,
  heldHeading,
  type RunAverage,
  steadyRun,
  steadyValue,
  wrapped,
} from '@grey-keel/core';
import type { CalibrationKind, LiveQuantity, Sentence, TakenFrom } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { ProgressBar } from 'primeng/progressbar';
import { listensTo, type Live } from './procedures/procedure.ts';
import { procedures } from './procedures/procedures.ts';
import { selectInstruments, selectListened } from '../../live/instruments.ts';
import { LiveSamples } from '../../live/live-samples.ts';
import { FigurePipe, SentencePipe } from '../../shared/figure-pipe.ts';
import { PressButton } from '../../shared/press-button.ts';
import { openBoat } from '../open-boat.ts';

/** A reading taken from the instruments: its figures by their names in the plan, and what it was averaged from. */
export interface TakenReading {
  readonly figures: Readonly<Record<string, number>>;
  readonly from: TakenFrom;
}

/** Twenty seconds of a run smooth the waves out. */
const averageS = 20;
/** A depth is averaged over three waves of 8 s: over one it is that wave’s. */
const threeWavesS = 24;
/** A run back is nearer to opposite than to across. */
const leastApartDeg = 120;

/** What is held against a lead line comes in as a depth. */
const depth: Live = { by: 'one value', quantity: 'depthM', figure: 'displayedM', near: 0.6, averageS: threeWavesS };
export type ListenedKind = 'depth' | CalibrationKind;
const liveOf = (kind: ListenedKind): Live | null => (kind === 'depth' ? depth : procedures[kind].live);
/** What a reading of a kind can be taken from; nothing where it is typed. */
export const heardFor = (kind: ListenedKind): readonly LiveQuantity[] => listensTo(liveOf(kind));

/** A heading that is held for so long, within so much of its middle, is read off. */
const heldS = 8;
const heldWithinDeg = 4;

type Shown =
  | { readonly state: 'waiting' | 'settling'; readonly why: Sentence }
  | {
      readonly state: 'averaging' | 'ready';
      readonly leftS: number;
      readonly lastedS: number;
      readonly samples: number;
      readonly figures: Readonly<Record<string, number>>;
    };

/** A reading as it forms from the instruments: what is still waited for and why, then the averages, and the way to take it. */
@Component({
  selector: 'gk-live-run',
  imports: [FigurePipe, PressButton, ProgressBar, SentencePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="live" [class.ready]="shown().state === 'ready'" [attr.data-run]="shown().state">
      @if (waits(); as why) {
        <p role="status">{{ why | sentence: units() }}</p>
      }
      @if (averages(); as it) {
        <p class="mono figures">
          @for (one of listed(); track one.name) {
            <span>{{ one.label }} {{ one.value | figure: one.quantity : units() : { decimals: one.decimals } }}</span>
          }
        </p>
        <p-progressbar
          [value]="progress()"
          [showValue]="false"
          [ariaLabel]="'Averaged for ' + progress() + ' of 100 parts'"
        />
        <p class="small">
          {{ it.state === 'ready' ? 'Averaged long enough' : 'Averaging' }}:
          {{ it.lastedS | figure: 'wait' : units() }}, {{ it.samples }} samples from {{ source() }}.
        </p>
      }
      @if (barred(); as words) {
        <p class="check small">{{ words }}</p>
      }
      <button
        type="button"
        pButton
        id="take-run"
        [disabled]="shown().state !== 'ready' || barred() !== ''"
        (click)="take()"
      >
        Take {{ word() }} {{ next() }}
      </button>
    </div>
  `,
  styles: `
    .live {
      display: grid;
      gap: 6px;
      padding: 8px 10px;
      border: var(--hairline) solid var(--rule);
      border-left: 4px solid var(--hull-light);
    }
    .live.ready {
      border-left-color: var(--fresh);
    }
    .figures {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 14px;
    }
    .check {
      color: var(--check);
    }
    button {
      justify-self: start;
    }
  `,
})
export class LiveRun {
  readonly kind = input.required<ListenedKind>();
  readonly word = input.required<string>();
  /** The place the next reading gets. */
  readonly next = input.required<number>();
  readonly lagS = input.required<number>();
  /** The north the heading is shown from on this boat's displays. */
  readonly north = input<'true' | 'magnetic'>('true');
  /** The heading of the run before; null where there is none. */
  readonly headingBeforeDeg = input<number | null>(null);
  /** Heading sensors and position receivers follow as fast as this; only the log is slower. */
  readonly quickS = input(3);
  /** What is calibrated, where what comes in may be with or without a correction that is set. */
  readonly sensorId = input('');
  /** Added to what comes in: the offset that is set in the display, which the network's depth is without. */
  readonly addsM = input(0);
  readonly taken = output<TakenReading>();

  private readonly open = openBoat();
  private readonly live = inject(LiveSamples);
  private readonly store = inject(Store);
  private readonly listened = this.store.selectSignal(selectListened);
  private readonly instruments = this.store.selectSignal(selectInstruments);
  protected readonly units = this.open.units;
  private readonly takenAtS = signal(-Infinity);

  protected readonly shown = computed((): Shown => {
    const it = this.asItComes();
    const kind = this.kind();
    if (!('figures' in it) || kind === 'depth') return it;
    const displayed = asDisplayed(this.open.plan(), kind, this.sensorId(), it.figures);
    return 'why' in displayed
      ? { state: 'waiting', why: displayed.why }
      : { ...it, figures: rounded(displayed.figures) };
  });
  private readonly asItComes = computed((): Shown => {
    this.live.beat();
    const nowS = this.live.nowS();
    const kind = this.kind();
    const of = (quantity: LiveQuantity) => this.live.of(this.listened()[quantity]?.id);
    const live = liveOf(kind);
    if (live === null) return { state: 'waiting', why: ['Its readings are typed.'] };
    if (live.by === 'one value') {
      const it = steadyValue(of(live.quantity), nowS, {
        lagS: this.lagS(),
        // A practice boat's clock may run faster than ours: three of its waves are over sooner.
        averageS: live.averageS / this.pace(),
        near: live.near,
        notBeforeS: this.takenAtS(),
      });
      return 'value' in it ? { ...it, figures: { [live.figure]: to(it.value + this.addsM(), 0.001) } } : it;
    }
    const trueDeg = of('headingTrueDeg');
    const heading =
      live.by === 'held compass'
        ? compassFrom({ compassDeg: of('compassDeg'), trueDeg })
        : headingFrom(this.north(), {
            trueDeg,
            magneticDeg: of('headingMagneticDeg'),
            variationDeg: of('variationDeg'),
          });
    if ('why' in heading) return { state: 'waiting', why: heading.why };
    if (live.by !== 'run') {
      const held = heldHeading(heading.samples, nowS, {
        averageS: heldS,
        withinDeg: heldWithinDeg,
        notBeforeS: this.takenAtS(),
      });
      if (!('value' in held)) return held;
      const headingDeg = to(held.value, 0.05) % 360;
      if (live.by === 'held compass') return { ...held, figures: { compassDeg: headingDeg } };
      const [latitudeDeg, longitudeDeg] = [this.newest('latitudeDeg'), this.newest('longitudeDeg')];
      return latitudeDeg === null || longitudeDeg === null
        ? { state: 'waiting', why: ['No position comes in. Choose where it comes from.'] }
        : { ...held, figures: { headingDeg, latitudeDeg, longitudeDeg } };
    }
    const byLog = live.follows === 'log';
    const run = steadyRun(
      {
        headingDeg: heading.samples,
        cogDeg: of('cogDeg'),
        sogMps: of('sogMps'),
        ...(byLog ? { logMps: of('logMps') } : {}),
      },
      nowS,
      {
        lagS: {
          heading: byLog ? this.quickS() : this.lagS(),
          position: byLog ? this.quickS() : this.lagS(),
          log: byLog ? this.lagS() : 0,
        },
        averageS,
        notBeforeS: this.takenAtS(),
      },
    );
    if (!('average' in run)) return run;
    const before = this.headingBeforeDeg();
    // Runs of a heading are pairs: the second one goes back.
    if (!byLog && this.next() % 2 === 0 && before !== null) {
      const apart = Math.abs(wrapped(run.average.headingDeg - before));
      if (apart < leastApartDeg)
        return {
          state: 'waiting',
          why: ['Now the run back: turn to about ', { value: (before + 180) % 360, quantity: 'angle' }, '.'],
        };
    }
    return { ...run, figures: figuresOf(run.average) };
  });
  protected readonly waits = computed(() => {
    const it = this.shown();
    return 'why' in it ? it.why : null;
  });
  protected readonly averages = computed(() => {
    const it = this.shown();
    return 'figures' in it ? it : null;
  });
  protected readonly progress = computed(() => {
    const it = this.averages();
    if (!it) return 0;
    const wholeS = it.lastedS + it.leftS;
    return wholeS > 0 ? Math.round((100 * it.lastedS) / wholeS) : 100;
  });
  protected readonly listed = computed(() => {
    const it = this.averages();
    if (!it) return [];
    const words = [
      { name: 'headingDeg', label: 'heading', quantity: 'angle' as const, decimals: 1 },
      { name: 'cogDeg', label: 'course', quantity: 'angle' as const, decimals: 1 },
      { name: 'sogMps', label: 'over ground', quantity: 'speed' as const, decimals: 2 },
      { name: 'logMps', label: 'log', quantity: 'speed' as const, decimals: 2 },
      { name: 'displayedC', label: 'shown', quantity: 'temperature' as const, decimals: 2 },
      { name: 'displayedM', label: 'shown', quantity: 'depth' as const, decimals: 2 },
      { name: 'voltsV', label: 'voltage', quantity: 'voltage' as const, decimals: 2 },
      { name: 'compassDeg', label: 'compass', quantity: 'angle' as const, decimals: 1 },
      { name: 'latitudeDeg', label: 'latitude', quantity: 'angle' as const, decimals: 6 },
      { name: 'longitudeDeg', label: 'longitude', quantity: 'angle' as const, decimals: 6 },
    ];
    return words.flatMap((one) => {
      const value = it.figures[one.name];
      return value === undefined ? [] : [{ ...one, value }];
    });
  });
  private readonly sources = computed(() => {
    const ids = new Set(heardFor(this.kind()).flatMap((quantity) => this.listened()[quantity]?.sourceId ?? []));
    return this.instruments().sources.filter(({ id }) => ids.has(id));
  });
  protected readonly source = computed(() =>
    this.sources()
      .map(({ name }) => name)
      .join(' and '),
  );
  private readonly pace = computed(() =>
    Math.max(1, ...this.sources().map(({ connection }) => (connection.by === 'simulated boat' ? connection.pace : 1))),
  );
  private readonly simulated = computed(() => this.sources().some((one) => one.simulated));
  /** Why what comes in cannot be taken on this boat; empty where it can. */
  protected readonly barred = computed(() =>
    this.simulated() && this.open.plan().practice !== true
      ? 'This is the simulated boat: its readings are taken on a practice copy alone. Make one from the fleet’s menu.'
      : '',
  );

  /** Where the boat is now, in degrees; null where nothing has come in for three seconds. */
  private newest(quantity: 'latitudeDeg' | 'longitudeDeg'): number | null {
    const sample = this.live.of(this.listened()[quantity]?.id).at(-1);
    return sample && this.live.nowS() - sample.atS < 3 ? to(sample.value, 0.000_001) : null;
  }

  protected take(): void {
    const it = this.averages();
    if (it?.state !== 'ready' || this.barred() !== '') return;
    const talkers = heardFor(this.kind()).flatMap((quantity) => {
      const channel = this.listened()[quantity];
      return channel ? [`${channel.talker} ${channel.type}`] : [];
    });
    this.takenAtS.set(this.live.nowS());
    this.taken.emit({
      figures: it.figures,
      from: {
        source: `${this.source()}: ${[...new Set(talkers)].join(', ')}`.slice(0, 120),
        simulated: this.simulated(),
        at: new Date().toISOString(),
        lastedS: Math.round(it.lastedS),
        samples: it.samples,
      },
    });
  }
}

/** As many figures as such an average carries. */
const to = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(6));
const rounded = (figures: Readonly<Record<string, number>>): Record<string, number> =>
  Object.fromEntries(Object.entries(figures).map(([name, value]) => [name, to(value, 0.000_001)]));
export const figuresOf = ({ headingDeg, cogDeg, sogMps, logMps }: RunAverage): Record<string, number> => ({
  headingDeg: to(headingDeg, 0.05) % 360,
  cogDeg: to(cogDeg, 0.05) % 360,
  sogMps: to(sogMps, 0.001),
  ...(logMps === null ? {} : { logMps: to(logMps, 0.001) }),
});
