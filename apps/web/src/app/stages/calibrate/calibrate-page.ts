import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, untracked } from '@angular/core';
import { RouterLink } from '@angular/router';
import { calibratedSensors, depthGivers, measuredOffset, standingOf, type ResultStanding } from '@grey-keel/core';
import { type CalibrationKind, calibrationKinds, type Path, type Quantity, type Target } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { HelmPanel } from '../../live/helm-panel.ts';
import { InstrumentStrip } from '../../live/instrument-strip.ts';
import { InstrumentsPanel } from '../../live/instruments-panel.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { GoTo } from '../../shared/go-to.ts';
import { Wide } from '../../shared/wide.ts';
import { selectFindings } from '../../state/plan.selectors.ts';
import { openBoat } from '../open-boat.ts';
import { DrillFrame } from '../../shared/drill/drill-frame.ts';
import { DepthProcedure } from './depth-procedure.ts';
import { calibrateDrill } from './drill/calibrate-drill.ts';
import { SensorProcedure } from './sensor-procedure.ts';

const quantities: Readonly<Record<CalibrationKind, Quantity>> = {
  speed: 'fraction',
  temperature: 'temperatureDifference',
  heading: 'angle',
  deviation: 'angle',
};

/** As the list has them, in one word. */
const shortWords: Readonly<Record<CalibrationKind, string>> = {
  speed: 'Speed',
  temperature: 'Temperature',
  heading: 'Heading',
  deviation: 'Deviation',
};

/** What is calibrated: a depth, a speed, a temperature or a heading, by what gives it. */
interface Subject {
  readonly kind: 'depth' | CalibrationKind;
  readonly id: string;
  readonly key: string;
}

/** It, as the list shows it: what was entered, and whether that still holds. */
interface Listed extends Subject {
  readonly word: string;
  readonly name: string;
  readonly state: ResultStanding['state'];
  readonly value: number | null;
  readonly quantity: Quantity;
}

const subjectAt = (path: Path): string | null => {
  const [part, kind, id] = path;
  if (part === 'depthOffsets') return `depth-${String(kind)}`;
  return part === 'calibrations' ? `${String(kind)}-${String(id)}` : null;
};

