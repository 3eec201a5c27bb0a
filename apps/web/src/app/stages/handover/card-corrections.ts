import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { type CardCorrections, correctionInWords, deviationInWords, type UnitChoice } from '@grey-keel/core';
import { SentencePipe } from '../../shared/figure-pipe.ts';
import { Wide } from '../../shared/wide.ts';

/** Below each other in a deviation table. */
const coursesDown = 4;

/** What no display takes and is corrected by hand: the scale of ranges, the tilt of a pole, what to steer by compass. */
@Component({
  selector: 'gk-card-corrections',
  imports: [SentencePipe, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (line of of().lines; track line.of.kind + line.id) {
      <p [class.is-stale]="line.state === 'stale'" [attr.data-correction]="line.of.kind">
        {{ words(line) | sentence: units() }}
        @if (line.state === 'stale') {
          Out of date.
        }
      </p>
    }
    @for (table of of().deviations; track table.id) {
      <section [class.is-stale]="table.state === 'stale'" data-correction="deviation">
        <h3 [id]="'deviation-' + table.id">
          {{ heading(table) }}
          @if (table.state === 'stale') {
            <span class="small">out of date</span>
          }
        </h3>
        <div gkWide>
          <table [attr.aria-labelledby]="'deviation-' + table.id">
            @for (row of rows(table); track $index) {
              <tr>
                @for (course of row; track course.magneticDeg) {
                  <th scope="row" class="mono">{{ degrees(course.magneticDeg) }}</th>
                  <td class="mono">{{ degrees(course.compassDeg) }}</td>
                }
              </tr>
            }
          </table>
        </div>
      </section>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 6px;
    }
    th {
      padding: 2px 6px 2px 0;
      font-weight: 400;
      color: var(--faint);
    }
    td {
      padding: 2px 22px 2px 0;
      font-weight: 700;
    }
  `,
})
export class CardCorrectionLines {
  readonly of = input.required<CardCorrections>();
  readonly units = input.required<UnitChoice>();
  protected readonly words = correctionInWords;
  protected readonly heading = deviationInWords;

  /** As they run down the columns. */
  protected rows({ courses }: CardCorrections['deviations'][number]): (typeof courses)[number][][] {
    return Array.from({ length: coursesDown }, (_, row) => courses.filter((__, i) => i % coursesDown === row));
  }

  protected degrees(deg: number): string {
    return `${String(deg).padStart(3, '0')}\u00b0`;
  }
}
