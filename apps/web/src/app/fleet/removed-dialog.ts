import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, effect, inject, model, output, untracked } from '@angular/core';
import type { RemovedBoat } from '@grey-keel/model';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Message } from 'primeng/message';
import { TableModule } from 'primeng/table';
import { RemovedBoats } from './removed-boats.ts';

/** The boats that were deleted, the last one first, each with a way to have it back. */
@Component({
  selector: 'gk-removed-dialog',
  providers: [RemovedBoats],
  imports: [Button, DatePipe, Dialog, Message, TableModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog
      header="Deleted boats"
      [visible]="open()"
      (visibleChange)="open.set($event)"
      [modal]="true"
      [dismissableMask]="true"
      [draggable]="false"
      [resizable]="false"
      [style]="{ width: 'min(620px, 96vw)' }"
    >
      @if (problem(); as words) {
        <p-message severity="error">{{ words }}</p-message>
      }
      @if (list(); as boats) {
        <p-table [value]="$any(boats)" [tableStyle]="{ 'min-width': '100%' }">
          <ng-template #header>
            <tr>
              <th scope="col">Boat</th>
              <th scope="col">Deleted</th>
              <th scope="col"><span class="hidden-label">Restore</span></th>
            </tr>
          </ng-template>
          <ng-template #body let-boat>
            <tr>
              <td>{{ boat.name }}</td>
              <td>{{ boat.removedAt | date: 'd MMM y, HH:mm' }}</td>
              <td class="acts">
                <p-button
                  label="Restore"
                  severity="secondary"
                  [ariaLabel]="'Restore ' + boat.name"
                  (onClick)="restore(boat)"
                />
              </td>
            </tr>
          </ng-template>
          <ng-template #emptymessage>
            <tr>
              <td colspan="3">No boat was deleted.</td>
            </tr>
          </ng-template>
        </p-table>
      } @else {
        <p role="status">Fetching them.</p>
      }
    </p-dialog>
  `,
  styles: `
    .acts {
      text-align: right;
    }
  `,
})
export class RemovedDialog {
  private readonly removed = inject(RemovedBoats);
  readonly open = model.required<boolean>();
  readonly wantedBack = output<RemovedBoat>();
  protected readonly list = this.removed.list;
  protected readonly problem = this.removed.problem;

  constructor() {
    effect(() => {
      if (this.open()) untracked(() => this.removed.fetch());
    });
  }

  protected restore(boat: RemovedBoat): void {
    this.wantedBack.emit(boat);
    this.open.set(false);
  }
}
