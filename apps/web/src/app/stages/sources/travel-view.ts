import { ChangeDetectionStrategy, Component, computed, linkedSignal, signal } from '@angular/core';
import { changesWith, inOrder, whatTravels } from '@grey-keel/core';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { Wide } from '../../shared/wide.ts';
import { openBoat } from '../open-boat.ts';
import { PressButton } from '../../shared/press-button.ts';

/** What a change at one station changes at the others: as a table, and by turning a knob. */
@Component({
  selector: 'gk-travel-view',
  imports: [ChoiceField, PressButton, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="travels-title">5 What travels, and what stays</h2>
    @if (settings().length) {
      <p class="small faint">
        Facts of the displays' makes. A setting travels between two displays that both pass it on; all others belong to
        the display they are set on.
      </p>
      <div gkWide>
        <table class="figures" aria-label="Which settings travel between which stations">
          <thead>
            <tr>
              <th scope="col">Setting</th>
              @for (station of stations(); track station.id) {
                <th scope="col">{{ station.name }}</th>
              }
            </tr>
          </thead>
          <tbody>
            @for (row of settings(); track row.setting) {
              <tr>
                <th scope="row">{{ row.setting }}</th>
                @for (station of stations(); track station.id) {
                  <td [class.shared]="row.shared.includes(station.id)">
                    {{
                      row.shared.includes(station.id)
                        ? 'travels'
                        : row.unknown.includes(station.id)
                          ? 'not known'
                          : 'its own'
                    }}
                  </td>
                }
              </tr>
            }
          </tbody>
        </table>
      </div>
      <h3>Try a setting</h3>
      <div class="fields">
        <gk-choice-field
          label="Setting"
          fieldId="knob-setting"
          [value]="setting()"
          [choices]="settingChoices()"
          (changed)="setting.set($event)"
        />
      </div>
      <div class="screens" aria-live="polite">
        @for (screen of screens(); track screen.id) {
          <div class="screen" [class.changed]="screen.changed">
            <span class="small">{{ screen.name }}</span>
            <strong class="mono">{{ screen.value }}</strong>
            <span class="row">
              <button
                type="button"
                pButton
                severity="secondary"
                [id]="'knob-down-' + screen.id"
                [attr.aria-label]="'Turn ' + setting() + ' down at ' + screen.name"
                (click)="turn(screen.id, -1)"
              >
                -
              </button>
              <button
                type="button"
                pButton
                severity="secondary"
                [id]="'knob-up-' + screen.id"
                [attr.aria-label]="'Turn ' + setting() + ' up at ' + screen.name"
                (click)="turn(screen.id, 1)"
              >
                +
              </button>
            </span>
          </div>
        }
      </div>
      @if (told()) {
        <p role="status">{{ told() }}</p>
      }
    } @else {
      <p class="faint">
        Nothing is known of the displays aboard: take them from the catalogue on Pages, which knows what travels.
      </p>
    }
  `,
  styles: `
    th[scope='row'] {
      text-align: left;
      color: var(--ink);
    }
    td.shared {
      color: var(--water);
      font-weight: 700;
    }
    h3 {
      margin: 10px 0 4px;
    }
    .screens {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
      gap: 12px;
      margin: 10px 0;
    }
    .screen {
      display: grid;
      gap: 6px;
      justify-items: center;
      padding: 12px;
      border: 2px solid var(--hull);
    }
    .screen.changed {
      border-color: var(--water);
      background: var(--water-wash);
    }
    .screen strong {
      font-size: 24px;
    }
    .screen .p-button {
      min-width: 56px;
    }
  `,
})
export class TravelView {
  private readonly plan = openBoat().plan;
  protected readonly settings = computed(() => whatTravels(this.plan()));
  protected readonly stations = computed(() =>
    inOrder(this.plan().displays).map(([id]) => ({ id, name: this.plan().stations[id]?.name ?? id })),
  );
  protected readonly settingChoices = computed(() => choicesOf(this.settings().map(({ setting }) => setting)));
  protected readonly setting = linkedSignal(() => this.settings()[0]?.setting ?? '');
  /** What the drawn screens stand at: for looking only, nothing of it is kept. Back to the middle with another setting. */
  private readonly values = linkedSignal<string, Readonly<Record<string, number>>>({
    source: () => this.setting(),
    computation: () => ({}),
  });
  private readonly changed = linkedSignal<string, readonly string[]>({
    source: () => this.setting(),
    computation: () => [],
  });
  protected readonly told = signal('');
  protected readonly screens = computed(() =>
    this.stations().map(({ id, name }) => ({
      id,
      name,
      value: this.values()[id] ?? 5,
      changed: this.changed().includes(id),
    })),
  );

  protected turn(stationId: string, by: number): void {
    const moved = changesWith(this.plan(), this.setting(), stationId);
    const to = Math.min(9, Math.max(1, (this.values()[stationId] ?? 5) + by));
    this.values.update((before) => ({ ...before, ...Object.fromEntries(moved.map((id) => [id, to])) }));
    this.changed.set(moved);
    const name = (id: string): string => this.plan().stations[id]?.name ?? id;
    const others = moved.filter((id) => id !== stationId).map(name);
    this.told.set(
      others.length
        ? `${name(stationId)} was turned; ${others.join(' and ')} followed.`
        : `${name(stationId)} was turned; no other display changed.`,
    );
  }
}
