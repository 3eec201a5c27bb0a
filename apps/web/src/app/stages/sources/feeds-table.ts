import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { bestFeeds, feedChoices, inOrder, poorRank } from '@grey-keel/core';
import { fedQuantities, type FedQuantity } from '@grey-keel/model';
import { ChoiceField } from '../../shared/choice-field.ts';
import { Wide } from '../../shared/wide.ts';
import { openBoat } from '../open-boat.ts';
import { PressButton } from '../../shared/press-button.ts';

/** Which source feeds each number at each station, with a second for when it fails. */
@Component({
  selector: 'gk-feeds-table',
  imports: [ChoiceField, PressButton, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (stations().length) {
      <div gkWide>
        <table class="figures feeds" aria-label="Which source feeds each number at each station">
          <thead>
            <tr>
              <th scope="col">Number</th>
              @for (station of stations(); track station.id) {
                <th scope="col">{{ station.name }}</th>
              }
            </tr>
          </thead>
          <tbody>
            @for (row of feeds(); track row.quantity) {
              <tr>
                <th scope="row">{{ row.quantity }}</th>
                @for (cell of row.cells; track cell.stationId) {
                  <td [class.poor]="cell.poor" [class.is-missing]="!cell.sourceId && row.quantity === 'depth'">
                    <gk-choice-field
                      [label]="row.quantity + ' from'"
                      [labelHidden]="true"
                      [fieldId]="'feed-' + cell.stationId + '-' + row.id"
                      [at]="['feeds', cell.stationId, row.quantity]"
                      [value]="cell.sourceId"
                      [choices]="row.choices"
                      (changed)="feed(cell.stationId, row.quantity, $event, cell.fallbackId)"
                    />
                    @if (cell.because) {
                      <span class="small" [class.faint]="!cell.poor">{{ cell.because }}</span>
                    }
                    @if (cell.sourceId && row.choices.length > 2) {
                      <gk-choice-field
                        label="if it fails"
                        [fieldId]="'fallback-' + cell.stationId + '-' + row.id"
                        [value]="cell.fallbackId"
                        [choices]="row.choices"
                        (changed)="feed(cell.stationId, row.quantity, cell.sourceId, $event)"
                      />
                    }
                  </td>
                }
              </tr>
            }
          </tbody>
        </table>
      </div>
      <button type="button" pButton severity="secondary" id="feed-best" (click)="feedBest()">
        Fill what is empty with the best of each
      </button>
    } @else {
      <p class="faint">No station has a display yet: fit one on Pages.</p>
    }
  `,
  styles: `
    td {
      vertical-align: top;
      min-width: 120px;
    }
    td,
    th {
      text-align: left;
    }
    th[scope='row'] {
      font-weight: 700;
      color: var(--ink);
    }
    .poor {
      outline: 2px solid var(--check);
      outline-offset: -2px;
    }
    .p-button {
      margin-top: 10px;
    }
  `,
})
export class FeedsTable {
  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly stations = computed(() => {
    const { stations, displays } = this.plan();
    return inOrder(stations).flatMap(([id, { name }]) => (displays[id] ? [{ id, name }] : []));
  });

  protected readonly feeds = computed(() => {
    const plan = this.plan();
    return fedQuantities.map((quantity) => {
      const options = feedChoices(plan, quantity);
      return {
        quantity,
        id: quantity.replaceAll(' ', '-'),
        choices: [{ value: '', label: 'nothing' }, ...options.map(({ id, name }) => ({ value: id, label: name }))],
        cells: this.stations().map(({ id: stationId }) => {
          const feed = plan.feeds[stationId]?.[quantity];
          const now = options.find(({ id }) => id === feed?.sourceId);
          return {
            stationId,
            sourceId: feed?.sourceId ?? '',
            fallbackId: feed?.fallbackId ?? '',
            because: now?.because ?? (feed ? 'it is gone, or does not measure this' : ''),
            poor: feed !== undefined && (!now || now.rank >= poorRank),
          };
        }),
      };
    });
  });

  protected feed(stationId: string, quantity: FedQuantity, sourceId: string, fallbackId: string): void {
    this.open.edits.edit(`the ${quantity}`, {
      type: 'feed',
      stationId,
      quantity,
      feed:
        sourceId === ''
          ? null
          : { sourceId, fallbackId: fallbackId === '' || fallbackId === sourceId ? null : fallbackId },
    });
  }

  protected feedBest(): void {
    const edits = bestFeeds(this.plan());
    if (edits.length) this.open.edits.edit('the feeds', ...edits);
  }
}
