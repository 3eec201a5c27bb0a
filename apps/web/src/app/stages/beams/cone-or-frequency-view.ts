import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import { compareBeams, formatFigure, requirementsOf } from '@grey-keel/core';
import { beamSchema, elementSchema, planSchema } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { Wide } from '../../shared/wide.ts';
import { openBoat } from '../open-boat.ts';

const termNames = [
  ['absorptionDb', 'absorption'],
  ['directivityDb', 'directivity, both ways'],
  ['noiseDb', 'noise'],
  ['targetDb', 'how the fish answers'],
] as const;

/** Does the narrow cone go deeper? The same frequency with two cones, then the same cone at two frequencies. */
@Component({
  selector: 'gk-cone-or-frequency-view',
  imports: [ComputedNumber, QuantityField, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (requirements()) {
      <section class="sheet" aria-label="What is compared">
        <p>
          Two plain discs of one power and one pulse, the same fish straight below, in this water. Nothing differs but
          what is set here, so what is left between them is the cone, or the frequency.
        </p>
        <div class="fields">
          <gk-quantity-field
            label="Electrical power"
            fieldId="compare-power"
            quantity="power"
            [value]="powerW()"
            [schema]="powerSchema"
            (changed)="powerW.set($event ?? powerW())"
          />
          <gk-quantity-field
            label="Depth of the fish below the face"
            fieldId="compare-depth"
            quantity="depth"
            [decimals]="0"
            [value]="rangeM()"
            [schema]="depthSchema"
            (changed)="chosenRangeM.set($event)"
          />
          <gk-quantity-field
            label="Frequency of both cones"
            fieldId="compare-frequency"
            quantity="frequency"
            [value]="frequencyHz()"
            [schema]="frequencySchema"
            (changed)="frequencyHz.set($event ?? frequencyHz())"
          />
          <gk-quantity-field
            label="Wide cone"
            fieldId="compare-wide"
            quantity="angle"
            [value]="wideDeg()"
            [schema]="coneSchema"
            (changed)="wideDeg.set($event ?? wideDeg())"
          />
          <gk-quantity-field
            label="Narrow cone, and cone of both frequencies"
            fieldId="compare-narrow"
            quantity="angle"
            [value]="narrowDeg()"
            [schema]="coneSchema"
            (changed)="narrowDeg.set($event ?? narrowDeg())"
          />
          <gk-quantity-field
            label="Lower frequency"
            fieldId="compare-low"
            quantity="frequency"
            [value]="lowHz()"
            [schema]="frequencySchema"
            (changed)="lowHz.set($event ?? lowHz())"
          />
        </div>
      </section>
      <div class="two">
        @for (one of compared(); track one.id) {
          <section class="sheet" [attr.aria-labelledby]="one.id">
            <h2 [id]="one.id">{{ one.title }}</h2>
            <p class="verdict">{{ one.verdict }}</p>
            <div class="reach" role="img" [attr.aria-label]="one.words">
              @for (reach of one.reaches; track $index) {
                <div>
                  <span class="column"><span [style.height.%]="reach.share"></span></span>
                  <strong class="mono">{{ reach.depth }}</strong>
                  <span class="small">{{ reach.name }}</span>
                </div>
              }
            </div>
            <div gkWide>
              <table class="figures">
                <thead>
                  <tr>
                    <th scope="col">Term</th>
                    <th scope="col" class="bars">against <span class="faint">|</span> for {{ one.favours }}</th>
                    <th scope="col">dB</th>
                  </tr>
                </thead>
                <tbody>
                  @for (term of one.terms; track $index) {
                    <tr [class.chief]="term.chief">
                      <td>{{ term.name }}</td>
                      <td class="bars">
                        <span class="track" aria-hidden="true"
                          ><span [style.left.%]="term.from" [style.width.%]="term.width"></span
                        ></span>
                      </td>
                      <td>
                        <gk-number
                          [of]="term.name + ', ' + one.title"
                          [value]="term.value"
                          quantity="level"
                          [signed]="true"
                          [steps]="term.steps"
                        />
                      </td>
                    </tr>
                  }
                  <tr>
                    <td><strong>together</strong></td>
                    <td></td>
                    <td>
                      <gk-number
                        [of]="'Together, ' + one.title"
                        [value]="one.difference.totalDb"
                        quantity="level"
                        [signed]="true"
                        [steps]="one.difference.working"
                      />
                    </td>
                  </tr>
                </tbody>
              </table>
            </div>
          </section>
        }
      </div>
      <section class="sheet">
        <p>{{ lesson() }}</p>
      </section>
    } @else {
      <p class="sheet">The water is not described: give its salt and temperature in the brief.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .fields {
      margin-top: 8px;
      grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
      align-items: end;
    }
    .two {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: 10px;
    }
    .verdict {
      margin: 4px 0 8px;
      min-height: 3.9em;
    }
    .reach {
      display: flex;
      gap: 28px;
      min-height: 150px;
      margin-bottom: 8px;
      border-top: 3px solid var(--water);
    }
    .reach > div {
      display: grid;
      grid-template: 104px auto auto / auto;
      align-content: start;
    }
    .column {
      width: 64px;
      height: 104px;
    }
    .column span {
      display: block;
      background: var(--water);
      opacity: 0.55;
    }
    .bars {
      width: 34%;
    }
    .track {
      position: relative;
      display: block;
      height: 12px;
      background: linear-gradient(var(--rule), var(--rule)) center / 1px 100% no-repeat;
    }
    .track span {
      position: absolute;
      top: 0;
      bottom: 0;
      background: var(--water);
    }
    .chief td {
      font-weight: 700;
    }
    @media (max-width: 900px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class ConeOrFrequencyView {
  private readonly open = openBoat();
  private readonly units = this.open.units;
  protected readonly powerSchema = elementSchema.shape.electricalPowerW;
  protected readonly depthSchema = planSchema.shape.working.shape.depthM;
  protected readonly frequencySchema = beamSchema.shape.frequencyHz;
  protected readonly coneSchema = beamSchema.shape.beamwidthDeg;
  protected readonly requirements = computed(() => requirementsOf(this.open.plan()));

  protected readonly powerW = signal(600);
  protected readonly chosenRangeM = signal<number | null>(null);
  protected readonly rangeM = computed(() => this.chosenRangeM() ?? this.requirements()?.workingM ?? 30);
  protected readonly frequencyHz = signal(190_000);
  protected readonly lowHz = signal(45_000);
  protected readonly wideDeg = signal(24);
  protected readonly narrowDeg = signal(9);

  private depth(valueM: number): string {
    return formatFigure({ value: valueM, quantity: 'depth' }, this.units(), { decimals: 0, figures: 3 });
  }
  /** Metres nobody can go to mean nothing. */
  private said(reachM: number): string {
    return reachM > (this.requirements()?.waterM ?? Infinity) ? 'the bottom of this water' : this.depth(reachM);
  }
  private level(valueDb: number): string {
    return formatFigure({ value: Math.abs(valueDb), quantity: 'level' }, this.units());
  }
  private frequency(valueHz: number): string {
    return formatFigure({ value: valueHz, quantity: 'frequency' }, this.units());
  }

  protected readonly compared = computed(() => {
    const requirements = this.requirements();
    if (!requirements) return [];
    const at = { electricalPowerW: this.powerW(), rangeM: this.rangeM() };
    const [frequencyHz, lowHz, wideDeg, narrowDeg] = [
      this.frequencyHz(),
      this.lowHz(),
      this.wideDeg(),
      this.narrowDeg(),
    ];
    const narrow = { frequencyHz, coneDeg: narrowDeg };
    return [
      {
        id: 'cones',
        title: `${this.frequency(frequencyHz)}, two cones`,
        favours: `${narrowDeg}°`,
        names: [`${narrowDeg}°`, `${wideDeg}°`] as const,
        ...compareBeams(narrow, { frequencyHz, coneDeg: wideDeg }, at, requirements),
      },
      {
        id: 'frequencies',
        title: `${narrowDeg}°, two frequencies`,
        favours: this.frequency(lowHz),
        names: [this.frequency(lowHz), this.frequency(frequencyHz)] as const,
        ...compareBeams({ frequencyHz: lowHz, coneDeg: narrowDeg }, narrow, at, requirements),
      },
    ].map((one) => {
      const { difference, firstReachM, secondReachM, names } = one;
      const [firstM, secondM] = [firstReachM, secondReachM].map((one) =>
        Math.min(one, this.requirements()?.waterM ?? one),
      );
      const greatest = Math.max(firstM ?? 0, secondM ?? 0, 1);
      const widest = Math.max(1, ...termNames.map(([key]) => Math.abs(difference[key])));
      return {
        ...one,
        verdict: `At ${this.depth(at.rangeM)} the ${names[0]} hears the fish ${this.level(difference.totalDb)} ${difference.totalDb >= 0 ? 'better' : 'worse'} than the ${names[1]}, mostly by ${difference.largest}; it sees it to ${this.said(firstReachM)} instead of ${this.said(secondReachM)}.`,
        words: `Detection range: ${names[0]} ${this.said(firstReachM)}, ${names[1]} ${this.said(secondReachM)}`,
        reaches: [
          { name: names[0], depth: this.said(firstReachM), share: (100 * (firstM ?? 0)) / greatest },
          { name: names[1], depth: this.said(secondReachM), share: (100 * (secondM ?? 0)) / greatest },
        ],
        terms: termNames.map(([key, name]) => {
          const value = difference[key];
          const width = (50 * Math.abs(value)) / widest;
          const step = { absorptionDb: 0, directivityDb: 1, noiseDb: 5, targetDb: 6 }[key];
          return {
            name,
            value,
            width,
            from: value >= 0 ? 50 : 50 - width,
            chief: Math.abs(value) === widest,
            steps: difference.working.slice(step, step + 1),
          };
        }),
      };
    });
  });

  protected readonly lesson = computed(() => {
    const [cones, frequencies] = this.compared();
    if (!cones || !frequencies) return '';
    const rule = this.level(cones.difference.coneRuleDepartsDb);
    return `"The cone plays no part in depth" is ${rule} off here: a narrow cone does hear more, since it sends and listens one way. "A narrow cone goes deeper" is true of two cones at one frequency and one power. But two transducers on a shelf differ in frequency as well, and that decides what absorption takes: ${this.level(frequencies.difference.absorptionDb)} between these two at this depth, twice that at twice the depth, while the cone's share stays what it is.`;
  });
}
