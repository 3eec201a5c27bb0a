import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { actionInWords, bindFreeKeys, bindProposal, changedKeys, proposeKeys, type KeySchool } from '@grey-keel/core';
import type { Edit, KeyAction } from '@grey-keel/model';
import { PressButton } from '../../shared/press-button.ts';
import { openBoat } from '../open-boat.ts';

/** What a proposal would put on which key, beside what is there now: nothing is changed until it is taken. */
@Component({
  selector: 'gk-key-proposal',
  imports: [PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (changed().length) {
      <table class="figures" [attr.aria-label]="'Proposed: ' + school()">
        <thead>
          <tr>
            <th scope="col">Key</th>
            <th scope="col">press</th>
            <th scope="col">now</th>
            <th scope="col">proposed</th>
          </tr>
        </thead>
        <tbody>
          @for (one of changed(); track one.slot) {
            <tr [attr.data-slot]="one.slot">
              <th scope="row" class="mono">{{ one.key }}</th>
              <td>{{ one.press }}</td>
              <td [class.lost]="one.now !== null">{{ words(one.now) }}</td>
              <td>
                <strong>{{ words(one.then) }}</strong>
              </td>
            </tr>
          }
        </tbody>
      </table>
      <div class="row">
        <button type="button" pButton id="take-proposal" (click)="take(all())">
          {{ lost() ? 'Put all of it on the keys, over what is there' : 'Put it on the keys' }}
        </button>
        @if (lost() && free().length) {
          <button type="button" pButton severity="secondary" id="take-free" (click)="take(free())">
            Only on the free keys
          </button>
        }
        <button type="button" pButton severity="secondary" (click)="done.emit()">Leave them as they are</button>
      </div>
    } @else {
      <p class="small" role="status">The keys are as this proposal has them.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      margin-top: 8px;
    }
    table {
      max-width: 620px;
    }
    th,
    td {
      text-align: left !important;
    }
    .lost {
      text-decoration: line-through;
    }
  `,
})
export class KeyProposal {
  readonly stationId = input.required<string>();
  readonly school = input.required<KeySchool>();
  /** It was taken, or left. */
  readonly done = output();
  private readonly open = openBoat();
  private readonly proposal = computed(() => proposeKeys(this.open.plan(), this.stationId(), this.school()));
  protected readonly changed = computed(() => changedKeys(this.open.plan(), this.stationId(), this.proposal()));
  protected readonly lost = computed(() => this.changed().some(({ now }) => now !== null));
  protected readonly free = computed(() => bindFreeKeys(this.open.plan(), this.stationId(), this.proposal()));
  protected readonly all = computed(() => bindProposal(this.open.plan(), this.stationId(), this.proposal()));

  protected words(action: KeyAction | null): string {
    return action ? actionInWords(this.open.plan(), action) : 'nothing';
  }

  protected take(edits: readonly Edit[]): void {
    this.open.edits.edit(`keys, ${this.school()}`, ...edits);
    this.done.emit();
  }
}
