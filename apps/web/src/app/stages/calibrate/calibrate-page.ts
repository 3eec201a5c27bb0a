import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, untracked } from '@angular/core';
import { depthGivers, depthOffsetOf, measuredOffset } from '@grey-keel/core';
import type { DepthOffset } from '@grey-keel/model';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { type Difference, DifferencesChart } from '../../shared/differences-chart.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { selectFindings } from '../../state/plan.selectors.ts';
import { openBoat } from '../open-boat.ts';
import { GoTo } from '../../shared/go-to.ts';
import { OffsetReadings } from './offset-readings.ts';
import { OffsetResult } from './offset-result.ts';
import { readingRows } from './reading-rows.ts';
import { LeadLinePicture, type PicturedReading } from './lead-line-picture.ts';
import { ChoiceButtons } from '../../shared/choice-buttons.ts';
import { choicesOf } from '../../shared/choice-field.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { Wide } from '../../shared/wide.ts';

@Component({
  selector: 'gk-calibrate-page',
  imports: [
    ChoiceButtons,
    PlanPlace,
    DifferencesChart,
    FigurePipe,
    LeadLinePicture,
    OffsetReadings,
    OffsetResult,
    RouterLink,
    Wide,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (sounders().length === 0) {
      <section class="sheet">
        <p>There is nothing aboard that gives a depth yet, so there is none to calibrate.</p>
        <p><a routerLink="../beams">Choose transducers first</a></p>
      </section>
    } @else {
      <section class="sheet list" gkWide aria-label="What is calibrated">
        @for (one of sounders(); track one.id) {
          <button
            type="button"
            [attr.aria-current]="chosen() === one.id"
            (click)="chosen.set(one.id)"
            [attr.data-sounder]="one.id"
          >
            <strong>Depth</strong>
            <span class="small">{{ one.name }}</span>
            <span
              class="value mono"
              [class.is-stale]="one.state === 'stale'"
              [class.is-missing]="one.offsetM === null"
              >{{
                one.offsetM === null ? 'missing' : (one.offsetM | figure: 'length' : units() : { signed: true })
              }}</span
            >
            <span class="small state {{ one.state }}">{{ one.state }}</span>
          </button>
        }
      </section>

      <div class="work">
        <section
          class="sheet top"
          [attr.aria-label]="'Depth offset, ' + name()"
          [id]="'offset-' + chosen()"
          [gkPlace]="['depthOffsets', chosen()]"
          tabindex="-1"
        >
          <div>
            <h2>Depth offset, {{ name() }}</h2>
            <gk-lead-line-picture [boat]="plan().boat" [reading]="pictured()" [units]="units()" />
          </div>
          <div>
            <gk-choice-buttons
              label="Depth is counted from the"
              fieldId="offset-reference"
              [value]="settings().reference"
              [choices]="references"
              (changed)="set({ reference: $event })"
            />
            <h3>Differences</h3>
            @if (answer(); as it) {
              <gk-differences-chart
                [points]="points()"
                [meanM]="meanM()"
                [halfIntervalM]="it.halfInterval95M"
                [units]="units()"
              />
            } @else {
              <p class="faint empty is-missing"><span>They are drawn when the first pair is complete.</span></p>
            }
          </div>
        </section>

        <div class="two">
          <gk-offset-readings [transducerId]="chosen()" [rows]="rows()" />
          <gk-offset-result [transducerId]="chosen()" [result]="result()" [rows]="rows()" />
        </div>
      </div>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: 168px minmax(0, 1fr);
      gap: 10px;
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
      padding: 10px 12px;
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
    .work {
      display: grid;
      gap: 10px;
      min-width: 0;
    }
    .top {
      display: grid;
      grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
      gap: 14px;
    }
    .empty {
      min-height: 200px;
      display: grid;
      place-items: center;
    }
    .empty span {
      background: var(--sheet);
      padding: 4px 8px;
    }
    .two {
      display: grid;
      grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
      gap: 10px;
    }
    h3 {
      margin: 10px 0 4px;
    }
    @media (max-width: 1100px) {
      :host {
        grid-template-columns: minmax(0, 1fr);
      }
      .list {
        display: flex;
      }
    }
    @media (max-width: 760px) {
      .top,
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class CalibratePage {
  protected readonly references = choicesOf(['waterline', 'keel'] as const);
  private readonly open = openBoat();
  private readonly found = inject(Store).selectSignal(selectFindings);
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;

  protected readonly sounders = computed(() =>
    depthGivers(this.plan()).map(({ id, name }) => ({
      id,
      name,
      state: measuredOffset.standing(this.plan(), id).state,
      offsetM: this.plan().depthOffsets[id]?.entered?.offsetM ?? null,
    })),
  );
  /** The one looked at: the first that is not fresh, until another is chosen. */
  protected readonly chosen = linkedSignal<string[], string>({
    source: computed(() => this.sounders().map(({ id }) => id), { equal: (a, b) => a.join() === b.join() }),
    computation: (ids, before) => (before && ids.includes(before.value) ? before.value : this.mostPressing(ids)),
  });
  protected readonly name = computed(() => this.plan().transducers[this.chosen()]?.name ?? '');
  protected readonly settings = computed(() => depthOffsetOf(this.plan(), this.chosen()));
  private readonly inputs = computed(() => measuredOffset.slice(this.plan(), this.chosen()));
  protected readonly result = computed(() => measuredOffset.of(this.plan(), this.chosen()));
  protected readonly answer = computed(() => {
    const result = this.result();
    return result?.known ? result.answer : null;
  });

  constructor() {
    const goTo = inject(GoTo);
    // A fix leads to one transducer's field: it is shown before its field is looked for.
    effect(() => {
      const target = goTo.wanted();
      const id = target && 'path' in target && target.path[0] === 'depthOffsets' ? target.path[1] : null;
      if (this.sounders().some((one) => one.id === id)) untracked(() => this.chosen.set(String(id)));
    });
  }

  protected readonly rows = computed(() =>
    readingRows(this.settings().readings, this.inputs()?.readings.map(({ id }) => id) ?? [], this.answer()),
  );

  protected readonly points = computed<Difference[]>(() => {
    const answer = this.answer();
    const readings = this.inputs()?.readings ?? [];
    return (answer?.differencesM ?? []).map((differenceM, i) => ({
      depthM: readings[i]?.leadLineM ?? 0,
      differenceM,
      flagged: answer?.flagged.includes(i) ?? false,
    }));
  });
  /** The mean of the differences themselves: the offset before the keel is taken off. */
  protected readonly meanM = computed(() => {
    const answer = this.answer();
    if (!answer) return 0;
    return answer.offsetM + (this.settings().reference === 'keel' ? (this.plan().boat.draughtM ?? 0) : 0);
  });

  protected readonly pictured = computed<PicturedReading | null>(() => {
    const answer = this.answer();
    const readings = this.inputs()?.readings ?? [];
    const i = readings.findIndex((_, k) => !answer?.flagged.includes(k));
    const reading = readings[i];
    const missedM = answer?.differencesM[i];
    return reading && missedM !== undefined
      ? { leadLineM: reading.leadLineM, displayedM: reading.displayedM, rangeM: reading.leadLineM - missedM, missedM }
      : null;
  });

  /** The sounder to look at first: one that a stop speaks of, then one that is not fresh. */
  private mostPressing(ids: readonly string[]): string {
    const stopped = this.found().find(({ stage, severity }) => stage === 'calibrate' && severity === 'stop');
    return (
      ids.find((id) => stopped?.id.endsWith(`:${id}`)) ??
      this.sounders().find(({ state }) => state !== 'fresh')?.id ??
      ids[0] ??
      ''
    );
  }

  protected set(changes: Partial<Omit<DepthOffset, 'readings' | 'entered'>>): void {
    this.open.edits.edit('how depth is calibrated', {
      type: 'describeDepthOffset',
      transducerId: this.chosen(),
      changes,
    });
  }
}
