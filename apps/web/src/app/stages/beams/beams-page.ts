import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  Injector,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { lostToAbsorption, sectionAt, usefulWays, usualSideM, workingWater } from '@grey-keel/core';
import { planSchema, type CatalogueEntry, type Source, type Transducer, type TransducerEntry } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { ServerApi } from '../../api/server-api.ts';
import { problemOf } from '../../api/problem.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { GoTo } from '../../shared/go-to.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { StageTabs } from '../../shared/stage-tabs.ts';
import { TurnByTurn } from '../../shared/turn-by-turn.ts';
import { catalogueEvents } from '../../state/lists.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { AdviceView } from './advice-view.ts';
import { ConeOrFrequencyView } from './cone-or-frequency-view.ts';
import { CsvImport } from './csv-import.ts';
import { DrillView } from './drill-view.ts';
import { MarkView } from './mark-view.ts';
import { ReachView } from './reach-view.ts';
import { SceneView } from './scene-view.ts';
import { ShoppingView } from './shopping-view.ts';
import { SpeedView } from './speed-view.ts';
import { AbsorptionChart } from './absorption-chart.ts';
import { CatalogueTable, type CatalogueTransducer } from './catalogue-table.ts';
import { greatestM, leastM, SectionView } from './section-view.ts';
import { seriesVariable } from './series.ts';
import { SheetForm, type FromSheet } from './sheet-form.ts';
import { TransducerEditor } from './transducer-editor.ts';

/** Where a transducer of a mounting usually sits, as shares of the boat's length; put right by tape afterwards. */
const usualPlace: Record<Transducer['mounting'], { along: number; aboveKeelM: number }> = {
  'through-hull': { along: 0.35, aboveKeelM: 0.05 },
  'shoot-through-hull': { along: 0.2, aboveKeelM: 0.08 },
  transom: { along: 0, aboveKeelM: 0.1 },
  'bow motor': { along: 0.97, aboveKeelM: 0 },
  pole: { along: 0.9, aboveKeelM: 0 },
};

/** The ways of looking at the choice of transducers. */
const beamViews = [
  'section',
  'fish and slope',
  'where is it',
  'advice',
  'reach',
  'cone or frequency',
  'speed',
  'shopping',
  'drill',
] as const;
type BeamView = (typeof beamViews)[number];

