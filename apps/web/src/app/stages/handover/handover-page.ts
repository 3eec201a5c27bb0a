import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  agroundInWords,
  type Card,
  cardCautions,
  cardFingerprint,
  cardOf,
  enteredAboard,
  printedCard,
  sectionAt,
  whoseBoat,
} from '@grey-keel/core';
import { Store } from '@ngrx/store';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe, SentencePipe } from '../../shared/figure-pipe.ts';
import { newId } from '../../state/open-plan.ts';
import { selectFindings, selectStages } from '../../state/plan.selectors.ts';
import { seriesVariable } from '../../shared/series.ts';
import { openBoat } from '../open-boat.ts';
import { type Paper, Printing } from '../printing.ts';
import { stageRegister } from '../stages.ts';
import { CardSection } from './card-section.ts';
import { CardCorrectionLines } from './card-corrections.ts';
import { EnteredView } from './entered-view.ts';
import { PapersList } from './papers-list.ts';
import { type HandoverTab, handoverTabs } from './views.ts';
import { StageTabs } from '../../shared/stage-tabs.ts';
import { StationCard } from './station-card.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { Wide } from '../../shared/wide.ts';
import type { Choice } from '../../shared/choice-field.ts';
import { ChoiceButtons } from '../../shared/choice-buttons.ts';
import { PressButton } from '../../shared/press-button.ts';

