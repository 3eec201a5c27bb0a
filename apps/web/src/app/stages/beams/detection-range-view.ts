import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import {
  answerOf,
  formatFigure,
  fittedOf,
  measuresOf,
  measureWorking,
  requiredSnrDb,
  bottomReachSpan,
  bottomSnrDb,
  electricalFloorOf,
  beamRangeSaid,
  targetRangeSpan,
  traceSnrDb,
  targetReachM,
  targetSnrDb,
  targetStrength,
  requirementsOf,
} from '@grey-keel/core';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { mediaMatches, narrowScreen } from '../../shared/media-matches.ts';
import { ReadChart, type ChartReading } from '../../shared/read-chart.ts';
import { openBoat } from '../open-boat.ts';
import { DetailView } from './detail-view.ts';
import { ImagingRange } from './imaging-range.ts';
import { detectionRangeCurves } from './detection-range-curves.ts';
import { Fold } from '../../shared/fold.ts';
import { Wide } from '../../shared/wide.ts';

/** How far down each sounder sees the fish and the bottom, as curves, as figures and as a table. */
@Component({
  selector: 'gk-detection-range-view',
  imports: [Fold, ComputedNumber, DetailView, FigurePipe, ImagingRange, ReadChart, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (requirements(); as it) {
      <section class="sheet" aria-labelledby="reach-title">
        <h2 id="reach-title">Signal over noise against depth</h2>
        @if (beams().length) {
          <p class="small faint">
            A fish of {{ it.lengthCm | figure: 'fishLength' : units() }}; broken lines: the same fish lying well or
            badly. Seen where the line stands right of {{ required | figure: 'level' : units() }}.
          </p>
          <div class="two">
            <gk-read-chart
              [label]="words()"
              [height]="380"
              [options]="curves()"
              along="down"
              [from]="0"
              [to]="deepestM()"
              quantity="depth"
              sliderId="read-snr"
              [read]="readLevel"
            />
            <div gkWide>
              <table class="figures" aria-label="Detection range of the sounders">
                <thead>
                  <tr>
                    <th scope="col">Sounder</th>
                    <th scope="col">at {{ it.workingM | figure: 'depth' : units() : { decimals: 0 } }}</th>
                    <th scope="col">fish seen to</th>
                    <th scope="col">bottom to</th>
                  </tr>
                </thead>
                <tbody>
                  @for (one of beams(); track one.key) {
                    <tr>
                      <td class="named">
                        <span class="swatch" [style.background]="'var(--series-' + one.series + ')'"></span
                        >{{ one.name }}, {{ one.beam.frequencyHz | figure: 'frequency' : units() }}
                        @if (one.derived) {
                          <span class="small derived">derived</span>
                        }
                      </td>
                      <td class="mono">{{ one.here | figure: 'level' : units() }}</td>
                      @for (seen of one.said; track seen.what) {
                        <td>
                          @if (seen.said.within) {
                            <gk-number
                              [of]="seen.what + ' of ' + one.name"
                              [value]="seen.said.span.m"
                              quantity="depth"
                              [figures]="3"
                              [decimals]="0"
                              [steps]="seen.working"
                            />
                            <span class="small faint span"
                              >{{ seen.said.span.lowM | figure: 'depth' : units() : rounded }} to
                              {{ seen.said.span.highM | figure: 'depth' : units() : rounded }}</span
                            >
                          } @else {
                            <gk-number
                              [of]="seen.what + ' of ' + one.name"
                              [value]="seen.said.spareDb"
                              quantity="level"
                              [decimals]="0"
                              [steps]="seen.working"
                            />
                            <span class="small faint span"
                              >to spare at {{ seen.said.atM | figure: 'depth' : units() : rounded }}</span
                            >
                          }
                        </td>
                      }
                    </tr>
                  }
                </tbody>
              </table>
            </div>
          </div>
          <p class="small">
            <span class="derived">assumed</span>:
            {{ floor().in1kHzDb | figure: 'level' : units() : { decimals: 0 } }} of electrical noise in 1 kHz ({{
              floor().because
            }}); a single echo needs {{ required | figure: 'level' : units() : { decimals: 0 } }} over the noise, a
            steady trace of the bottom {{ trace | figure: 'level' : units() : { decimals: 0 } }}. A span is what is not
            known of fish, bottom and noise; the trial measures the noise.
          </p>
          @for (one of derived(); track one.name) {
            <p class="small">
              <span class="derived">derived</span>, not on the sheet of {{ one.name }}: {{ one.figures }}. What hangs on
              them is as good as they are.
            </p>
          }
          <gk-fold heading="The same as a table" [(open)]="listed">
            @if (listed()) {
              <div gkWide>
                <table class="figures" aria-label="Signal over noise by depth">
                  <thead>
                    <tr>
                      <th scope="col">depth</th>
                      @for (one of beams(); track one.key) {
                        <th scope="col">{{ one.name }}, {{ one.beam.frequencyHz | figure: 'frequency' : units() }}</th>
                      }
                    </tr>
                  </thead>
                  <tbody>
                    @for (row of table(); track row.depthM) {
                      <tr>
                        <td class="mono">{{ row.depthM | figure: 'depth' : units() : { decimals: 0 } }}</td>
                        @for (level of row.levels; track $index) {
                          <td class="mono">{{ level | figure: 'level' : units() }}</td>
                        }
                      </tr>
                    }
                  </tbody>
                </table>
              </div>
            }
          </gk-fold>
        } @else {
          <p class="faint">No sounder is chosen yet: take one from the advice or the catalogue.</p>
        }
      </section>
      <gk-imaging-range [water]="it.conditions.water" />
      <gk-detail-view />
    } @else {
      <p class="sheet">
        The water is not described: give its salt and temperature in the brief, and the target species.
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .two {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      gap: 4px 20px;
      align-items: start;
    }
    .swatch {
      display: inline-block;
      width: 11px;
      height: 11px;
      margin-right: 8px;
    }
    .derived {
      color: var(--check);
    }
    .span {
      display: block;
      white-space: nowrap;
    }
    summary {
      min-height: var(--touch);
      line-height: var(--touch);
      color: var(--water);
      font-weight: 600;
      cursor: pointer;
    }
    @media (max-width: 1100px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class DetectionRangeView {
  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  private readonly narrow = mediaMatches(narrowScreen);
  protected readonly required = requiredSnrDb;
  protected readonly trace = traceSnrDb;
  protected readonly rounded = { figures: 3, decimals: 0 };
  protected readonly listed = signal(false);
  protected readonly floor = computed(() => electricalFloorOf(this.plan()));
  protected readonly requirements = computed(() => requirementsOf(this.plan()));

  /** Every beam of every sounder aboard. */
  protected readonly beams = computed(() => {
    const requirements = this.requirements();
    if (!requirements) return [];
    return fittedOf(this.plan(), 'sounder').flatMap((candidate) => {
      const measures = measuresOf(candidate, requirements);
      const series = Object.keys(this.plan().transducers).sort().indexOf(candidate.id);
      return measures.beams.map((beam, i) => {
        const { uncertaintyDb } = answerOf(targetStrength, {
          lengthCm: requirements.lengthCm,
          frequencyHz: beam.frequencyHz,
          model: 'love-dorsal',
        });
        return {
          key: `${candidate.id}-${i}`,
          name: candidate.element.name,
          // The boat's own order gives the colour; a second beam is the same colour, and told apart by its label.
          series: series % 6,
          beam,
          derived: beam.acoustics.derived.join(', '),
          uncertaintyDb,
          here: targetSnrDb(beam.terms, beam.targetStrengthDb, requirements.workingM),
          wellM: targetReachM(beam.terms, beam.targetStrengthDb + uncertaintyDb),
          said: [
            {
              what: 'Detection range',
              working: measureWorking('reach', { ...measures, beams: [beam] }, requirements),
              said: beamRangeSaid(
                targetRangeSpan(beam.terms, beam.targetStrengthDb, uncertaintyDb),
                requirements.waterM,
                (rangeM) => targetSnrDb(beam.terms, beam.targetStrengthDb, rangeM),
                requiredSnrDb,
              ),
            },
            {
              what: 'Bottom',
              working: [],
              said: beamRangeSaid(
                bottomReachSpan(beam.terms, requirements.softest),
                requirements.waterM,
                (rangeM) => bottomSnrDb(beam.terms, requirements.softest, rangeM),
                traceSnrDb,
              ),
            },
          ],
        };
      });
    });
  });

  protected readonly derived = computed(() => {
    const byName = new Map(this.beams().map(({ name, derived }) => [name, derived]));
    return [...byName].filter(([, figures]) => figures).map(([name, figures]) => ({ name, figures }));
  });

  protected readonly deepestM = computed(() => {
    const requirements = this.requirements();
    const furthest = Math.max(0, ...this.beams().map(({ wellM }) => wellM));
    // The picture ends with the boat's water: nobody fishes below it.
    return Math.max(10, Math.min(furthest * 1.05, requirements?.waterM ?? 160));
  });

  protected readonly table = computed(() =>
    Array.from({ length: 10 }, (_, i) => {
      const depthM = (this.deepestM() * (i + 1)) / 10;
      return {
        depthM,
        levels: this.beams().map(({ beam }) => targetSnrDb(beam.terms, beam.targetStrengthDb, depthM)),
      };
    }),
  );

  /** What each line says at a depth: under the pointer, or where the slider stands. */
  protected readonly readLevel = (depthM: number): ChartReading[] =>
    this.beams().map(({ name, beam, series }) => ({
      name: `${name}, ${formatFigure({ value: beam.frequencyHz, quantity: 'frequency' }, this.units(), { decimals: 0 })}`,
      colour: `var(--series-${series})`,
      text: formatFigure(
        { value: targetSnrDb(beam.terms, beam.targetStrengthDb, Math.max(0.5, depthM)), quantity: 'level' },
        this.units(),
      ),
    }));

  protected readonly words = computed(
    () =>
      `Signal over noise against depth. ${this.beams()
        .map(
          ({ name, beam }) =>
            `${name} at ${formatFigure({ value: beam.frequencyHz, quantity: 'frequency' }, this.units())} sees the fish to ${beam.reachM > this.deepestM() ? 'the bottom of this water' : formatFigure({ value: beam.reachM, quantity: 'depth' }, this.units(), this.rounded)}`,
        )
        .join('; ')}.`,
  );

  protected readonly curves = computed(() =>
    detectionRangeCurves(this.beams(), {
      deepestM: this.deepestM(),
      workingM: this.requirements()?.workingM ?? 0,
      units: this.units(),
      narrow: this.narrow(),
    }),
  );
}
