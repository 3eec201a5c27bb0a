import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { calibrationParts, type CalibrationKind, type Edit, wordsOf } from '@grey-keel/model';
import type * as z from 'zod';
import { ChoiceField } from '../../shared/choice-field.ts';
import { choicesIn } from '../../shared/schema-choices.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { Wide } from '../../shared/wide.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { procedures } from './procedures/procedures.ts';
import { ReadingActs } from './reading-acts.ts';
import type { SensorRow } from './sensor-rows.ts';

/** The readings of one sensor, with a line for the next: typed, or taken from the instruments and corrected. */
@Component({
  selector: 'gk-sensor-readings',
  imports: [ChoiceField, FigurePipe, PlanPlace, QuantityField, ReadingActs, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div gkWide>
      <table class="figures">
        <thead>
          <tr>
            <th scope="col">{{ word() }}</th>
            @for (column of columns(); track column.name) {
              <th scope="col">{{ column.label }}</th>
            }
            @if (compares()) {
              <th scope="col">left over</th>
            }
            <th scope="col"><span class="hidden-label">Actions</span></th>
          </tr>
        </thead>
        <tbody>
          @for (row of shown(); track row.id) {
            <tr
              [class.out]="row.leftOut"
              [gkPlace]="row.recorded ? ['calibrations', kind(), sensorId(), 'readings', row.id] : null"
              [attr.data-reading]="row.recorded ? row.id : 'new'"
            >
              <th scope="row">
                {{ row.place }}
                @if (row.from; as from) {
                  <span class="small faint" [title]="from.source">{{ from.simulated ? 'simulated' : 'live' }}</span>
                }
              </th>
              @for (column of columns(); track column.name) {
                <td>
                  @if (column.choices; as choices) {
                    <gk-choice-field
                      [label]="column.label + ', ' + word() + ' ' + row.place"
                      [labelHidden]="true"
                      [fieldId]="column.name + '-' + row.id"
                      [at]="['calibrations', kind(), sensorId(), 'readings', row.id, column.name]"
                      [choices]="choices"
                      [value]="$any(row.figures[column.name]) ?? ''"
                      (changed)="write(row, column.name, $any($event) || null)"
                    />
                  } @else {
                    <gk-quantity-field
                      [class.long]="column.long"
                      [label]="column.label + ', ' + word() + ' ' + row.place"
                      [labelHidden]="true"
                      [fieldId]="column.name + '-' + row.id"
                      [at]="['calibrations', kind(), sensorId(), 'readings', row.id, column.name]"
                      [value]="row.figures[column.name] ?? null"
                      [schema]="column.schema"
                      (changed)="write(row, column.name, $event)"
                    />
                  }
                </td>
              }
              @if (compares() || row.leftOut) {
                <td class="mono" [class.flagged]="row.apart">
                  @if (row.left; as left) {
                    {{
                      left.value
                        | figure
                          : left.quantity
                          : units()
                          : (left.quantity === 'voltage' ? { signed: true, decimals: 3 } : { signed: true })
                    }}
                  } @else if (row.leftOut) {
                    <span class="small">left out</span>
                  }
                </td>
              }
              <td class="acts">
                @if (row.recorded) {
                  <gk-reading-acts
                    [of]="word() + ' ' + row.place"
                    [leftOut]="row.leftOut"
                    (leftOutChanged)="leaveOut(row)"
                    (deleted)="remove(row)"
                  />
                }
              </td>
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styles: `
    td gk-choice-field {
      width: 118px;
    }
    td gk-quantity-field {
      width: 80px;
      margin-left: auto;
    }
    th[scope='row'] {
      text-align: left;
      color: var(--ink);
      white-space: nowrap;
    }
    .acts {
      white-space: nowrap;
    }
    td gk-quantity-field.long {
      width: 132px;
    }
    thead th {
      white-space: normal;
      vertical-align: bottom;
    }
    table.figures td {
      padding: 2px;
      vertical-align: middle;
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
export class SensorReadings {
  readonly kind = input.required<CalibrationKind>();
  readonly sensorId = input.required<string>();
  readonly rows = input.required<readonly SensorRow[]>();

  private readonly open = openBoat();
  protected readonly units = this.open.units;
  protected readonly word = computed(() => procedures[this.kind()].reading);
  protected readonly columns = computed(() => {
    const shape: Readonly<Record<string, z.ZodType>> = calibrationParts[this.kind()].reading.shape;
    return Object.entries(shape)
      .filter(([name]) => name !== 'leftOut' && name !== 'from')
      .map(([name, schema]) => ({
        name,
        schema,
        label: wordsOf(schema)?.label ?? name,
        choices: choicesIn(schema),
        long: (wordsOf(schema)?.decimals ?? 0) > 4,
      }));
  });
  /** Sides agree or not: nothing of them is left over. */
  protected readonly compares = computed(() => procedures[this.kind()].comparesReadings ?? true);
  private readonly nextId = signal(newId());
  protected readonly shown = computed<SensorRow[]>(() => [
    ...this.rows(),
    {
      id: this.nextId(),
      place: this.rows().length + 1,
      recorded: false,
      figures: {},
      leftOut: false,
      from: null,
      left: null,
      apart: false,
    },
  ]);

  protected write(row: SensorRow, name: string, value: number | string | null): void {
    const where = { of: this.kind(), sensorId: this.sensorId(), readingId: row.id };
    if (row.recorded) return this.edit(row, { type: 'correctCalibration', ...where, changes: { [name]: value } });
    if (value === null) return;
    const blank = Object.fromEntries(this.columns().map((column) => [column.name, null]));
    this.edit(row, {
      type: 'recordCalibration',
      ...where,
      reading: { ...blank, [name]: value, leftOut: false },
    } as unknown as Edit);
    this.nextId.set(newId());
  }

  protected leaveOut(row: SensorRow): void {
    const where = { of: this.kind(), sensorId: this.sensorId(), readingId: row.id };
    this.edit(row, { type: 'correctCalibration', ...where, changes: { leftOut: !row.leftOut } });
  }

  protected remove(row: SensorRow): void {
    this.open.edits.edit(`delete ${this.word()} ${row.place}`, {
      type: 'removeCalibrationReading',
      of: this.kind(),
      sensorId: this.sensorId(),
      readingId: row.id,
    });
  }

  private edit(row: SensorRow, edit: Edit): void {
    this.open.edits.edit(`${this.word()} ${row.place}`, edit);
  }
}