@Component({
  selector: 'gk-handover-page',
  imports: [
    CardSection,
    CardCorrectionLines,
    ChoiceButtons,
    ComputedNumber,
    DatePipe,
    EnteredView,
    FigurePipe,
    PapersList,
    PlanPlace,
    PressButton,
    RouterLink,
    SentencePipe,
    StageTabs,
    StationCard,
    Wide,
  ],
  providers: [Printing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <gk-stage-tabs label="Ways of looking at the handover" [views]="views" [(chosen)]="view">
      @if (view() === 'entered') {
        <gk-entered-view />
      } @else {
        @let it = card();
        <div class="paper-view">
          <div class="row bar">
            <button
              type="button"
              pButton
              id="print-card"
              [gkPlace]="['cards']"
              [disabled]="printing.busy()"
              (click)="printCard()"
            >
              Dash cards as PDF
            </button>
            <gk-choice-buttons
              label="Paper"
              fieldId="paper"
              [value]="paper()"
              [choices]="papers"
              (changed)="paper.set($event)"
            />
            <button type="button" pButton severity="secondary" (click)="printHere()">Print</button>
            <button type="button" pButton severity="secondary" [disabled]="printing.busy()" (click)="printing.bundle()">
              Bundle for another shop
            </button>
            <span class="small standing {{ standing() }}" role="status">{{ standingWords() }}</span>
          </div>
          @if (printing.message(); as words) {
            <p class="sheet bad" role="alert">{{ words }}</p>
          }
          <article class="sheet card" aria-labelledby="card-title">
            <header>
              <h2 id="card-title">{{ it.boat.name }}</h2>
              <p>
                Length {{ it.boat.lengthM === null ? 'not known' : (it.boat.lengthM | figure: 'length' : units()) }},
                draught {{ it.boat.draughtM === null ? 'not known' : (it.boat.draughtM | figure: 'length' : units()) }}.
                @if (it.water; as water) {
                  {{ water.name }}: {{ water.temperatureC | figure: 'temperature' : units() }},
                  {{ water.salinityPpt | figure: 'salinity' : units() }}, sound at
                  <gk-number
                    of="Sound speed of this water"
                    [value]="water.soundSpeedMps"
                    quantity="soundSpeed"
                    [steps]="water.soundSpeedWorking"
                  />
                } @else {
                  The water is not described.
                }
              </p>
              @if (whose(); as words) {
                <p class="small">{{ words }}</p>
              }
              @for (line of aground(); track line.name) {
                <p>
                  <strong>{{ line.name }}: {{ line.words | sentence: units() }}</strong>
                </p>
              }
            </header>
            <div gkWide>
              <table class="figures units-aboard">
                <thead>
                  <tr>
                    <th scope="col">Transducer</th>
                    <th scope="col">frequency</th>
                    <th scope="col">cone at -3 dB</th>
                    <th scope="col">footprint at {{ it.depthM | figure: 'depth' : units() : { decimals: 1 } }}</th>
                    <th scope="col">depth offset</th>
                  </tr>
                </thead>
                <tbody>
                  @for (one of it.transducers; track one.id; let i = $index) {
                    <tr [attr.data-transducer]="one.name">
                      <td>
                        <span class="swatch" [style.background]="colour(i)" aria-hidden="true"></span>{{ one.name }}
                      </td>
                      <td class="mono" data-label="frequency">{{ one.frequencyHz | figure: 'frequency' : units() }}</td>
                      <td data-label="cone at -3 dB">
                        <gk-number
                          [of]="'Cone of ' + one.name + ' at -3 dB'"
                          [value]="one.coneDeg"
                          quantity="angle"
                          [steps]="one.coneWorking"
                        />
                      </td>
                      <td data-label="footprint">
                        @if (one.footprintM !== null) {
                          <gk-number
                            [of]="'Footprint of ' + one.name"
                            [value]="one.footprintM"
                            quantity="length"
                            [steps]="one.footprintWorking"
                          />
                        } @else {
                          -
                        }
                      </td>
                      <td data-label="depth offset">
                        @if (one.offset; as offset) {
                          @if (offset.offsetM === null) {
                            <span class="is-missing">not measured</span>
                          } @else {
                            <gk-number
                              class="offset"
                              [class.is-stale]="offset.state === 'stale'"
                              [of]="'Depth offset of ' + one.name"
                              [value]="offset.offsetM"
                              quantity="length"
                              [signed]="true"
                              [steps]="offset.working"
                              [without]="
                                offset.state === 'stale'
                                  ? 'It was entered before ' +
                                    (offset.changed.join(' and ') || 'the calculation') +
                                    ' changed; how it came about no longer holds.'
                                  : ''
                              "
                            />
                            <span class="small faint">
                              {{ offset.state === 'stale' ? 'stale' : 'to the ' + offset.reference }}</span
                            >
                          }
                        } @else {
                          -
                        }
                      </td>
                    </tr>
                  } @empty {
                    <tr>
                      <td colspan="5">No transducer is chosen yet.</td>
                    </tr>
                  }
                </tbody>
              </table>
            </div>
            @if (it.ring; as ring) {
              <p>
                A mark in {{ ring.wide }} only lies
                <gk-number
                  of="Least distance to move"
                  [value]="ring.nearestM"
                  quantity="length"
                  [steps]="ring.working"
                />
                to
                <gk-number
                  of="Greatest distance to move"
                  [value]="ring.farthestM"
                  quantity="length"
                  [steps]="ring.working"
                />
                from {{ ring.narrow }}: move that far to have it straight below. A strong mark in both is nearly below.
              </p>
            }
            @if (it.corrections; as corrections) {
              <gk-card-corrections [of]="corrections" [units]="units()" />
            }
            @if (entered().length) {
              <section aria-labelledby="entered-title">
                <h3 id="entered-title">Entered on the instruments</h3>
                <ul class="entered">
                  @for (one of entered(); track one.key) {
                    <li [class.is-stale]="one.state === 'stale'">
                      {{ one.of }}: <strong class="mono">{{ one.value | sentence: units() }}</strong>,
                      {{ one.at | date: 'yyyy-MM-dd HH:mm' }}{{ one.by ? ' by ' + one.by : '' }}.
                      @if (one.state === 'stale') {
                        Out of date.
                      } @else if (one.seenAgainAt) {
                        Seen again after power off, {{ one.seenAgainAt | date: 'yyyy-MM-dd HH:mm' }}.
                      } @else if (one.held) {
                        Not seen again after power off yet.
                      }
                    </li>
                  }
                </ul>
              </section>
            }
            <gk-card-section [section]="section()" [units]="units()" />
            <div class="foot">
              <section aria-labelledby="open-title">
                <h3 id="open-title">{{ unsettled().length ? 'Not settled' : 'Everything on this card is fresh.' }}</h3>
                <ul>
                  @for (line of unsettled(); track line.key) {
                    <li>
                      <a [routerLink]="['..', line.stage]">{{ line.words }}</a>
                      @if (line.reason; as reason) {
                        {{ reason | sentence: units() }}
                      }
                    </li>
                  }
                </ul>
              </section>
              <section class="caution" aria-labelledby="cautions-title">
                <h3 id="cautions-title">Cautions</h3>
                <ul>
                  @for (line of cautions; track line) {
                    <li>{{ line }}</li>
                  }
                </ul>
              </section>
            </div>
          </article>
          <gk-papers-list class="sheet papers" [paper]="paper()" (card)="printCard()" />
          @for (station of it.stations; track station.id) {
            <gk-station-card
              [card]="it"
              [station]="station"
              [units]="units()"
              [aground]="aground()"
              [unsettled]="unsettled().length"
            />
          }
        </div>
      }
    </gk-stage-tabs>
  `,
  styleUrl: './handover-page.css',
})
export class HandoverPage {
  private readonly open = openBoat();
  private readonly store = inject(Store);
  private readonly found = this.store.selectSignal(selectFindings);
  private readonly stages = this.store.selectSignal(selectStages);
  protected readonly views = handoverTabs;
  protected readonly view = signal<HandoverTab>('card');
  protected readonly units = this.open.units;
  protected readonly card = computed<Card>(() => cardOf(this.open.plan()));
  protected readonly entered = computed(() => enteredAboard(this.open.plan()));
  protected readonly whose = computed(() => whoseBoat(this.open.plan().boat));
  protected readonly section = computed(() => sectionAt(this.open.plan(), this.open.plan().working.depthM));
  protected readonly standing = computed(() => printedCard.standing(this.open.plan(), 'card').state);
  protected readonly cautions = cardCautions;
  protected readonly colour = seriesVariable;
  protected readonly printing = inject(Printing);
  protected readonly papers: readonly Choice<Paper>[] = [
    { value: 'A4', label: 'A4' },
    { value: 'LETTER', label: 'Letter' },
  ];
  protected readonly paper = signal<Paper>('A4');

  protected readonly standingWords = computed(
    () =>
      ({
        missing: 'No card has been printed yet.',
        fresh: 'The printed card shows these figures.',
        stale: 'The printed card is out of date: print it again.',
      })[this.standing()],
  );
  protected readonly aground = computed(() =>
    this.card().transducers.flatMap(({ name, offset }) =>
      offset?.state === 'fresh' ? [{ name, words: agroundInWords(offset.aground) }] : [],
    ),
  );
  protected readonly unsettled = computed(() => [
    ...this.stages()
      .filter(({ stage, state }) => state !== 'fresh' && stage !== 'handover')
      .map(({ stage, number, state }) => ({
        key: stage,
        stage,
        words: `Stage ${number}, ${stageRegister.find((one) => one.stage === stage)?.title ?? stage}: ${state}.`,
        reason: null,
      })),
    ...this.found()
      .filter(({ severity, stage }) => severity !== 'note' && stage !== 'handover')
      .map(({ id, stage, severity, title, reason }) => ({ key: id, stage, words: `${severity}: ${title}.`, reason })),
  ]);

  protected async printCard(): Promise<void> {
    // What is on the sheet is what was asked for, whatever is typed while it is made.
    const fingerprint = cardFingerprint(this.card());
    if (await this.printing.sheet('card', this.paper())) this.remember(fingerprint);
  }

  /** The sheets as they are seen, through the browser's own printing. */
  protected printHere(): void {
    window.print();
    this.remember(cardFingerprint(this.card()));
  }

  private remember(fingerprint: string): void {
    this.open.edits.edit('print the card', {
      type: 'printCard',
      id: newId(),
      card: { at: new Date().toISOString(), fingerprint },
    });
  }
}
