import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { act, goneDb, speedTable } from '@grey-keel/core';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { openBoat } from '../open-boat.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { Wide } from '../../shared/wide.ts';

/** Which of the sounders still reads the bottom, at idle, cruise and top speed, and what takes it away. */
@Component({
  selector: 'gk-speed-view',
  imports: [PlanPlace, ComputedNumber, FigurePipe, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" id="speed-table" [gkPlace]="place" tabindex="-1" aria-labelledby="speed-title">
      <h2 id="speed-title">The bottom at speed</h2>
      @if (rows(); as list) {
        @if (list.length) {
          <p class="small faint">
            Over {{ plan().working.depthM | figure: 'depth' : units() : { decimals: 0 } }}. Own noise and aerated water
            are round figures for boats of this kind: the trial puts them right.
          </p>
          <div gkWide>
            <table class="figures">
              <thead>
                <tr>
                  <th scope="col">Sounder</th>
                  <th scope="col">speed</th>
                  <th scope="col">between pings</th>
                  <th scope="col">covered again</th>
                  <th scope="col">own noise</th>
                  <th scope="col">lost to air</th>
                  <th scope="col">bottom over noise</th>
                  <th scope="col">bottom</th>
                </tr>
              </thead>
              <tbody>
                @for (row of list; track row.id) {
                  @for (at of row.paces; track at.pace; let first = $first) {
                    <tr [class.first]="first">
                      <td class="named">
                        @if (first) {
                          <strong>{{ row.name }}</strong><span class="small faint">, {{ row.mounting }}</span>
                        }
                      </td>
                      <td class="mono speed">
                        <span class="faint">{{ at.pace }}</span> {{ at.speedMps | figure: 'speed' : units() }}
                      </td>
                      <td>
                        <gk-number
                          [of]="'Distance between pings, ' + row.name + ', ' + at.pace"
                          [value]="at.spacingM"
                          quantity="length"
                          [steps]="at.timingWorking.slice(0, 2)"
                        />
                      </td>
                      <td>
                        <gk-number
                          [of]="'Overlap of footprints, ' + row.name + ', ' + at.pace"
                          [value]="at.overlap"
                          quantity="fraction"
                          [steps]="at.timingWorking"
                        />
                      </td>
                      <td>
                        <gk-number
                          [of]="'Own noise, ' + row.name + ', ' + at.pace"
                          [value]="at.ownNoiseDb"
                          quantity="level"
                          [steps]="at.noiseWorking"
                        />
                      </td>
                      <td class="mono">{{ at.aerationDb | figure: 'level' : units() }}</td>
                      <td class="mono">
                        {{ at.bottomSnrDb < goneDb ? 'gone' : (at.bottomSnrDb | figure: 'level' : units()) }}
                      </td>
                      <td [class.lost]="!at.readsBottom">{{ at.readsBottom ? 'read' : 'lost' }}</td>
                    </tr>
                  }
                }
              </tbody>
            </table>
          </div>
        } @else {
          <p class="faint">No sounder is chosen yet: take one from the advice or the catalogue.</p>
        }
      } @else {
        <p class="faint">The water is not described: give its salt and temperature in the brief.</p>
      }
      <p class="small faint">
        Side-scan draws best at a walking pace to a slow jog: the slower, the closer the pings, until scroll and ground
        no longer match.
      </p>
    </section>
    <p class="caution" role="note">
      A trial at speed wants a look-out and a second person, the kill cord on, and clear water ahead. Sonar alone is no
      aid to navigation.
    </p>
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    tr.first td {
      border-top: 2px solid var(--rule);
    }
    .speed {
      white-space: nowrap;
    }
    .lost {
      color: var(--stop);
      font-weight: 700;
    }
  `,
})
export class SpeedView {
  protected readonly place = act('show the speeds');
  protected readonly goneDb = goneDb;
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly rows = computed(() => speedTable(this.plan()));
}
