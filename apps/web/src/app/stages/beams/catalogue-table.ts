import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { derivedFigures } from '@grey-keel/core';
import type { CatalogueEntry, Element, TransducerEntry } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { InputText } from 'primeng/inputtext';
import { TableModule } from 'primeng/table';
import { catalogueFeature, catalogueViewEvents } from '../../state/catalogue.ts';
import { PressButton } from '../../shared/press-button.ts';

export interface CatalogueTransducer {
  readonly entry: CatalogueEntry;
  readonly item: TransducerEntry;
}

/** The figures the sheet does not give, which are derived from physics or assumed. */
const derivedOf = (element: Element): string => {
  const all = element.beams.flatMap((beam) => derivedFigures(element, beam));
  return [...new Set(all)].join(', ');
};

/** What can be fitted, to choose from. */
@Component({
  selector: 'gk-catalogue-table',
  imports: [InputText, PressButton, TableModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (problem(); as why) {
      <p role="alert">{{ why }} <button type="button" pButton text (click)="load()">Try again</button></p>
    }
    @switch (status()) {
      @case ('ready') {
        <p-table
          #table
          [value]="rows()"
          dataKey="id"
          [globalFilterFields]="['name', 'kind', 'kHz', 'mountings']"
          [scrollable]="true"
          [virtualScroll]="rows().length > 60"
          [virtualScrollItemSize]="rowPx"
          scrollHeight="320px"
        >
          <ng-template #caption>
            <label for="catalogue-filter" class="small faint">Filter by name, kind, kHz or mounting</label>
            <input
              pInputText
              id="catalogue-filter"
              type="text"
              autocomplete="off"
              (input)="table.filterGlobal($any($event.target).value, 'contains')"
            />
          </ng-template>
          <ng-template #header>
            <tr>
              <th scope="col" pSortableColumn="name">Transducer</th>
              <th scope="col" pSortableColumn="kind">Kind</th>
              <th scope="col" pSortableColumn="lowestHz">kHz</th>
              <th scope="col">Cone, with its level</th>
              <th scope="col">Mounting</th>
              <th scope="col"><span class="hidden-label">Place</span></th>
            </tr>
          </ng-template>
          <ng-template #body let-row>
            <tr [style.height.px]="rowPx">
              <td>
                {{ row.name }}
                @if (row.derived) {
                  <div class="faint">derived: {{ row.derived }}</div>
                }
              </td>
              <td>{{ row.kind }}</td>
              <td class="mono">{{ row.kHz }}</td>
              <td class="mono">{{ row.cones }}</td>
              <td>{{ row.mountings }}</td>
              <td>
                <button
                  type="button"
                  pButton
                  text
                  (click)="placed.emit(row.from)"
                  [attr.aria-label]="'Place ' + row.name"
                >
                  Place
                </button>
                @if (!row.from.entry.shipped) {
                  <button
                    type="button"
                    pButton
                    text
                    [id]="'edit-' + row.id"
                    (click)="edited.emit(row.from)"
                    [attr.aria-label]="'Edit ' + row.name"
                  >
                    Edit
                  </button>
                }
              </td>
            </tr>
          </ng-template>
          <ng-template #emptymessage>
            <tr>
              <td colspan="6">Nothing in the catalogue fits that. Add it from its data sheet below.</td>
            </tr>
          </ng-template>
        </p-table>
      }
      @case ('loading') {
        <p role="status">Fetching the catalogue.</p>
      }
    }
  `,
  styles: `
    input {
      min-height: var(--touch);
      margin-left: 8px;
      padding: 4px 8px;
    }
    td {
      font-size: var(--small);
    }
  `,
})
export class CatalogueTable {
  readonly placed = output<CatalogueTransducer>();
  readonly edited = output<CatalogueTransducer>();
  private readonly store = inject(Store);
  private readonly entries = this.store.selectSignal(catalogueFeature.selectAll);
  protected readonly rowPx = 66;
  protected readonly status = this.store.selectSignal(catalogueFeature.selectStatus);
  protected readonly problem = this.store.selectSignal(catalogueFeature.selectProblem);
  protected readonly rows = computed(() =>
    this.entries().flatMap((entry) => {
      const { item } = entry;
      if (item.type !== 'transducer') return [];
      const { name, kind, beams } = item.element;
      return [
        {
          id: entry.id,
          from: { entry, item } satisfies CatalogueTransducer,
          name,
          kind: item.element.constantBeamwidth ? `${kind}, constant cone` : kind,
          derived: derivedOf(item.element),
          lowestHz: Math.min(...beams.map(({ frequencyHz }) => frequencyHz)),
          kHz: beams.map(({ frequencyHz }) => frequencyHz / 1000).join(' / '),
          cones: beams
            .map(
              ({ beamwidthDeg, alongDeg, levelDb }) =>
                `${beamwidthDeg}°${alongDeg === null ? '' : ` x ${alongDeg}°`} at ${levelDb} dB`,
            )
            .join(' / '),
          mountings: item.mountings.join(', '),
        },
      ];
    }),
  );

  constructor() {
    this.load();
  }

  protected load(): void {
    this.store.dispatch(catalogueViewEvents.wanted());
  }
}
