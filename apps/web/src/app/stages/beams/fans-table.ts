import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { fansAt, type FanSeen, type SceneFan, type UnitChoice } from '@grey-keel/core';
import type { PlacedFish, Plan } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { Wide } from '../../shared/wide.ts';

const stateWords: Readonly<Record<FanSeen['state'], string>> = {
  seen: 'seen',
  faint: 'too faint',
  hidden: "in the bottom's echo",
  outside: 'outside the fan',
};

const drawnWords: Readonly<Record<SceneFan['kind'], string>> = {
  'side-scan': 'out to the side',
  'down fan': 'deep',
  'forward-facing': 'ahead',
  sector: 'away',
};

/** What the fans of the boat make of each fish: at which slant range, where they draw it and where it is. */
@Component({
  selector: 'gk-fans-table',
  imports: [ComputedNumber, FigurePipe, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (rows().length) {
      <div gkWide>
        <table class="figures" aria-label="What each fan makes of each fish">
          <thead>
            <tr>
              <th scope="col">Fish</th>
              <th scope="col">fan</th>
              <th scope="col">shows it</th>
              <th scope="col">slant range</th>
              <th scope="col">drawn</th>
              <th scope="col">is</th>
              <th scope="col">shadow beyond it by</th>
              <th scope="col">over noise</th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.key) {
              <tr>
                <td>
                  <strong>{{ row.number }}</strong>
                </td>
                <td>{{ row.fan.name }}</td>
                <td [class.lost]="row.seen.state !== 'seen'">{{ states[row.seen.state] }}</td>
                <td class="mono">{{ row.seen.slantM | figure: 'length' : units() : oneDecimal }}</td>
                <td>
                  @if (row.seen.inWaterColumn) {
                    in the water column
                  } @else {
                    <gk-number
                      [of]="'Where ' + row.fan.name + ' draws fish ' + row.number"
                      [value]="row.seen.drawnM"
                      quantity="length"
                      [decimals]="1"
                      [steps]="row.seen.working"
                    />
                    {{ drawn[row.fan.kind] }}
                  }
                </td>
                <td class="mono">{{ row.seen.trueM | figure: 'length' : units() : oneDecimal }}</td>
                <td class="mono">
                  @if (row.seen.shadowM !== null) {
                    {{ row.seen.shadowM[0] | figure: 'length' : units() : oneDecimal }}
                  } @else {
                    <span class="faint">none</span>
                  }
                </td>
                <td class="mono">{{ row.seen.snrDb | figure: 'level' : units() }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <p class="small faint">
        A side-scan and a down fan show it as the boat passes; over a flat bottom. The dark mark on the bottom is its
        shadow: the further it lies behind the echo, the higher the fish stands.
      </p>
    }
  `,
  styles: `
    .wide {
      margin-top: 10px;
    }
    .lost {
      color: var(--check);
      font-weight: 700;
    }
  `,
})
export class FansTable {
  readonly plan = input.required<Plan>();
  readonly depthM = input.required<number>();
  readonly units = input.required<UnitChoice>();
  readonly fish = input.required<Readonly<Record<string, PlacedFish>>>();

  protected readonly states = stateWords;
  protected readonly drawn = drawnWords;
  protected readonly oneDecimal = { decimals: 1 };
  protected readonly rows = computed(() => {
    const fans = fansAt(this.plan(), this.depthM(), this.fish()) ?? [];
    const ids = Object.keys(this.fish()).sort();
    return ids.flatMap((id, i) =>
      fans.flatMap((fan) => {
        const seen = fan.seen[id];
        return seen ? [{ key: `${id} ${fan.id}`, number: i + 1, fan, seen }] : [];
      }),
    );
  });
}
