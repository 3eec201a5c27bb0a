import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { act, fittedStations, inOrder, pageFor, usedWays } from '@grey-keel/core';
import type { Plan, Way } from '@grey-keel/model';
import { PageDrawing } from '../../shared/page-drawing.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { Wide } from '../../shared/wide.ts';

export interface Cell {
  readonly stationId: string;
  readonly way: Way;
}

/** Stations by ways of working: the one sheet on which all of a boat's screens are seen at once. A gap is hatched. */
@Component({
  selector: 'gk-page-matrix',
  hostDirectives: [Wide],
  imports: [PlanPlace, PageDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      <thead>
        <tr>
          <th scope="col"><span class="hidden-label">Station</span></th>
          @for (way of ways(); track way) {
            <th scope="col" [class.here]="chosen()?.way === way">{{ way }}</th>
          }
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.id) {
          <tr>
            <th scope="row">{{ row.name }}</th>
            @for (cell of row.cells; track cell.way) {
              <td>
                @if (cell.way === 'trailer') {
                  <span class="cell quiet">quiet</span>
                } @else {
                  <button
                    type="button"
                    class="cell"
                    [id]="cell.id"
                    [gkPlace]="cell.place"
                    [class.gap]="!cell.page"
                    [attr.aria-pressed]="chosen()?.stationId === row.id && chosen()?.way === cell.way"
                    [attr.aria-label]="row.name + ', ' + cell.way + ': ' + (cell.page?.name ?? 'no page')"
                    (click)="choose.emit({ stationId: row.id, way: cell.way })"
                  >
                    @if (cell.page && row.display) {
                      <gk-page-drawing
                        [layout]="cell.page.layout"
                        [wide]="row.display.pixelsWide"
                        [high]="row.display.pixelsHigh"
                      />
                    } @else {
                      <span>no page</span>
                    }
                  </button>
                }
              </td>
            }
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    :host {
      display: block;
    }
    table {
      border-collapse: collapse;
      width: 100%;
    }
    th {
      font-weight: 400;
      font-size: var(--small);
      color: var(--faint);
      text-align: left;
      padding: 2px 8px;
    }
    th.here {
      color: var(--water);
      font-weight: 700;
    }
    tbody th {
      color: var(--ink);
      font-weight: 700;
      min-width: 7rem;
      max-width: 12rem;
      overflow-wrap: anywhere;
    }
    tr {
      border-top: var(--hairline) solid var(--rule);
    }
    thead tr {
      border: 0;
    }
    td {
      padding: 4px 6px;
    }
    .cell {
      display: grid;
      place-items: center start;
      width: 100px;
      height: 56px;
      padding: 2px;
      background: none;
      border: 2px solid transparent;
      color: var(--check);
      font: 700 var(--small) var(--font);
      cursor: pointer;
    }
    .cell[aria-pressed='true'] {
      border-color: var(--water);
    }
    .cell gk-page-drawing {
      height: 48px;
      max-width: 92px;
    }
    .gap,
    .quiet {
      justify-items: center;
    }
    .gap {
      border: 1.5px solid var(--check);
      background-image: repeating-linear-gradient(-45deg, transparent 0 5px, var(--rule) 5px 6px);
    }
    .gap span {
      background: var(--sheet);
      padding: 0 5px;
    }
    .quiet {
      background: var(--paper);
      border: 1px solid var(--rule);
      color: var(--faint);
      font-weight: 400;
      cursor: default;
    }
  `,
})
export class PageMatrix {
  readonly plan = input.required<Plan>();
  readonly chosen = input.required<Cell | null>();
  readonly choose = output<Cell>();

  protected readonly ways = computed(() => usedWays(this.plan()));
  protected readonly rows = computed(() => {
    const plan = this.plan();
    const fitted = new Map(fittedStations(plan).map(({ id, display }) => [id, display]));
    return inOrder(plan.stations).flatMap(([id, { name }]) => {
      const display = fitted.get(id);
      if (!display) return [];
      return [
        {
          id,
          name,
          display,
          cells: usedWays(plan).map((way) => ({
            way,
            id: `cell-${id}-${way.replaceAll(' ', '-')}`,
            place: act('choose a page', id, way),
            page: pageFor(plan, id, way)?.page ?? null,
          })),
        },
      ];
    });
  });
}
