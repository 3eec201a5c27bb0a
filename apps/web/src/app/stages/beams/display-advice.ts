import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { fitDisplayEdits, judgeDisplays } from '@grey-keel/core';
import { Store } from '@ngrx/store';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { PressButton } from '../../shared/press-button.ts';
import { Wide } from '../../shared/wide.ts';
import { catalogueFeature } from '../../state/catalogue.ts';
import { openBoat } from '../open-boat.ts';

/** Which displays can drive what is aboard, be read from each station, and have keys enough. */
@Component({
  selector: 'gk-display-advice',
  imports: [ComputedNumber, PressButton, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="displays-title">Displays</h2>
    @for (station of stations(); track station.stationId) {
      <h3>{{ station.station }}</h3>
      <div gkWide>
        <table class="figures" [attr.aria-label]="'Displays for ' + station.station">
          <thead>
            <tr>
              <th scope="col">Display</th>
              <th scope="col">drives</th>
              <th scope="col">by a module</th>
              <th scope="col">readable digit, of its height</th>
              <th scope="col">presses for {{ ways() }} ways</th>
              <th scope="col">needs</th>
              <th scope="col"><span class="hidden-label">Choose</span></th>
            </tr>
          </thead>
          <tbody>
            @for (one of station.displays; track one.id) {
              <tr>
                <td>{{ one.name }}</td>
                <td class="mono">{{ one.drives }} of {{ one.known }}</td>
                <td class="mono">{{ one.byModule }}</td>
                <td>
                  @if (one.digitShare !== null) {
                    <gk-number
                      [of]="'Readable digit on ' + one.name + ', ' + station.station"
                      [value]="one.digitShare"
                      quantity="fraction"
                      [steps]="one.digitWorking"
                    />
                  } @else {
                    <span class="is-missing">distance?</span>
                  }
                </td>
                <td class="mono">{{ one.presses || 'glass' }}</td>
                <td [class.requirements]="one.requirements.length">{{ one.requirements.join('; ') || 'nothing' }}</td>
                <td>
                  @if (isFitted(station.stationId, one.id)) {
                    <span class="small faint">chosen</span>
                  } @else {
                    <button
                      type="button"
                      pButton
                      text
                      class="small"
                      [attr.aria-label]="'Choose ' + one.name + ' for ' + station.station"
                      (click)="choose(station.stationId, one.id)"
                    >
                      Choose
                    </button>
                  }
                </td>
              </tr>
            } @empty {
              <tr>
                <td colspan="7">The catalogue has no display.</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
    } @empty {
      <p class="faint">Say in the brief where screens are looked at.</p>
    }
  `,
  styles: `
    h3 {
      margin: 8px 0 2px;
    }
    td.mono {
      white-space: nowrap;
    }
    .requirements {
      color: var(--check);
    }
  `,
})
export class DisplayAdvice {
  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  private readonly catalogue = inject(Store).selectSignal(catalogueFeature.selectAll);
  protected readonly stations = computed(() => judgeDisplays(this.plan(), this.catalogue()));
  protected isFitted(stationId: string, entryId: string): boolean {
    return this.plan().displays[stationId]?.catalogue?.entryId === entryId;
  }

  protected choose(stationId: string, entryId: string): void {
    const entry = this.catalogue().find(({ id }) => id === entryId);
    if (entry) this.open.edits.edit('fit a display', ...fitDisplayEdits(this.plan(), stationId, entry));
  }

  protected readonly ways = computed(() => this.stations()[0]?.displays[0]?.ways ?? 0);
}
