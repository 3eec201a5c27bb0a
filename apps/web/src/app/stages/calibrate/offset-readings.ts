import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { conditionsOfFirstReading, depthOffsetOf } from '@grey-keel/core';
import { depthPairSchema, type DepthPair, wordsOf } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { selectInstruments } from '../../live/instruments.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TickField } from '../../shared/tick-field.ts';
import { Wide } from '../../shared/wide.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { LiveRun, type TakenReading } from './live-run.ts';
import type { ReadingRow } from './reading-rows.ts';
import { ReadingActs } from './reading-acts.ts';
import { ReadingConditions } from './reading-conditions.ts';

const blank: DepthPair = { leadLineM: null, displayedM: null, leftOut: false };

/** The lead-line readings of one transducer, with a line for the next, and what they were taken in. */
@Component({
  selector: 'gk-offset-readings',
  imports: [
    ComputedNumber,
    DatePipe,
    FigurePipe,
    LiveRun,
    QuantityField,
    ReadingActs,
    ReadingConditions,
    TickField,
    Wide,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="readings-title">
      <h2 id="readings-title">Readings</h2>
      @if (listens()) {
        <gk-live-run
          kind="depth"
          word="reading"
          [next]="rows().length + 1"
          [lagS]="1"
          [addsM]="offsetSetM()"
          (taken)="take($event)"
        />
        <p class="small faint">
          The network gives the depth below the face; the offset that is set in the display is added. Cast the lead at
          the same moment and type it in.
        </p>
      }
      <div gkWide>
        <table class="figures">
          <thead>
            <tr>
              <th scope="col">lead line</th>
              <th scope="col">displayed</th>
              @for (extra of extras(); track extra.name) {
                <th scope="col">{{ extra.label }}</th>
              }
              <th scope="col">as read</th>
              <th scope="col">corrected</th>
              <th scope="col"><span class="hidden-label">Actions</span></th>
            </tr>
          </thead>
          <tbody>
            @for (row of shown(); track row.id) {
              <tr [class.out]="row.pair.leftOut" [attr.data-reading]="row.recorded ? row.id : 'new'">
                <td>
                  <gk-quantity-field
                    [label]="'Lead line, reading ' + row.place"
                    [labelHidden]="true"
                    [fieldId]="'reading-' + transducerId() + '-' + row.id"
                    [at]="['depthOffsets', transducerId(), 'readings', row.id, 'leadLineM']"
                    [value]="row.pair.leadLineM"
                    [schema]="pair.leadLineM"
                    (changed)="write(row, { leadLineM: $event })"
                  />
                </td>
                <td>
                  <gk-quantity-field
                    [label]="'Displayed, reading ' + row.place"
                    [labelHidden]="true"
                    [fieldId]="'shown-' + transducerId() + '-' + row.id"
                    [at]="['depthOffsets', transducerId(), 'readings', row.id, 'displayedM']"
                    [value]="row.pair.displayedM"
                    [schema]="pair.displayedM"
                    (changed)="write(row, { displayedM: $event })"
                  />
                </td>
                @for (extra of extras(); track extra.name) {
                  <td>
                    <gk-quantity-field
                      [label]="extra.label + ', reading ' + row.place"
                      [labelHidden]="true"
                      [fieldId]="extra.name + '-' + transducerId() + '-' + row.id"
                      [at]="['depthOffsets', transducerId(), 'readings', row.id, extra.name]"
                      [value]="row.pair[extra.name] ?? null"
                      [schema]="pair[extra.name]"
                      (changed)="writeExtra(row, extra.name, $event)"
                    />
                  </td>
                }
                <td class="mono" [title]="row.pair.from?.source ?? ''">
                  {{ row.rawM === null ? '' : (row.rawM | figure: 'length' : units()) }}
                </td>
                <td>
                  @if (row.differenceM !== null) {
                    <gk-number
                      [of]="'Difference of reading ' + row.place"
                      [value]="row.differenceM"
                      quantity="length"
                      [steps]="row.working"
                      [class.flagged]="row.flagged"
                    />
                  } @else if (row.recorded && !row.pair.leftOut) {
                    <span class="small check">{{ row.pair.leadLineM === null ? 'lead line' : 'display' }} missing</span>
                  } @else if (row.pair.leftOut) {
                    <span class="small faint">left out</span>
                  }
                  @if (row.pair.at; as at) {
                    <span class="small faint when"
                      >{{ at | date: 'HH:mm'
                      }}{{ row.pair.from ? (row.pair.from.simulated ? ', simulated' : ', live') : '' }}</span
                    >
                  }
                </td>
                <td class="acts">
                  @if (row.recorded) {
                    <gk-reading-acts
                      [of]="'reading ' + row.place"
                      [leftOut]="row.pair.leftOut"
                      (leftOutChanged)="write(row, { leftOut: $event })"
                      (deleted)="remove(row)"
                    />
                  }
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <gk-tick-field
        label="The lead line was cast at another moment than the display was read"
        fieldId="tide-asked"
        [value]="tideAsked()"
        (changed)="tideAsked.set($event)"
      />
      <p class="small faint">
        "As read" is the lead line less what was shown; "corrected" takes off the offset that was set and goes by the
        speed of sound in the water. A reading that stands apart is named and stays in until you leave it out. Spread
        them over the depths you work in: at one depth all share the steps they are read in.
      </p>
      <gk-reading-conditions [transducerId]="transducerId()" />
    </section>
  `,
  styles: `
    :host {
      display: contents;
    }
    .check {
      color: var(--check);
    }
    td gk-quantity-field {
      width: 86px;
      margin-left: auto;
    }
    .acts {
      white-space: nowrap;
    }
    table.figures td {
      padding: 2px 3px;
    }
    td:first-child gk-quantity-field {
      margin-left: 0;
    }
    tr.out {
      color: var(--faint);
      text-decoration: line-through;
    }
    .when {
      display: block;
    }
    .flagged {
      color: var(--check);
      font-weight: 700;
    }
  `,
})
export class OffsetReadings {
  readonly transducerId = input.required<string>();
  /** As recorded, in their order. */
  readonly rows = input.required<readonly ReadingRow[]>();
  /** It hangs on a pole or a shaft: how deep is read with each pair. */
  readonly letDown = input(false);

  private readonly open = openBoat();
  protected readonly units = this.open.units;
  protected readonly pair = depthPairSchema.shape;
  private readonly nextId = signal(newId());
  /** Ticked by hand, or by a reading that says so. */
  protected readonly tideAsked = linkedSignal<boolean, boolean>({
    source: () => this.rows().some(({ pair }) => pair.riseM != null),
    computation: (said, before) => said || (before?.value ?? false),
  });
  /** What else a reading carries, where it matters on this boat. */
  protected readonly extras = computed(() => {
    const rows = this.rows();
    const loaded = Object.keys(this.open.plan().loadings).length > 0 || rows.some(({ pair }) => pair.draughtM != null);
    const names = [
      ...(this.tideAsked() ? (['riseM'] as const) : []),
      ...(this.letDown() ? (['immersionM'] as const) : loaded ? (['draughtM'] as const) : []),
    ];
    return names.map((name) => ({ name, label: (wordsOf(this.pair[name])?.label ?? name).toLowerCase() }));
  });
  protected readonly shown = computed<ReadingRow[]>(() => [
    ...this.rows(),
    {
      id: this.nextId(),
      place: this.rows().length + 1,
      pair: blank,
      recorded: false,
      rawM: null,
      differenceM: null,
      flagged: false,
      working: [],
    },
  ]);

  private readonly instruments = inject(Store).selectSignal(selectInstruments);
  protected readonly listens = computed(() => this.instruments().sources.some(({ wanted }) => wanted));
  protected readonly offsetSetM = computed(() => depthOffsetOf(this.open.plan(), this.transducerId()).offsetSetM);

  protected write(row: ReadingRow, changes: Partial<DepthPair>): void {
    const place = { transducerId: this.transducerId(), readingId: row.id };
    if (row.recorded)
      return this.open.edits.edit(`reading ${row.place}`, { type: 'correctReading', ...place, changes });
    if (Object.values(changes).every((value) => value === null)) return;
    this.open.edits.edit(
      `reading ${row.place}`,
      { type: 'recordReading', ...place, reading: { ...blank, ...changes, at: new Date().toISOString() } },
      ...conditionsOfFirstReading(this.open.plan(), this.transducerId()),
    );
    this.nextId.set(newId());
  }

  protected writeExtra(row: ReadingRow, name: 'riseM' | 'draughtM' | 'immersionM', value: number | null): void {
    this.write(row, { [name]: value });
  }

  protected take({ figures, from }: TakenReading): void {
    this.open.edits.edit(
      `reading ${this.rows().length + 1}`,
      {
        type: 'recordReading',
        transducerId: this.transducerId(),
        readingId: newId(),
        reading: { ...blank, displayedM: figures['displayedM'] ?? null, at: from.at, from },
      },
      ...conditionsOfFirstReading(this.open.plan(), this.transducerId()),
    );
  }

  protected remove(row: ReadingRow): void {
    this.open.edits.edit(`delete reading ${row.place}`, {
      type: 'removeReading',
      transducerId: this.transducerId(),
      readingId: row.id,
    });
  }
}