@Component({
  selector: 'gk-beams-page',
  imports: [
    AbsorptionChart,
    AdviceView,
    CatalogueTable,
    ComputedNumber,
    ConeOrFrequencyView,
    CsvImport,
    ReachView,
    SceneView,
    SpeedView,
    DrillView,
    FigurePipe,
    MarkView,
    QuantityField,
    SectionView,
    SheetForm,
    ShoppingView,
    StageTabs,
    TransducerEditor,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <gk-stage-tabs label="Ways of looking at the beams" [views]="views" [(chosen)]="view" />
    @switch (view()) {
      @case ('advice') {
        <gk-advice-view (placed)="placeAll($event)" />
      }
      @case ('fish and slope') {
        <gk-scene-view />
      }
      @case ('where is it') {
        <gk-mark-view />
      }
      @case ('drill') {
        <gk-drill-view />
      }
      @case ('reach') {
        <gk-reach-view />
      }
      @case ('cone or frequency') {
        <gk-cone-or-frequency-view />
      }
      @case ('shopping') {
        <gk-shopping-view />
      }
      @case ('speed') {
        <gk-speed-view />
      }
      @default {
        <section class="sheet picture" id="section" tabindex="-1" aria-label="Section and footprints">
          <gk-section-view
            [section]="section()"
            [depthM]="depthM()"
            [units]="units()"
            [way]="way()"
            (moved)="drag($event)"
            (settled)="settle($event)"
            (nudged)="settle(bounded(depthM() + $event))"
          />
          <div class="beside">
            <gk-quantity-field
              label="Depth of the bottom"
              fieldId="working-depth"
              quantity="depth"
              [decimals]="1"
              [value]="besideM()"
              [schema]="depthSchema"
              (changed)="settle($event)"
            />
            @if (ring(); as ring) {
              @if (ring.answer.nearestM !== null && ring.answer.farthestM !== null) {
                <div>
                  <p>A mark in the wide cone only lies in the ring:</p>
                  <p class="move">
                    move
                    <gk-number
                      of="Least distance to move"
                      [value]="ring.answer.nearestM"
                      quantity="length"
                      [decimals]="1"
                      [steps]="ring.answer.working"
                    />
                    to
                    <gk-number
                      of="Greatest distance to move"
                      [value]="ring.answer.farthestM"
                      quantity="length"
                      [decimals]="1"
                      [steps]="ring.answer.working"
                    />
                  </p>
                  <p class="small faint">
                    from {{ plan().transducers[ring.narrowId]?.name }}. A strong mark in both is nearly below. A view
                    that blends both loses this.
                  </p>
                </div>
              } @else {
                <p class="faint">The narrow cone covers the wide one here: there is no ring.</p>
              }
            } @else {
              <p class="faint small">
                Two sounders with different cones show between them where a mark lies: a wide one finds it, a narrow one
                says it is below.
              </p>
            }
          </div>
        </section>

        <div class="two">
          <section class="sheet" aria-labelledby="chosen-title">
            <h2 id="chosen-title">Chosen</h2>
            @if (rows().length) {
              <div class="wide">
                <table class="figures">
                  <thead>
                    <tr>
                      <th scope="col">Transducer</th>
                      <th scope="col">kHz</th>
                      <th scope="col">cone -3 dB</th>
                      <th scope="col">at {{ footprintM() | figure: 'depth' : units() : { decimals: 1 } }}</th>
                      <th scope="col">absorbed</th>
                      <th scope="col"><span class="hidden-label">Change</span></th>
                    </tr>
                  </thead>
                  <tbody>
                    @for (row of rows(); track row.id) {
                      <tr [attr.data-transducer]="row.id">
                        <td>
                          <span class="swatch" [style.background]="row.colour" aria-hidden="true"></span>{{ row.name }}
                        </td>
                        <td class="mono">{{ row.kHz }}</td>
                        <td>
                          <gk-number
                            [of]="'Cone of ' + row.name + ' at -3 dB'"
                            [value]="row.cone.acrossDeg"
                            quantity="angle"
                            [steps]="row.cone.working"
                          />
                        </td>
                        <td>
                          @if (row.footprint; as foot) {
                            <gk-number
                              [of]="'Footprint of ' + row.name"
                              [value]="foot.widthAcrossM"
                              quantity="length"
                              [decimals]="1"
                              [steps]="foot.working"
                            />
                          } @else {
                            <span class="faint small">{{ row.kind }}</span>
                          }
                        </td>
                        <td>
                          @if (row.lost; as lost) {
                            <gk-number
                              [of]="'Lost to absorption by ' + row.name"
                              [value]="lost.lostDb"
                              quantity="level"
                              [steps]="lost.working"
                            />
                          } @else {
                            <span class="is-missing mono">no water</span>
                          }
                        </td>
                        <td>
                          <button
                            type="button"
                            class="plain"
                            [id]="'change-' + row.id"
                            [attr.aria-expanded]="selected() === row.id"
                            (click)="select(row.id)"
                            [attr.aria-label]="'Change ' + row.name"
                          >
                            Change
                          </button>
                        </td>
                      </tr>
                    }
                  </tbody>
                </table>
              </div>
              @if (ruled().length) {
                <p class="small faint">
                  Depth times angle in radians, the usual rule, says less by
                  @for (row of ruled(); track row.id; let last = $last) {
                    <gk-number
                      [of]="'Shortfall of the usual rule for ' + row.name"
                      [value]="row.shortfall"
                      quantity="fraction"
                      [steps]="row.working"
                    />{{ last ? '.' : ' and' }}
                  }
                </p>
              }
            } @else {
              <p class="faint">None yet. Place one from the catalogue below, or add one from its data sheet.</p>
            }
          </section>
          <section class="sheet" id="absorption-chart" tabindex="-1" aria-labelledby="absorption-title">
            <h2 id="absorption-title">Frequency, not cone: lost to absorption</h2>
            @if (water(); as here) {
              <p class="small faint">
                to {{ chartM() | figure: 'depth' : units() : { decimals: 1 } }} and back, {{ here.kind }},
                {{ here.temperatureC | figure: 'temperature' : units() }}
              </p>
              <gk-absorption-chart [section]="charted()" [water]="here" [units]="units()" />
            } @else {
              <p class="faint">The water is not described: give its salt and temperature in the brief.</p>
            }
          </section>
        </div>

        @if (selectedTransducer(); as chosen) {
          <section class="sheet" [attr.aria-label]="'Change ' + chosen.name">
            <h2>{{ chosen.name }}</h2>
            <gk-transducer-editor [id]="selected()!" [transducer]="chosen" (closed)="selected.set(null)" />
          </section>
        }

        <section class="sheet below" id="catalogue" tabindex="-1" aria-labelledby="catalogue-title">
          <h2 id="catalogue-title">Catalogue</h2>
          <gk-catalogue-table (placed)="place($event)" (edited)="edit($event)" />
        </section>
        <section class="sheet below" aria-labelledby="sheet-title">
          <h2 id="sheet-title">
            @if (edited(); as it) {
              {{ it.item.element.name }}, version {{ it.entry.version }}
            } @else {
              From a data sheet
            }
          </h2>
          <gk-sheet-form
            [entry]="edited()"
            (placed)="placeFromSheet($event)"
            (kept)="keep($event)"
            (closed)="edited.set(null)"
          />
          @if (catalogueNote(); as words) {
            <p class="small" role="status">{{ words }}</p>
          }
        </section>
        <section class="sheet below" aria-labelledby="csv-title">
          <h2 id="csv-title">Many from a file</h2>
          <gk-csv-import />
        </section>
      }
    }
    <p class="caution" role="note">
      Never transmit out of the water, or at swimmers and divers. Haul out to drill; the makers' instructions and local
      codes come before this tool.
    </p>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .picture {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      position: relative;
    }
    .beside {
      position: absolute;
      left: calc(54.5% + 4px);
      right: 14px;
      top: calc(10px + 64%);
      display: grid;
      grid-template-columns: 128px minmax(0, 1fr);
      gap: 4px 16px;
      align-content: start;
      line-height: 1.25;
    }
    .move {
      font-size: 18px;
      font-weight: 700;
    }
    .two {
      display: grid;
      grid-template-columns: minmax(0, 2fr) minmax(0, 1fr);
      gap: 10px;
    }
    .swatch {
      display: inline-block;
      width: 11px;
      height: 11px;
      margin-right: 8px;
    }
    .wide {
      overflow-x: auto;
    }
    @media (max-width: 1100px) {
      .beside {
        position: static;
        width: auto;
      }
    }
    @media (max-width: 760px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class BeamsPage {
  private readonly open = openBoat();
  private readonly store = inject(Store);
  private readonly api = inject(ServerApi);
  private readonly goTo = inject(GoTo);
  private readonly injector = inject(Injector);
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly way = this.open.way;
  protected readonly depthSchema = planSchema.shape.working.shape.depthM;

  /** The depth under the finger while the bottom is dragged; the plan's own otherwise. */
  protected readonly dragged = linkedSignal<number, number | null>({
    source: () => this.plan().working.depthM,
    computation: () => null,
  });
  protected readonly depthM = computed(() => this.dragged() ?? this.plan().working.depthM);
  protected readonly section = computed(() => sectionAt(this.plan(), this.depthM()));

  /**
   * The figures beside the picture. All of them and the picture are more than one frame holds, so while the bottom is
   * dragged each event brings the picture and one of these up to date, turn by turn.
   */
  protected readonly besideM = linkedSignal(() => this.plan().working.depthM);
  protected readonly footprintM = linkedSignal(() => this.plan().working.depthM);
  private readonly absorbedM = linkedSignal(() => this.plan().working.depthM);
  protected readonly chartM = linkedSignal(() => this.plan().working.depthM);
  private readonly figures = new TurnByTurn([this.besideM, this.footprintM, this.absorbedM, this.chartM]);

  protected readonly ring = computed(() => sectionAt(this.plan(), this.besideM()).ring);
  private readonly tabled = computed(() => sectionAt(this.plan(), this.footprintM()));
  protected readonly charted = computed(() => sectionAt(this.plan(), this.chartM()));
  protected readonly water = computed(() => workingWater(this.plan()));
  protected readonly views = beamViews;
  protected readonly view = signal<BeamView>('section');
  /** Whatever is looked for stands in the section, but for the table of speeds. */
  constructor() {
    effect(() => {
      const target = this.goTo.target();
      if (target === null) return;
      untracked(() => {
        this.view.set(target === 'speed-table' ? 'speed' : 'section');
        // The fields of a transducer are only there while it is open.
        const id = Object.keys(this.plan().transducers).find((one) => target.endsWith(`-${one}`));
        if (id !== undefined && /^(transducer|transmits)-/.test(target)) this.selected.set(id);
        this.goTo.target.set(null);
      });
    });
  }

  protected readonly selected = signal<string | null>(null);
  protected readonly selectedTransducer = computed(() => this.plan().transducers[this.selected() ?? ''] ?? null);
  protected readonly catalogueNote = signal('');
  protected readonly edited = signal<CatalogueTransducer | null>(null);

  protected readonly rows = computed(() => {
    const water = this.water();
    const depthM = this.absorbedM();
    return this.tabled().beams.map(({ id, transducer, beam, cone, footprint, kind }, i) => ({
      id,
      name: transducer.name,
      colour: seriesVariable(i),
      kHz: beam.frequencyHz / 1000,
      kind,
      cone,
      footprint,
      lost: water && lostToAbsorption(water, beam.frequencyHz, depthM),
    }));
  });

  /** How far the usual rule is off, for the sounders. */
  protected readonly ruled = computed(() =>
    this.tabled().beams.flatMap(({ id, kind, transducer: { name }, footprint }) =>
      kind === 'sounder' && footprint
        ? [{ id, name, shortfall: footprint.ruleShortfall, working: footprint.ruleWorking }]
        : [],
    ),
  );

  protected drag(depthM: number): void {
    this.dragged.set(depthM);
    this.figures.follow(depthM);
  }

  protected settle(depthM: number | null): void {
    if (depthM === null) return;
    this.figures.catchUp(depthM);
    this.dragged.set(null);
    if (depthM !== this.plan().working.depthM)
      this.open.edits.edit('the working depth', { type: 'workAtDepth', depthM });
  }

  protected bounded(depthM: number): number {
    return Math.min(greatestM, Math.max(leastM, depthM));
  }

  protected select(id: string): void {
    this.selected.update((open) => (open === id ? null : id));
  }

  protected place({ entry, item }: CatalogueTransducer): void {
    const catalogue = { entryId: entry.id, version: entry.version };
    this.put(item.element, item.mountings[0] ?? 'transom', catalogue, item.temperatureSensor);
  }

  protected placeAll(entries: CatalogueEntry[]): void {
    for (const entry of entries) if (entry.item.type === 'transducer') this.place({ entry, item: entry.item });
    this.view.set('section');
  }

  protected placeFromSheet({ element, mounting }: FromSheet): void {
    this.put(element, mounting, null);
    const id = `own-${newId()}`;
    this.api
      .putInCatalogue(id, { type: 'transducer', element, mountings: [mounting], temperatureSensor: 'none', socket: '' })
      .subscribe({
        next: (entry) => {
          this.store.dispatch(catalogueEvents.entryKept({ entry }));
          this.catalogueNote.set(`${element.name} is on the boat and in the shop's catalogue.`);
        },
        error: (error: unknown) =>
          this.catalogueNote.set(
            `${element.name} is on the boat; the catalogue did not take it: ${problemOf(error).detail}`,
          ),
      });
  }

  /** Boats that carry it keep the version they were given. */
  protected keep({ id, item }: { readonly id: string; readonly item: TransducerEntry }): void {
    this.api.putInCatalogue(id, item).subscribe({
      next: (entry) => {
        this.store.dispatch(catalogueEvents.entryKept({ entry }));
        this.edited.set(null);
        this.catalogueNote.set(
          `${item.element.name} is kept as version ${entry.version}; boats that carry an older one keep it.`,
        );
      },
      error: (error: unknown) =>
        this.catalogueNote.set(`${item.element.name} was not kept: ${problemOf(error).detail}`),
    });
  }

  protected edit(entry: CatalogueTransducer): void {
    this.edited.set(entry);
    this.catalogueNote.set('');
    afterNextRender(() => document.getElementById('sheet-name')?.focus(), { injector: this.injector });
  }

  private put(
    element: Transducer | CatalogueTransducer['item']['element'],
    mounting: Transducer['mounting'],
    catalogue: Transducer['catalogue'],
    temperature: Source['temperature'] = 'none',
  ): void {
    const id = newId();
    const { along, aboveKeelM } = usualPlace[mounting];
    const length = this.plan().boat.lengthM ?? 6;
    const already = Object.values(this.plan().transducers).filter((one) => one.mounting === mounting).length;
    const transducer = {
      ...element,
      catalogue,
      mounting,
      forwardM: Math.round(length * along * 100) / 100,
      starboardM: usualSideM(this.plan(), mounting, already),
      aboveKeelM,
      workingBeam: 0,
      transmitsIn: usefulWays(this.plan(), { kind: element.kind, mounting }),
    };
    this.open.edits.edit(
      `place ${element.name}`,
      { type: 'placeTransducer', id, transducer },
      ...(temperature === 'none' ? [] : [{ type: 'describeSource' as const, id, changes: { temperature } }]),
    );
    this.selected.set(id);
  }
}
