import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { conditionsOfFirstReading, removesFrom } from '@grey-keel/core';
import { depthPairSchema, type DepthPair } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { Wide } from '../../shared/wide.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import type { ReadingRow } from './reading-rows.ts';
import { ReadingActs } from './reading-acts.ts';
import { ReadingConditions } from './reading-conditions.ts';

const blank: DepthPair = { leadLineM: null, displayedM: null, leftOut: false };

/** The lead-line readings of one transducer, with a line for the next, and what they were taken in. */
@Component({
  selector: 'gk-offset-readings',
  imports: [ComputedNumber, FigurePipe, QuantityField, ReadingActs, ReadingConditions, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="readings-title">
      <h2 id="readings-title">Readings</h2>
      <div gkWide>
        <table class="figures">
          <thead>
            <tr>
              <th scope="col">lead line</th>
              <th scope="col">displayed</th>
              <th scope="col">as read</th>
              <th scope="col">corrected</th>
              <th scope="col"><span class="hidden-label">Actions</span></th>
            </tr>
          </thead>
          <tbody>
            @for (row of shown(); track row.id) {
              <tr [class.out]="row.pair.leftOut || row.excluded" [attr.data-reading]="row.recorded ? row.id : 'new'">
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
                <td class="mono">
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
      <p class="small faint">
        "As read" is the lead line less what was shown; "corrected" takes off the offset that was set and goes by the
        speed of sound in the water. A reading that stands apart is named, and left out by itself only from
        {{ removesFrom }} readings on. Spread them over the depths you work in.
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
    /* Beside each other, or below each other where the figures are long. */
    .acts {
      white-space: normal;
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

  private readonly open = openBoat();
  protected readonly units = this.open.units;
  protected readonly pair = depthPairSchema.shape;
  protected readonly removesFrom = removesFrom;
  private readonly nextId = signal(newId());
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
      excluded: false,
      working: [],
    },
  ]);

  protected write(row: ReadingRow, changes: Partial<DepthPair>): void {
    const place = { transducerId: this.transducerId(), readingId: row.id };
    if (row.recorded)
      return this.open.edits.edit(`reading ${row.place}`, { type: 'correctReading', ...place, changes });
    if (Object.values(changes).every((value) => value === null)) return;
    this.open.edits.edit(
      `reading ${row.place}`,
      { type: 'recordReading', ...place, reading: { ...blank, ...changes } },
      ...conditionsOfFirstReading(this.open.plan(), this.transducerId()),
    );
    this.nextId.set(newId());
  }

  protected remove(row: ReadingRow): void {
    this.open.edits.edit(`delete reading ${row.place}`, {
      type: 'removeReading',
      transducerId: this.transducerId(),
      readingId: row.id,
    });
  }
}
