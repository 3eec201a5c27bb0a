import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import {
  at,
  changePane,
  fittedStations,
  hardestSight,
  inOrder,
  makeMissingPages,
  missingPages,
  pageFor,
  pagesAt,
  panesOf,
  removePane,
  shownWays,
  sightsOf,
  splitPane,
  suggestLayouts,
} from '@grey-keel/core';
import {
  fittedDisplaySchema,
  pageNumberSchema,
  pageSchema,
  paneSchema,
  readouts,
  views,
  type FittedDisplay,
  type Layout,
  type Page,
  type PageNumber,
  type Pane,
  type Readout,
  type View,
  type Way,
} from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { GoTo } from '../../shared/go-to.ts';
import { newId } from '../../state/open-plan.ts';
import { KeyList } from '../../shared/key-list.ts';
import { openBoat } from '../open-boat.ts';
import { DisplayPicker } from '../../shared/display-picker.ts';
import { LayoutGives } from './layout-gives.ts';
import { PageMatrix, type Cell } from './page-matrix.ts';
import { ScreenEditor, type Chosen } from './screen-editor.ts';
import { SuggestionList } from './suggestion-list.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { TickField } from '../../shared/tick-field.ts';
import { PressButton } from '../../shared/press-button.ts';

@Component({
  selector: 'gk-pages-page',
  imports: [
    ChoiceField,
    ComputedNumber,
    DisplayPicker,
    FigurePipe,
    KeyList,
    LayoutGives,
    PageMatrix,
    PlanPlace,
    PressButton,
    QuantityField,
    ScreenEditor,
    SuggestionList,
    TextField,
    TickField,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pages-page.html',
  styleUrl: './pages-page.css',
})
export class PagesPage {
  private readonly open = openBoat();
  private readonly goTo = inject(GoTo);
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly page = pageSchema.shape;
  protected readonly number = pageNumberSchema.shape;
  protected readonly pane = paneSchema.shape;
  protected readonly fittedSchema = fittedDisplaySchema.shape;
  protected readonly viewChoices = choicesOf(views);
  protected readonly readoutChoices = choicesOf(readouts);

  protected readonly stations = computed(() => inOrder(this.plan().stations));
  protected readonly fitted = computed(() => fittedStations(this.plan()));
  protected readonly ways = computed(() => shownWays(this.plan()));
  protected readonly missing = computed(() => missingPages(this.plan()));

  /** What the open cell depends on, as one value: other changes to the plan must not close what is open. */
  private readonly places = computed(() => ({ way: this.open.way(), stations: this.fitted().map(({ id }) => id) }), {
    equal: (a, b) => a.way === b.way && a.stations.join(' ') === b.stations.join(' '),
  });
  /** The cell that is open: the way of working of the head strip, at the station last chosen. */
  protected readonly cell = linkedSignal<{ way: Way | null; stations: readonly string[] }, Cell | null>({
    source: this.places,
    computation: ({ way, stations }, before) => {
      const stationId = stations.find((id) => id === before?.value?.stationId) ?? stations[0];
      const ways = untracked(this.ways);
      const first = ways.find((one) => one === way) ?? ways.find((one) => one === before?.value?.way) ?? ways[0];
      return stationId !== undefined && first ? { stationId, way: first } : null;
    },
  });
  protected readonly display = computed(() => this.plan().displays[this.cell()?.stationId ?? ''] ?? null);
  protected readonly station = computed(() => this.plan().stations[this.cell()?.stationId ?? ''] ?? null);
  protected readonly shown = computed(() => {
    const cell = this.cell();
    return cell && pageFor(this.plan(), cell.stationId, cell.way);
  });
  protected readonly list = computed(() => pagesAt(this.plan(), this.cell()?.stationId ?? ''));
  protected readonly existing = computed(() => [
    { value: '', label: 'choose' },
    ...this.list().map(({ id, page }) => ({ value: id, label: page.name })),
  ]);
  protected readonly suggestions = computed(() => {
    const cell = this.cell();
    return cell ? suggestLayouts(this.plan(), cell.stationId, cell.way) : [];
  });

  private readonly shownId = computed(() => this.shown()?.id);
  protected readonly chosen = linkedSignal<string | undefined, Chosen>({
    source: this.shownId,
    computation: () => null,
  });
  protected readonly chosenPane = computed(() => {
    const chosen = this.chosen();
    if (!chosen || !('pane' in chosen)) return null;
    const { band, place } = chosen.pane;
    const pane = this.shown()?.page.layout.bands[band]?.panes[place];
    return pane ? { band, place, pane } : null;
  });
  protected readonly chosenNumber = computed(() => {
    const chosen = this.chosen();
    if (!chosen || !('numberId' in chosen)) return null;
    const number = this.shown()?.page.numbers[chosen.numberId];
    return number ? { id: chosen.numberId, number } : null;
  });
  protected readonly sights = computed(() => {
    const chosen = this.chosenNumber();
    return chosen ? sightsOf(this.plan(), this.cell()?.stationId ?? '', chosen.number) : [];
  });
  protected readonly unreadable = computed<ReadonlySet<string>>(() => {
    const stationId = this.cell()?.stationId ?? '';
    const numbers = inOrder(this.shown()?.page.numbers ?? {});
    return new Set(
      numbers.flatMap(([id, number]) =>
        hardestSight(this.plan(), stationId, number)?.answer.readable === false ? [id] : [],
      ),
    );
  });

  /** The layout under a bar that is being moved; the plan's own again once the plan takes it in. */
  protected readonly moving = linkedSignal<Layout | undefined, Layout | null>({
    source: () => this.shown()?.page.layout,
    computation: () => null,
  });

  constructor() {
    // A page is opened in a way of working it is shown in, or else by itself in its list.
    effect(() => {
      const target = this.goTo.wanted();
      if (target && 'path' in target && target.path[0] === 'pages')
        untracked(() => this.openPage(String(target.path[1])));
    });
  }

  private openPage(id: string): void {
    const page = this.plan().pages[id];
    const way = page && this.ways().find((one) => page.shownIn[one]);
    if (page && way) this.cell.set({ stationId: page.stationId, way });
  }

  protected look(stationId: string, changes: Partial<FittedDisplay>): void {
    this.open.edits.edit('how the display is looked at', { type: 'describeDisplay', stationId, changes });
  }

  protected makeAll(): void {
    this.open.edits.edit(`make ${this.missing().length} pages`, ...makeMissingPages(this.plan(), newId));
  }

  protected make(layout: Layout): void {
    const cell = this.cell();
    if (!cell) return;
    const id = newId();
    this.open.edits.edit(`make a page ${cell.way}`, {
      type: 'addPage',
      id,
      page: {
        stationId: cell.stationId,
        name: cell.way,
        place: this.list().length + 1,
        shownIn: { [cell.way]: true },
        layout,
        numbers: {},
      },
    });
  }

  protected showHere(id: string): void {
    const way = this.cell()?.way;
    if (id !== '' && way) this.open.edits.edit(`show a page ${way}`, { type: 'showPageIn', id, way, shown: true });
  }

  protected describe(changes: Partial<Pick<Page, 'name' | 'layout'>>): void {
    const id = this.shown()?.id;
    if (id) this.open.edits.edit(changes.layout ? 'the layout' : 'a page', { type: 'describePage', id, changes });
  }

  protected showIn(way: Cell['way'], shown: boolean): void {
    const id = this.shown()?.id;
    if (id)
      this.open.edits.edit(`${shown ? 'show' : 'do not show'} a page ${way}`, { type: 'showPageIn', id, way, shown });
  }

  protected move(by: number): void {
    const shown = this.shown();
    if (!shown) return;
    const place = Math.min(this.list().length, Math.max(1, shown.page.place + by));
    if (place !== shown.page.place) this.open.edits.edit('move a page', { type: 'movePage', id: shown.id, place });
  }

  protected removePage(): void {
    const id = this.shown()?.id;
    if (id) this.open.edits.edit('remove a page', { type: 'removePage', id });
  }

  protected change(changes: Partial<Pick<Pane, 'view' | 'rangeM'>>): void {
    const shown = this.shown();
    const at = this.chosenPane();
    if (shown && at) this.describe({ layout: changePane(shown.page.layout, at, changes) });
  }

  protected readonly problem = signal('');

  protected split(where: 'beside' | 'below'): void {
    const shown = this.shown();
    const at = this.chosenPane();
    const display = this.display();
    if (!shown || !at || !display) return;
    const used = new Set<View>(panesOf(shown.page.layout, display).map(({ pane }) => pane.view));
    const view = views.find((one) => !used.has(one)) ?? 'chart';
    const layout = splitPane(shown.page.layout, at, where, view);
    this.problem.set(layout ? '' : 'There is no room for another pane there: a row or a column takes four.');
    if (layout) this.describe({ layout });
  }

  protected removePane(): void {
    const shown = this.shown();
    const at = this.chosenPane();
    const layout = shown && at && removePane(shown.page.layout, at);
    this.problem.set(layout ? '' : 'The last pane stays: remove the page instead.');
    if (!layout) return;
    this.chosen.set(null);
    this.describe({ layout });
  }

  protected addNumber(shows: string): void {
    const shown = this.shown();
    const cell = this.cell();
    if (!shown || !cell || shows === '') return;
    const wantedPx = hardestSight(this.plan(), cell.stationId, { heightPx: 40 })?.answer.wantedPx ?? 40;
    const id = newId();
    this.open.edits.edit(`place the ${shows}`, {
      type: 'placeNumber',
      pageId: shown.id,
      id,
      number: { shows: shows as Readout, heightPx: Math.min(800, Math.ceil(wantedPx * 1.25)), x: 0.04, y: 0.06 },
    });
    this.chosen.set({ numberId: id });
    this.goTo.show(at('pages', shown.id, 'numbers', id));
  }

  protected describeNumber(id: string, changes: Partial<PageNumber>): void {
    const pageId = this.shown()?.id;
    if (pageId) this.open.edits.edit('a number', { type: 'describeNumber', pageId, id, changes });
  }

  protected removeNumber(id: string): void {
    const pageId = this.shown()?.id;
    if (pageId) this.open.edits.edit('remove a number', { type: 'removeNumber', pageId, id });
    this.chosen.set(null);
  }
}