@Component({
  selector: 'gk-calibrate-page',
  imports: [
    DepthProcedure,
    DrillFrame,
    FigurePipe,
    HelmPanel,
    InstrumentsPanel,
    InstrumentStrip,
    RouterLink,
    SensorProcedure,
    Wide,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (subjects().length === 0) {
      <section class="sheet">
        <p>
          There is nothing aboard that gives a depth, a speed, a temperature or a heading, so there is none to
          calibrate.
        </p>
        <p><a routerLink="../beams">Choose transducers first</a></p>
      </section>
    } @else {
      <gk-instrument-strip class="strip" />
      <section class="sheet list" gkWide aria-label="What is calibrated">
        @for (one of subjects(); track one.key) {
          <button
            type="button"
            [attr.aria-current]="chosen()?.key === one.key"
            (click)="choose(one.key)"
            [attr.data-calibration]="one.key"
            [attr.data-tab]="one.key"
          >
            <strong>{{ one.word }}</strong>
            <span class="small name" [title]="one.name">{{ one.name }}</span>
            <span class="value mono" [class.is-stale]="one.state === 'stale'" [class.is-missing]="one.value === null">{{
              one.value === null
                ? 'missing'
                : (one.value | figure: one.quantity : units() : { signed: one.quantity !== 'fraction' })
            }}</span>
            <span class="small state {{ one.state }}">{{ one.state }}</span>
          </button>
        }
        <button
          type="button"
          class="drill"
          [attr.aria-current]="drilling()"
          (click)="choose(drillKey)"
          data-calibration="drill"
          data-tab="drill"
        >
          <strong>Drill</strong>
          <span class="small">hidden errors to find</span>
        </button>
      </section>

      <div class="work">
        <gk-helm-panel />
        @if (drilling()) {
          <gk-drill-frame
            [rows]="drill"
            about="A boat whose instruments are off by what is not told: find it from as few runs as it takes."
            needs="open a boat"
          />
        } @else if (chosen(); as one) {
          @if (one.kind === 'depth') {
            <gk-depth-procedure [transducerId]="one.id" />
          } @else {
            <gk-sensor-procedure [kind]="one.kind" [sensorId]="one.id" />
          }
        }
      </div>
      <gk-instruments-panel />
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: 200px minmax(0, 1fr);
      gap: 10px;
    }
    .strip {
      grid-column: 1 / -1;
    }
    .work {
      display: grid;
      gap: 10px;
      align-content: start;
      min-width: 0;
    }
    .list {
      padding: 0;
      align-self: start;
    }
    .list button {
      width: 100%;
      display: grid;
      grid-template-columns: 1fr auto;
      gap: 2px 6px;
      padding: 10px 8px;
      min-height: 60px;
      text-align: left;
      color: var(--ink);
      background: var(--sheet);
      border: 0;
      border-bottom: var(--hairline) solid var(--rule);
      border-left: 4px solid transparent;
      cursor: pointer;
    }
    .list button[aria-current='true'] {
      background: var(--water-wash);
      border-left-color: var(--water);
    }
    .list .small {
      grid-column: 1;
    }
    /* Two lines of a long name; all of it stands over its procedure. */
    .list .name {
      display: -webkit-box;
      -webkit-box-orient: vertical;
      -webkit-line-clamp: 2;
      overflow: hidden;
      overflow-wrap: anywhere;
    }
    .list .value {
      grid-column: 2;
      grid-row: 1;
      text-align: right;
      font-size: var(--small);
      font-weight: 700;
    }
    .list .value.is-missing {
      font-weight: 400;
    }
    .list .state {
      grid-column: 2;
      text-align: right;
    }
    .state.fresh {
      color: var(--fresh);
    }
    .state.stale {
      color: var(--check);
    }
    @media (max-width: 1100px) {
      :host {
        grid-template-columns: minmax(0, 1fr);
      }
      .list {
        display: flex;
      }
      .list .name {
        display: block;
        overflow: visible;
      }
      .list button {
        min-width: 178px;
      }
    }
  `,
})
export class CalibratePage {
  private readonly open = openBoat();
  private readonly found = inject(Store).selectSignal(selectFindings);
  protected readonly units = this.open.units;

  protected readonly subjects = computed((): Listed[] => {
    const plan = this.open.plan();
    return [
      ...depthGivers(plan).map(({ id, name }): Listed => ({
        kind: 'depth',
        id,
        key: `depth-${id}`,
        word: 'Depth',
        name,
        state: measuredOffset.standing(plan, id).state,
        value: plan.depthOffsets[id]?.entered?.offsetM ?? null,
        quantity: 'length',
      })),
      ...calibrationKinds.flatMap((kind) =>
        calibratedSensors(plan, kind).map(({ id, name }): Listed => ({
          kind,
          id,
          key: `${kind}-${id}`,
          word: shortWords[kind],
          name,
          state: standingOf(plan, kind, id).state,
          value: plan.calibrations[kind][id]?.entered?.values[0] ?? null,
          quantity: quantities[kind],
        })),
      ),
    ];
  });
  /** The one looked at: the most pressing, until another is chosen. */
  private readonly key = linkedSignal<string[], string>({
    source: computed(() => this.subjects().map(({ key }) => key), { equal: (a, b) => a.join() === b.join() }),
    computation: (keys, before) =>
      before && (before.value === 'drill' || keys.includes(before.value)) ? before.value : this.mostPressing(),
  });
  protected readonly drillKey = 'drill';
  protected readonly drill = calibrateDrill;
  protected readonly drilling = computed(() => this.key() === this.drillKey);
  protected readonly chosen = computed(
    (): Subject | null => this.subjects().find(({ key }) => key === this.key()) ?? null,
  );

  constructor() {
    const goTo = inject(GoTo);
    // A fix leads to one sensor's field: its procedure is shown before its field is looked for.
    effect(() => {
      const key = keyOf(goTo.wanted());
      if (this.subjects().some((one) => one.key === key)) untracked(() => this.choose(key ?? ''));
    });
  }

  protected choose(key: string): void {
    this.key.set(key);
  }

  /** The one to look at first: one that a stop speaks of, then one that is not fresh. */
  private mostPressing(): string {
    const subjects = this.subjects();
    const stopped = this.found().find(({ stage, severity }) => stage === 'calibrate' && severity === 'stop');
    const first =
      subjects.find(({ kind, id }) => kind === 'depth' && stopped?.of.includes(id)) ??
      subjects.find(({ state }) => state !== 'fresh') ??
      subjects[0];
    return first?.key ?? '';
  }
}

const keyOf = (target: Target | null): string | null => (target && 'path' in target ? subjectAt(target.path) : null);
