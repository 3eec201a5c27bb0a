import { DatePipe, DecimalPipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, model, output, signal } from '@angular/core';
import type { BackupEntry, RestoredBackup } from '@grey-keel/model';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Message } from 'primeng/message';
import { TableModule } from 'primeng/table';
import { Backups } from './backups.ts';

const endedWords = ({ recordings, imports }: RestoredBackup): string =>
  [
    recordings.length
      ? `Restored. It ended what was being recorded: ${recordings.join(', ')}. That stands in what was put aside.`
      : '',
    imports.length ? `Not taken in, for the restore broke it off: ${imports.join(', ')}. Take it in again.` : '',
  ]
    .filter(Boolean)
    .join(' ');

/** The backups of the shop: those made by themselves, one now, one to take away, and going back to one. */
@Component({
  selector: 'gk-backups-dialog',
  providers: [Backups],
  imports: [Button, DatePipe, DecimalPipe, Dialog, Message, TableModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog
      header="Backups of the shop"
      [visible]="open()"
      (visibleChange)="open.set($event)"
      [modal]="true"
      [dismissableMask]="true"
      [draggable]="false"
      [resizable]="false"
      styleClass="backups"
      [style]="{ width: 'min(720px, 96vw)' }"
    >
      <p>
        A backup is made once a day; the last fourteen stay, and the last five of what a restore or an update put aside.
        Each holds every boat and the catalogue. A disk that fails takes them along: keep one elsewhere, too.
      </p>
      @if (ahead(); as count) {
        <p-message severity="warn">
          {{ count === 1 ? 'One of these is' : count + ' of these are' }} dated later than now: the clock was set back,
          or was wrong before. They stay, and one is made each day all the same. Look at the machine’s clock.
        </p-message>
      }
      @if (positions()) {
        <p-message severity="warn">
          Backups marked "with positions" were made before photographs were cleaned, and may still hold where they were
          taken. Give none of them out of the shop; they make room for newer ones by themselves.
        </p-message>
      }
      @if (ended(); as words) {
        <p-message severity="info" styleClass="ended">{{ words }}</p-message>
      }
      <div class="row">
        <p-button label="Back up now" [disabled]="working()" (onClick)="make()" />
        <p-button label="Download a backup" severity="secondary" [disabled]="working()" (onClick)="download()" />
      </div>
      @if (problem(); as words) {
        <p-message severity="error">{{ words }}</p-message>
      }
      @if (wanted(); as one) {
        <p-message severity="warn" styleClass="asking">
          <p>
            Go back to {{ one.at | date: 'd MMM y, HH:mm' }}? Every boat will be as it was then, for everyone. What is
            there now is put aside beside the data, and nothing of it is deleted.
          </p>
          <p-button
            label="Restore this backup"
            severity="danger"
            [disabled]="working()"
            (onClick)="restore(one)"
          />&nbsp;<p-button label="Cancel" severity="secondary" (onClick)="wanted.set(null)" />
        </p-message>
      }
      <p-table [value]="list()" [tableStyle]="{ 'min-width': '100%' }">
        <ng-template #header>
          <tr>
            <th scope="col">Made</th>
            <th scope="col" class="figure">Size</th>
            <th scope="col"><span class="hidden-label">Restore</span></th>
          </tr>
        </ng-template>
        <ng-template #body let-one>
          <tr>
            <td>
              {{ one.at | date: 'EEE d MMM y, HH:mm' }}
              @if (one.kind === 'put aside') {
                <span class="small faint">put aside</span>
              }
              @if (one.isAhead) {
                <span class="small faint">dated ahead</span>
              }
              @if (one.holdsPositions) {
                <span class="small faint">with positions</span>
              }
            </td>
            <td class="figure mono">{{ one.bytes / 1e6 | number: '1.1-1' }} MB</td>
            <td class="figure">
              <p-button
                label="Restore"
                severity="secondary"
                [ariaLabel]="'Restore the backup of ' + (one.at | date: 'd MMM y, HH:mm')"
                [disabled]="working()"
                (onClick)="wanted.set(one)"
              />
            </td>
          </tr>
        </ng-template>
        <ng-template #emptymessage>
          <tr>
            <td colspan="3">
              None yet. The first is made when the program has run for a moment; or press "Back up now".
            </td>
          </tr>
        </ng-template>
      </p-table>
    </p-dialog>
  `,
  styles: `
    .row {
      display: flex;
      gap: 8px;
      margin: 8px 0;
    }
    .figure {
      text-align: right;
    }
  `,
})
export class BackupsDialog {
  private readonly backups = inject(Backups);
  readonly open = model.required<boolean>();
  readonly restored = output();
  protected readonly list = this.backups.list;
  protected readonly problem = this.backups.problem;
  protected readonly working = this.backups.working;
  protected readonly ahead = computed(() => this.list().filter(({ isAhead }) => isAhead).length);
  protected readonly positions = computed(() => this.list().some(({ holdsPositions }) => holdsPositions));
  protected readonly ended = signal('');
  protected readonly wanted = signal<BackupEntry | null>(null);

  constructor() {
    effect(() => {
      if (!this.open()) return;
      this.wanted.set(null);
      this.ended.set('');
      void this.backups.fetch();
    });
  }

  protected make(): void {
    void this.backups.make();
  }

  protected download(): void {
    void this.backups.download(new Date().toISOString().slice(0, 10));
  }

  protected async restore(one: BackupEntry): Promise<void> {
    const ended = await this.backups.restore(one);
    if (!ended) return;
    this.wanted.set(null);
    this.ended.set(endedWords(ended));
    // What was ended by it has to be read first.
    this.open.set(this.ended() !== '');
    if (this.open()) void this.backups.fetch();
    this.restored.emit();
  }
}
