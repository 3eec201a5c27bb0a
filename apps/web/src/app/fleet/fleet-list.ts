import { DatePipe, TitleCasePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, input, model, output, signal, viewChild } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import type { UnitChoice } from '@grey-keel/core/units';
import { fleetOrders, type FleetEntry, type FleetOrder, type FleetQuery } from '@grey-keel/model';
import { Table, TableModule, type TableLazyLoadEvent } from 'primeng/table';
import { ChoiceField, type Choice } from '../shared/choice-field.ts';
import { FigurePipe } from '../shared/figure-pipe.ts';
import { FleetMenu, type Acting, type BoatAct } from './fleet-menu.ts';
import { SmallLadder } from './small-ladder.ts';
import { PressButton } from '../shared/press-button.ts';

interface Column {
  readonly words: string;
  readonly by: FleetOrder | null;
}

/** The newest and the worst are what is looked for first. */
const worstFirst: readonly FleetOrder[] = ['finding', 'changed'];

/** The boats of one page, a row a boat; on a phone a card a boat. */
@Component({
  selector: 'gk-fleet-list',
  imports: [
    ChoiceField,
    DatePipe,
    FigurePipe,
    FleetMenu,
    FormsModule,
    PressButton,
    RouterLink,
    SmallLadder,
    TableModule,
    TitleCasePipe,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <gk-choice-field
      class="order"
      label="In order of"
      fieldId="fleet-order"
      [value]="query().by"
      [choices]="orders"
      (changed)="orderBy($event)"
    />
    <p-table
      dataKey="id"
      [value]="$any(boats())"
      [lazy]="true"
      [lazyLoadOnInit]="false"
      [paginator]="true"
      [alwaysShowPaginator]="false"
      [rows]="query().count"
      [first]="query().first"
      [totalRecords]="found()"
      [rowsPerPageOptions]="[25, 50, 100, 200]"
      [showCurrentPageReport]="true"
      currentPageReportTemplate="{first} to {last} of {totalRecords}"
      [sortField]="query().by"
      [sortOrder]="query().downward ? -1 : 1"
      [(selection)]="chosen"
      [tableStyle]="{ 'table-layout': 'fixed' }"
      (onLazyLoad)="asked($event)"
    >
      <ng-template #header>
        <tr class="head">
          <th scope="col" class="tick"><p-tableHeaderCheckbox ariaLabel="Choose every boat of this page" /></th>
          @for (column of columns; track column.words) {
            @if (column.by; as by) {
              <th scope="col" [class]="by" [pSortableColumn]="by">{{ column.words }} <p-sortIcon [field]="by" /></th>
            } @else {
              <th scope="col" class="stages">{{ column.words }}</th>
            }
          }
          <th scope="col" class="acts"><span class="hidden-label">Actions</span></th>
        </tr>
      </ng-template>
      <ng-template #body let-boat>
        <tr class="boat" [attr.data-boat]="boat.id">
          <td class="tick"><p-tableCheckbox [value]="boat" [ariaLabel]="'Choose ' + boat.name" /></td>
          <td class="name">
            <a [routerLink]="['/boats', boat.id]" [title]="boat.name">{{ boat.name }}</a>
            @if (boat.practice) {
              <strong class="small practice">practice copy</strong>
            }
            <span class="small faint">
              {{ boat.lengthM | figure: 'length' : units() : oneDecimal }} {{ boat.hullForm }}
            </span>
          </td>
          <td class="stages"><gk-small-ladder [stages]="boat.stages" /></td>
          <td class="finding small">
            @if (boat.gravest; as gravest) {
              <strong [class]="gravest.severity">{{ gravest.severity }}</strong> {{ gravest.title }}
              @if (boat.stops + boat.checks > 1) {
                <span class="faint">and {{ boat.stops + boat.checks - 1 }} more</span>
              }
            } @else {
              <span class="faint">nothing</span>
            }
          </td>
          <td class="next small">
            @if (boat.next; as next) {
              <a [routerLink]="['/boats', boat.id, next.stage]">{{ next.stage | titlecase }}</a>: {{ next.what }}
            } @else {
              <span class="faint">all done</span>
            }
          </td>
          <td class="water small">
            <span class="brief" [title]="boat.water">{{ boat.water || 'not described' }}</span>
          </td>
          <td class="changed small mono">
            <span>{{ boat.keptAt | date: 'yyyy-MM-dd' }}</span> <span>{{ boat.keptAt | date: 'HH:mm' }}</span>
          </td>
          <td class="acts">
            <button
              type="button"
              pButton
              text
              aria-haspopup="menu"
              [attr.aria-label]="'Actions for ' + boat.name"
              (click)="acting.set({ boat, at: $any($event.currentTarget) })"
            >
              <span aria-hidden="true">...</span>
            </button>
          </td>
        </tr>
      </ng-template>
      <ng-template #emptymessage>
        <tr>
          <td colspan="8">No boat fits that. Take a word away, or show all.</td>
        </tr>
      </ng-template>
    </p-table>
    @defer (when acting(); prefetch on idle) {
      <gk-fleet-menu [acting]="acting()" (chosen)="act($event)" />
    }
  `,
  styleUrl: './fleet-list.css',
})
export class FleetList {
  readonly boats = input.required<readonly FleetEntry[]>();
  readonly query = input.required<FleetQuery>();
  readonly found = input.required<number>();
  readonly units = input.required<UnitChoice>();
  readonly chosen = model.required<FleetEntry[]>();
  readonly queried = output<Partial<FleetQuery>>();
  readonly copied = output<FleetEntry>();
  readonly practised = output<FleetEntry>();
  readonly exported = output<FleetEntry>();
  readonly removed = output<FleetEntry>();

  protected readonly columns: readonly Column[] = [
    { words: 'Boat', by: 'name' },
    { words: 'Stages', by: null },
    { words: 'Gravest finding', by: 'finding' },
    { words: 'Next step', by: 'next' },
    { words: 'Water', by: 'water' },
    { words: 'Changed', by: 'changed' },
  ];
  protected readonly orders: readonly Choice<FleetOrder>[] = this.columns.flatMap(({ words, by }) =>
    by === null ? [] : [{ value: by, label: words }],
  );
  protected readonly oneDecimal = { decimals: 1 };
  private readonly table = viewChild(Table);
  protected readonly acting = signal<Acting | null>(null);

  protected act({ does, boat }: { does: BoatAct; boat: FleetEntry }): void {
    if (does === 'Duplicate') this.copied.emit(boat);
    else if (does === 'Practice copy') this.practised.emit(boat);
    else if (does === 'Export') this.exported.emit(boat);
    else this.removed.emit(boat);
  }

  protected orderBy(by: FleetOrder): void {
    this.queried.emit({ by, downward: worstFirst.includes(by) });
  }

  /** The table says what it wants shown; it says so, too, when it is only told what is so. */
  protected asked({ sortField, sortOrder, first, rows }: TableLazyLoadEvent): void {
    const now = this.query();
    const by = fleetOrders.find((one) => one === sortField) ?? now.by;
    const downward = by === now.by ? sortOrder === -1 : worstFirst.includes(by);
    // Which way another column is put in order is ours to say; the table goes by its own until it is told.
    const table = this.table();
    if (table && by !== now.by) table.sortOrder = downward ? -1 : 1;
    const wanted = { by, downward, count: rows ?? now.count };
    const same = by === now.by && downward === now.downward && wanted.count === now.count;
    if (!same) this.queried.emit(wanted);
    else if ((first ?? 0) !== now.first) this.queried.emit({ first: first ?? 0 });
  }
}
