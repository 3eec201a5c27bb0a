import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { fittedStations, keySchoolsOf, type KeySchool } from '@grey-keel/core';
import type { FittedDisplay } from '@grey-keel/model';
import { openBoat } from '../open-boat.ts';
import { DisplayFront } from '../../shared/display-front.ts';
import { keysInWords } from '../../shared/key-cap.ts';
import { KeyList } from '../../shared/key-list.ts';
import { PressButton } from '../../shared/press-button.ts';
import { KeyProposal } from './key-proposal.ts';

const schoolWords: Readonly<Record<KeySchool, string>> = {
  'frequent short': 'Quick for what is done often; a long press guards what is done seldom.',
  'frequent long': 'Nothing frequent happens by a brush of the hand; each change takes a moment longer.',
};

@Component({
  selector: 'gk-keys-page',
  imports: [DisplayFront, KeyList, KeyProposal, PressButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (one of fitted(); track one.id) {
      <section class="sheet" [attr.aria-labelledby]="'keys-of-' + one.id">
        <div class="row head">
          <h2 [id]="'keys-of-' + one.id">{{ one.station.name }}</h2>
          <span class="small faint">{{ one.display.name }}: {{ inWords(one.display) }}</span>
        </div>
        @if (one.display.keysBindTo === 'place' && one.display.keys > 0) {
          <p class="small">
            These keys open whatever page stands at a place of the list. Adding or moving a page shifts them; a finding
            says so.
          </p>
        }
        <div class="both">
          <gk-display-front [display]="one.display" (pressed)="toKey(one.id, $event)" />
          <!-- The first display at once; a list costs more than all else here, so the others follow once that is on the glass. -->
          @if ($first) {
            <gk-key-list [plan]="plan()" [stationId]="one.id" />
          } @else {
            @defer (on timer(300ms)) {
              <gk-key-list [plan]="plan()" [stationId]="one.id" />
            } @placeholder {
              <div class="to-come"></div>
            }
          }
        </div>
        @if (one.display.keys > 0) {
          <div class="row schools" role="group" [attr.aria-label]="'Proposals for ' + one.station.name">
            @for (school of schoolsOf(one.display); track school) {
              <div>
                <button
                  type="button"
                  pButton
                  severity="secondary"
                  (click)="propose(one.id, school)"
                  [attr.aria-pressed]="proposed()?.stationId === one.id && proposed()?.school === school"
                  [attr.aria-label]="'Propose: ' + school + ', ' + one.station.name"
                >
                  Propose: {{ school }}
                </button>
                <p class="small faint">{{ words[school] }}</p>
              </div>
            }
          </div>
        }
        @if (proposed(); as it) {
          @if (it.stationId === one.id) {
            <gk-key-proposal [stationId]="one.id" [school]="it.school" (done)="proposed.set(null)" />
          }
        }
      </section>
    } @empty {
      <section class="sheet">
        <p>No station has a display yet, so there are no keys to give a meaning.</p>
        <p><a routerLink="../pages">Choose displays first</a></p>
      </section>
    }
    <p class="caution" role="note">
      Hold position and standby do not belong one slip from a key pressed without looking. Never start transmitting out
      of the water, or at swimmers and divers. The makers' instructions come first.
    </p>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .head {
      align-items: baseline;
      margin-bottom: 8px;
    }
    .both {
      display: grid;
      grid-template-columns: 172px minmax(0, 1fr);
      gap: 16px;
      margin-top: 8px;
    }
    gk-key-list {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(208px, 1fr));
      align-content: start;
      gap: 6px 12px;
    }
    @media (max-width: 760px) {
      .both {
        grid-template-columns: minmax(0, 1fr);
      }
    }
    .schools {
      margin-top: 8px;
      align-items: start;
    }
    .schools > div {
      max-width: 320px;
    }
  `,
})
export class KeysPage {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly fitted = computed(() => fittedStations(this.plan()));
  protected readonly schoolsOf = keySchoolsOf;
  /** What is shown before anything is put on a key. */
  protected readonly proposed = signal<{ readonly stationId: string; readonly school: KeySchool } | null>(null);
  protected readonly words = schoolWords;

  protected inWords(display: FittedDisplay): string {
    if (display.keys === 0) return keysInWords(display);
    const press = display.pressesPerKey > 1 ? 'short and long press' : 'one press';
    const to = display.keysBindTo === 'place' ? 'a place in the list' : 'the page itself';
    return `${keysInWords(display)}, ${press}, bound to ${to}`;
  }

  /** A key pressed in the drawing leads to what it does. */
  protected toKey(stationId: string, number: number): void {
    document.getElementById(`key-${stationId}-${number}-short`)?.focus();
  }

  protected propose(stationId: string, school: KeySchool): void {
    this.proposed.set({ stationId, school });
  }
}
