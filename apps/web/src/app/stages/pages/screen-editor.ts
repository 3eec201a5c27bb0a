import { CdkDrag, type CdkDragEnd } from '@angular/cdk/drag-drop';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  input,
  output,
  signal,
  viewChild,
  viewChildren,
} from '@angular/core';
import { inOrder, panesOf, resizeBands, resizePanes, type PanePlace } from '@grey-keel/core';
import type { FittedDisplay, Layout, Page, PageNumber } from '@grey-keel/model';
import { SplitAreaComponent, SplitComponent, SplitGutterDirective } from 'angular-split';
import type { Subscription } from 'rxjs';
import { digitShare, sampleOf } from './readout-samples.ts';
import { ViewArt } from '../../shared/view-art.ts';
import { PlanPlace } from '../../shared/plan-place.ts';

/** What lies under the finger on a page: a pane or a number. */
export type Chosen = { readonly pane: PanePlace } | { readonly numberId: string } | null;

const nudge = 0.01;
/** What the keys move a bar by, in percent of what it divides. */
const barNudge = 1;
const leastShare = 5;

/** A page on its display's true outline. Panes are divided by their bars, numbers are moved where they are wanted. */
@Component({
  selector: 'gk-screen-editor',
  imports: [PlanPlace, CdkDrag, SplitAreaComponent, SplitComponent, SplitGutterDirective, ViewArt],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = page();
    <div class="bezel">
      <div
        #screen
        class="screen"
        (keyup)="settleBar()"
        (focusout)="settleBar()"
        [style.aspect-ratio]="display().pixelsWide + '/' + display().pixelsHigh"
      >
        <as-split
          #bandSplit
          [direction]="it.layout.bandsLie === 'rows' ? 'vertical' : 'horizontal'"
          unit="percent"
          [gutterSize]="6"
          [gutterStep]="2"
          gutterAriaLabel="Divide the bands"
          (dragEnd)="bandsResized($event.sizes)"
        >
          @for (band of bands(); track band.key) {
            <as-split-area [size]="band.size">
              <as-split
                #paneSplit
                [attr.data-band]="band.index"
                [direction]="it.layout.bandsLie === 'rows' ? 'horizontal' : 'vertical'"
                unit="percent"
                [gutterSize]="6"
                [gutterStep]="2"
                gutterAriaLabel="Divide the panes"
                (dragEnd)="panesResized(band.index, $event.sizes)"
              >
                @for (pane of band.panes; track pane.key) {
                  <as-split-area [size]="pane.size">
                    <button
                      type="button"
                      class="pane"
                      [attr.aria-pressed]="isPane(band.index, pane.index)"
                      [attr.aria-label]="pane.view + ', pane'"
                      (click)="choose.emit({ pane: { band: band.index, place: pane.index } })"
                    >
                      <gk-view-art [view]="pane.view" />
                      <span class="name">{{ pane.view }}</span>
                    </button>
                  </as-split-area>
                }
                <div *asSplitGutter class="divider"></div>
              </as-split>
            </as-split-area>
          }
          <div *asSplitGutter class="divider"></div>
        </as-split>
        @for (number of numbers(); track number.id) {
          <button
            type="button"
            class="number mono"
            cdkDrag
            [cdkDragBoundary]="screenElement() ?? ''"
            [id]="'number-' + number.id"
            [gkPlace]="['pages', pageId(), 'numbers', number.id]"
            [class.small]="number.small"
            [style.left.%]="number.x"
            [style.top.%]="number.y"
            [style.font-size.cqw]="number.size"
            [attr.aria-pressed]="isNumber(number.id)"
            [attr.aria-label]="
              number.figure +
              number.unit +
              ', ' +
              number.shows +
              ', ' +
              number.heightPx +
              ' pixels high' +
              (number.small ? ', cannot be read' : '')
            "
            (click)="choose.emit({ numberId: number.id })"
            (cdkDragEnded)="dropped(number.id, $event)"
            (keydown)="pressed(number.id, $event)"
          >
            {{ number.figure }}<small>{{ number.unit }}</small>
          </button>
        }
      </div>
    </div>
  `,
  styleUrl: './screen-editor.css',
})
export class ScreenEditor {
  readonly display = input.required<FittedDisplay>();
  readonly pageId = input.required<string>();
  readonly page = input.required<Page>();
  readonly chosen = input.required<Chosen>();
  /** Ids of the numbers that cannot be read. */
  readonly unreadable = input.required<ReadonlySet<string>>();
  readonly choose = output<Chosen>();
  readonly relaid = output<Layout>();
  /** The layout while a bar is being moved, so that what it gives can be read before it is let go. */
  readonly moving = output<Layout>();
  readonly numberMoved = output<{ id: string; changes: Partial<PageNumber> }>();
  readonly numberRemoved = output<string>();

  private readonly bandSplit = viewChild<SplitComponent>('bandSplit');
  private readonly paneSplits = viewChildren<SplitComponent>('paneSplit');
  /** The layout under the arrow keys, until they are let go: one hold is one edit. */
  private readonly held = signal<Layout | null>(null);
  private readonly layout = computed(() => this.held() ?? this.page().layout);
  private readonly screen = viewChild<ElementRef<HTMLElement>>('screen');
  protected readonly screenElement = computed(() => this.screen()?.nativeElement);

  protected readonly bands = computed(() => {
    const layout = this.layout();
    const screen = { pixelsWide: 100, pixelsHigh: 100 };
    const rows = layout.bandsLie === 'rows';
    const placed = panesOf(layout, screen);
    return layout.bands.map(({ panes }, index) => {
      const inside = placed.filter(({ band }) => band === index);
      const first = inside[0];
      return {
        index,
        key: `${layout.bandsLie} ${index} of ${layout.bands.length}`,
        size: (rows ? first?.height : first?.width) ?? 100,
        panes: inside.map(({ pane, place, width, height }) => ({
          index: place,
          key: `${place} of ${panes.length}`,
          view: pane.view,
          size: rows ? width : height,
        })),
      };
    });
  });

  protected readonly numbers = computed(() =>
    inOrder(this.page().numbers).map(([id, { shows, heightPx, x, y }]) => ({
      id,
      shows,
      heightPx,
      x: 100 * x,
      y: 100 * y,
      size: ((heightPx / digitShare) * 100) / this.display().pixelsWide,
      small: this.unreadable().has(id),
      ...sampleOf[shows],
    })),
  );

  protected isPane(band: number, place: number): boolean {
    const chosen = this.chosen();
    return chosen !== null && 'pane' in chosen && chosen.pane.band === band && chosen.pane.place === place;
  }

  protected isNumber(id: string): boolean {
    const chosen = this.chosen();
    return chosen !== null && 'numberId' in chosen && chosen.numberId === id;
  }

  constructor() {
    effect((onCleanup) => {
      const follow = (split: SplitComponent, resized: (sizes: number[]) => Layout): Subscription =>
        split.dragProgress$.subscribe(({ sizes }) => this.moving.emit(resized(sizes.map(Number))));
      const screen = this.screenElement();
      const nudge = (event: KeyboardEvent): void => this.nudgeBar(event);
      // Before the bar itself hears of it.
      screen?.addEventListener('keydown', nudge, { capture: true });
      const outer = this.bandSplit();
      const following = [
        ...(outer ? [follow(outer, (sizes) => resizeBands(this.page().layout, sizes))] : []),
        ...this.paneSplits().map((split, band) =>
          follow(split, (sizes) => resizePanes(this.page().layout, band, sizes)),
        ),
      ];
      onCleanup(() => {
        screen?.removeEventListener('keydown', nudge, { capture: true });
        following.forEach((one) => one.unsubscribe());
      });
    });
  }

  /** The arrows move a bar finely; the library's own step is a coarse one. */
  private nudgeBar(event: KeyboardEvent): void {
    const bar = event.target instanceof HTMLElement ? event.target.closest<HTMLElement>('.as-split-gutter') : null;
    const split = bar?.parentElement;
    const way = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key];
    if (!bar || !split || way === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const at = [...split.children].filter((one) => one.matches('.as-split-gutter')).indexOf(bar);
    const { band } = split.dataset;
    const sizes =
      band === undefined
        ? this.bands().map(({ size }) => size)
        : (this.bands()[Number(band)]?.panes.map(({ size }) => size) ?? []);
    const before = sizes[at] ?? 0;
    const after = sizes[at + 1] ?? 0;
    const by = way * barNudge * (event.shiftKey ? 10 : 1);
    const moved = Math.min(after - leastShare, Math.max(leastShare - before, by));
    sizes[at] = before + moved;
    sizes[at + 1] = after - moved;
    const layout =
      band === undefined ? resizeBands(this.layout(), sizes) : resizePanes(this.layout(), Number(band), sizes);
    this.held.set(layout);
    this.moving.emit(layout);
  }

  protected settleBar(): void {
    const layout = this.held();
    if (!layout) return;
    this.held.set(null);
    this.relaid.emit(layout);
  }

  protected bandsResized(sizes: readonly (number | '*')[]): void {
    this.relaid.emit(resizeBands(this.page().layout, sizes.map(Number)));
  }

  protected panesResized(band: number, sizes: readonly (number | '*')[]): void {
    this.relaid.emit(resizePanes(this.page().layout, band, sizes.map(Number)));
  }

  protected dropped(id: string, { source }: CdkDragEnd): void {
    const screen = this.screenElement()?.getBoundingClientRect();
    const number = source.element.nativeElement.getBoundingClientRect();
    source.reset();
    if (!screen) return;
    this.move(id, (number.left - screen.left) / screen.width, (number.top - screen.top) / screen.height);
  }

  protected pressed(id: string, event: KeyboardEvent): void {
    const number = this.page().numbers[id];
    if (!number) return;
    const by = event.shiftKey ? 10 * nudge : nudge;
    const step = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[event.key];
    if (step) this.move(id, number.x + (step[0] ?? 0), number.y + (step[1] ?? 0));
    else if (event.key === '+' || event.key === '-')
      this.numberMoved.emit({
        id,
        changes: { heightPx: Math.min(800, Math.max(6, number.heightPx + (event.key === '+' ? 1 : -1))) },
      });
    else if (event.key === 'Delete') this.numberRemoved.emit(id);
    else return;
    event.preventDefault();
    event.stopPropagation();
  }

  private move(id: string, x: number, y: number): void {
    const within = (share: number): number => Math.round(1000 * Math.min(0.98, Math.max(0, share))) / 1000;
    this.numberMoved.emit({ id, changes: { x: within(x), y: within(y) } });
  }
}
