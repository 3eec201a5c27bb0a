import { CdkFixedSizeVirtualScroll, CdkVirtualForOf, CdkVirtualScrollViewport } from '@angular/cdk/scrolling';
import { DatePipe, NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { UnitChoice } from '@grey-keel/core/units';
import type { FleetEntry } from '@grey-keel/model';
import { ButtonDirective } from 'primeng/button';
import { FigurePipe } from '../shared/figure-pipe.ts';
import { Wide } from '../shared/wide.ts';
import { orderFleet, type FleetColumn, type FleetOrder } from './order-fleet.ts';
import { SmallWaterline } from './small-waterline.ts';

const rowPx = 62;
/** From so many boats on only the rows in sight are made, and those that leave are used again for those that come. */
const longList = 60;

/** The boats as a table to put in order, a row a boat. */
@Component({
  selector: 'gk-fleet-list',
  hostDirectives: [Wide],
  imports: [
    ButtonDirective,
    CdkFixedSizeVirtualScroll,
    CdkVirtualForOf,
    CdkVirtualScrollViewport,
    DatePipe,
    FigurePipe,
    NgTemplateOutlet,
    RouterLink,
    SmallWaterline,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="table" aria-label="Boats" [attr.aria-rowcount]="ordered().length + 1">
      <div role="row" class="boat head" aria-rowindex="1">
        @for (column of columns; track column.words) {
          <span role="columnheader" [attr.aria-sort]="sorted(column.by)" [class.count]="column.words === 'Transducers'">
            @if (column.by; as by) {
              <button type="button" pButton text (click)="orderBy(by)">
                {{ column.words }}
                <span aria-hidden="true">{{ arrow(by) }}</span>
              </button>
            } @else {
              <span [class.hidden-label]="column.words === 'Actions'">{{ column.words }}</span>
            }
          </span>
        }
      </div>
      @if (ordered().length > ${longList}) {
        <cdk-virtual-scroll-viewport role="rowgroup" [itemSize]="${rowPx}" minBufferPx="248" maxBufferPx="372">
          <ng-container *cdkVirtualFor="let boat of ordered(); trackBy: byId; let i = index; templateCacheSize: 40">
            <ng-container [ngTemplateOutlet]="row" [ngTemplateOutletContext]="{ boat, i }" />
          </ng-container>
        </cdk-virtual-scroll-viewport>
      } @else {
        <div role="rowgroup">
          @for (boat of ordered(); track boat.id; let i = $index) {
            <ng-container [ngTemplateOutlet]="row" [ngTemplateOutletContext]="{ boat, i }" />
          }
        </div>
      }
    </div>
    @if (ordered().length === 0) {
      <p class="none">No boat fits that. Take a word away, or show all.</p>
    }
    <ng-template #row let-boat="boat" let-i="i">
      <div role="row" class="boat" [attr.data-boat]="boat.id" [attr.aria-rowindex]="i + 2">
        <span role="cell">
          <a [routerLink]="['/boats', boat.id]" class="name" [title]="boat.name">{{ boat.name }}</a>
          <span class="small faint whole">
            {{ boat.lengthM | figure: 'length' : units() : oneDecimal }} {{ boat.hullForm }}
          </span>
        </span>
        <span role="cell"><gk-small-waterline [stages]="boat.stages" /></span>
        <span role="cell" class="small">
          @if (boat.stops) {
            <span class="stop whole">{{ boat.stops }} stop</span>
          }
          @if (boat.checks) {
            <span class="check whole">{{ boat.checks }} check</span>
          }
          @if (!boat.stops && !boat.checks) {
            <span class="faint">none</span>
          }
        </span>
        <span role="cell" class="small water" [title]="boat.water">{{ boat.water || 'not described' }}</span>
        <span role="cell" class="mono count">{{ boat.transducers }}</span>
        <span role="cell" class="small mono"
          >{{ boat.keptAt | date: 'yyyy-MM-dd' }} {{ boat.keptAt | date: 'HH:mm' }}</span
        >
        <span role="cell" class="acts">
          <button type="button" pButton text (click)="copied.emit(boat)" [attr.aria-label]="'Copy ' + boat.name">
            Copy
          </button>
          <button type="button" pButton text (click)="exported.emit(boat)" [attr.aria-label]="'Export ' + boat.name">
            Export
          </button>
          <button
            type="button"
            pButton
            text
            severity="danger"
            (click)="removed.emit(boat)"
            [attr.aria-label]="'Delete ' + boat.name"
          >
            Delete
          </button>
        </span>
      </div>
    </ng-template>
  `,
  styles: `
    :host {
      display: block;
    }
    [role='table'] {
      min-width: 942px;
    }
    cdk-virtual-scroll-viewport {
      height: 60vh;
    }
    .boat {
      display: grid;
      grid-template-columns: minmax(146px, 1.4fr) 216px 74px minmax(96px, 1fr) 92px 84px 182px;
      column-gap: 6px;
      align-items: center;
      height: ${rowPx}px;
      padding: 0 8px;
      border-bottom: var(--hairline) solid var(--rule);
      contain: strict;
    }
    .head {
      height: var(--touch);
      contain: none;
      border-bottom: 2px solid var(--rule);
      font-weight: 600;
    }
    .head button {
      color: var(--ink);
      font-weight: 600;
      padding: 0;
      min-width: 0;
    }
    .name {
      font-size: 18px;
      font-weight: 700;
      font-stretch: 112%;
      display: block;
      line-height: 32px;
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    .whole {
      display: block;
    }
    .water {
      display: -webkit-box;
      -webkit-box-orient: vertical;
      -webkit-line-clamp: 2;
      overflow: hidden;
    }
    [role='cell'] {
      min-width: 0;
    }
    .stop {
      color: var(--stop);
      font-weight: 700;
    }
    .check {
      color: var(--check);
      font-weight: 700;
    }
    .count {
      text-align: right;
    }
    .acts {
      white-space: nowrap;
    }
    .none {
      padding: 20px 8px;
    }
  `,
})
export class FleetList {
  readonly boats = input.required<readonly FleetEntry[]>();
  readonly units = input.required<UnitChoice>();
  readonly copied = output<FleetEntry>();
  readonly exported = output<FleetEntry>();
  readonly removed = output<FleetEntry>();

  protected readonly columns: readonly { words: string; by: FleetColumn | null }[] = [
    { words: 'Boat', by: 'name' },
    { words: 'Stages', by: null },
    { words: 'Findings', by: 'stops' },
    { words: 'Water', by: 'water' },
    { words: 'Transducers', by: null },
    { words: 'Saved', by: 'keptAt' },
    { words: 'Actions', by: null },
  ];
  protected readonly byId = (_place: number, { id }: FleetEntry): string => id;
  protected readonly oneDecimal = { decimals: 1 };
  private readonly order = signal<FleetOrder | null>(null);
  protected readonly ordered = computed(() => {
    const order = this.order();
    return order ? orderFleet(this.boats(), order) : [...this.boats()];
  });

  /** Names and waters from A on; what has most to put right, and what was kept last, from the top. */
  protected orderBy(column: FleetColumn): void {
    this.order.update((was) =>
      was?.column === column
        ? { column, downward: !was.downward }
        : { column, downward: column === 'stops' || column === 'keptAt' },
    );
  }

  protected sorted(column: FleetColumn | null): 'ascending' | 'descending' | 'none' | null {
    if (!column) return null;
    const order = this.order();
    if (order?.column !== column) return 'none';
    return order.downward ? 'descending' : 'ascending';
  }

  protected arrow(column: FleetColumn): string {
    return { ascending: '↑', descending: '↓', none: '' }[this.sorted(column) ?? 'none'];
  }
}
