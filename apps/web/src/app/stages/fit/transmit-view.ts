import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { interferenceIn, interferesDb, inOrder, quietPlan } from '@grey-keel/core';
import { waysOfWorking, type Way } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { openBoat } from '../open-boat.ts';
import { seriesVariable } from '../../shared/series.ts';
import { TickField } from '../../shared/tick-field.ts';
import { Wide } from '../../shared/wide.ts';
import { PressButton } from '../../shared/press-button.ts';

/** Who transmits in which way of working, who is heard by whom, and the least that would quiet them. */
@Component({
  selector: 'gk-transmit-view',
  imports: [ComputedNumber, FigurePipe, PressButton, TickField, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="who-title">
      <h2 id="who-title">Who transmits when</h2>
      @if (units().length && ways().length) {
        <div gkWide>
          <table class="figures" aria-label="Which transducers transmit in which way of working">
            <thead>
              <tr>
                <th scope="col">Transducer</th>
                <th scope="col">works at</th>
                @for (way of ways(); track way) {
                  <th scope="col">{{ way }}</th>
                }
              </tr>
            </thead>
            <tbody>
              @for (unit of units(); track unit.id) {
                <tr>
                  <td class="named">
                    <span class="swatch" [style.background]="unit.colour" aria-hidden="true"></span>{{ unit.name }}
                  </td>
                  <td class="mono">{{ unit.frequencyHz | figure: 'frequency' : units_() }}</td>
                  @for (way of ways(); track way) {
                    <td [class.loud]="unit.loud.has(way)">
                      <gk-tick-field
                        wordless
                        [label]="unit.name + ' transmits ' + way"
                        [fieldId]="'sends-' + unit.id + '-' + way.replaceAll(' ', '-')"
                        [value]="unit.sends[way] === true"
                        (changed)="send(unit.id, unit.name, way, $event)"
                      />
                    </td>
                  }
                </tr>
              }
            </tbody>
          </table>
        </div>
        <p class="small faint">
          Outlined: it interferes another or is interfered there. On the trailer nothing transmits: out of the water a
          transducer can burn out.
        </p>
      } @else {
        <p class="faint">Choose transducers on Beams and ways of working in the brief.</p>
      }
    </section>

    <section class="sheet" aria-labelledby="heard-title">
      <h2 id="heard-title">Interference between units</h2>
      @if (pairs().length) {
        <div gkWide>
          <table class="figures" aria-label="How loud one unit is in another, over its noise">
            <thead>
              <tr>
                <th scope="col">While</th>
                <th scope="col" class="left">this unit</th>
                <th scope="col" class="left">is heard in</th>
                <th scope="col">over its noise</th>
                <th scope="col" class="left"></th>
              </tr>
            </thead>
            <tbody>
              @for (pair of pairs(); track pair.key) {
                <tr>
                  <td>{{ pair.way }}</td>
                  <td class="left named">{{ pair.source }}</td>
                  <td class="left named">{{ pair.victim }}</td>
                  <td>
                    <gk-number
                      [of]="pair.source + ' in ' + pair.victim"
                      [value]="pair.overNoiseDb"
                      quantity="level"
                      [steps]="pair.working"
                    />
                  </td>
                  <td class="left" [class.interferes]="pair.interferes">
                    {{ pair.interferes ? 'interferes' : 'is not seen' }}
                  </td>
                </tr>
              }
            </tbody>
          </table>
        </div>
        <p class="small faint">
          Over {{ threshold | figure: 'level' : units_() }} an echo is seen, so interference is, too. A display's own
          filter may rub some of it out, and weak fish with it.
        </p>
      } @else {
        <p class="faint">No two that transmit together share a band.</p>
      }
      @if (quiet(); as it) {
        <div class="advice" role="status">
          <p>
            @if (it.complete) {
              <strong>The least change that quiets it</strong>, of all combinations of beams and standby:
            } @else {
              <strong>A change that quiets it</strong>: there are too many combinations to search them all, so a smaller
              one may be there:
            }
            @for (one of it.words; track one) {
              <span class="step">{{ one }}.</span>
            }
          </p>
          <button type="button" pButton id="quieten" (click)="quieten()">Use this plan</button>
        </div>
      }
    </section>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .swatch {
      display: inline-block;
      width: 11px;
      height: 11px;
      margin-right: 8px;
    }
    .left {
      text-align: left !important;
    }
    .loud {
      outline: 2px solid var(--check);
      outline-offset: -2px;
    }
    .interferes {
      color: var(--check);
      font-weight: 700;
    }
    .advice {
      display: flex;
      flex-wrap: wrap;
      gap: 10px 20px;
      align-items: center;
      margin-top: 10px;
    }
    .step {
      display: block;
    }
  `,
})
export class TransmitView {
  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly units_ = this.open.units;
  protected readonly threshold = interferesDb;
  protected readonly ways = computed(() => waysOfWorking.filter((way) => this.plan().ways[way]));

  protected readonly pairs = computed(() =>
    this.ways().flatMap((way) =>
      interferenceIn(this.plan(), way).map((one) => ({
        ...one,
        way,
        key: `${way} ${one.sourceId} ${one.victimId}`,
        source: this.nameOf(one.sourceId),
        victim: this.nameOf(one.victimId),
        interferes: one.overNoiseDb > interferesDb,
      })),
    ),
  );

  protected readonly units = computed(() =>
    inOrder(this.plan().transducers).map(([id, { name, beams, workingBeam, transmitsIn }], i) => ({
      id,
      name,
      colour: seriesVariable(i),
      frequencyHz: beams[workingBeam]?.frequencyHz ?? null,
      sends: transmitsIn,
      loud: new Set(
        this.pairs()
          .filter(({ interferes, sourceId, victimId }) => interferes && (sourceId === id || victimId === id))
          .map(({ way }) => way),
      ),
    })),
  );

  protected readonly quiet = computed(() => {
    const found = quietPlan(this.plan());
    if (!found) return null;
    const kHz = (id: string, beam: number): string =>
      `${((this.plan().transducers[id]?.beams[beam]?.frequencyHz ?? 0) / 1000).toFixed(0)} kHz`;
    return {
      ...found,
      words: [
        ...Object.entries(found.beams).map(([id, beam]) => `${this.nameOf(id)} works at ${kHz(id, beam)}`),
        ...found.standby.map(({ way, id }) => `${this.nameOf(id)} stands by while ${way}`),
      ],
    };
  });

  private nameOf(id: string): string {
    return this.plan().transducers[id]?.name ?? id;
  }

  protected send(id: string, name: string, way: Way, transmits: boolean): void {
    this.open.edits.edit(`${name} while ${way}`, { type: 'transmitIn', id, way, transmits });
  }

  protected quieten(): void {
    const found = this.quiet();
    if (found) this.open.edits.edit('who transmits when', ...found.edits);
  }
}
