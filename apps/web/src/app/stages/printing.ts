import { inject, Injectable, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { problemOf } from '../api/problem.ts';
import { ServerApi, type PrintedSheet } from '../api/server-api.ts';
import { fileNameOf, saveFile } from '../shared/save-file.ts';
import { selectBoatId, selectUnsent } from '../state/plan.selectors.ts';
import { whenSent } from '../state/when-sent.ts';
import { openBoat } from './open-boat.ts';

export type { PrintedSheet };
export type Paper = 'A4' | 'LETTER';

/** What a view has the server make as a file: it prints what it has kept, so everything typed must have reached it first. */
@Injectable()
export class Printing {
  private readonly open = openBoat();
  private readonly store = inject(Store);
  private readonly api = inject(ServerApi);
  private readonly boatId = this.store.selectSignal(selectBoatId);
  readonly busy = signal(false);
  readonly message = signal('');

  /** Whether the sheet was made and saved; if not, the message says why. */
  sheet(sheet: PrintedSheet, paper: Paper, ending: string = sheet): Promise<boolean> {
    return this.save(`-${ending}.pdf`, (boatId) =>
      firstValueFrom(this.api.printed(boatId, sheet, this.open.units(), paper)),
    );
  }

  bundle(): Promise<boolean> {
    return this.save('.grey-keel.json', (boatId) => firstValueFrom(this.api.bundle(boatId)));
  }

  /** Shows a sheet in a tab of its own, before it is saved or printed. */
  async look(sheet: PrintedSheet, paper: Paper): Promise<void> {
    const boatId = this.boatId();
    if (boatId === null) return;
    // Opened while the press is still answered: later a browser would take it for what nobody asked for.
    const tab = window.open('', '_blank');
    if (!tab) return this.message.set('The browser lets no tab be opened: allow it for this page, or save the file.');
    await this.whenSaved(() => {
      const { href } = new URL(this.api.lookedAt(boatId, sheet, this.open.units(), paper), document.baseURI);
      tab.location.replace(href);
      return Promise.resolve();
    });
    if (this.message() !== '') tab.close();
  }

  private async save(ending: string, make: (boatId: string) => Promise<Blob>): Promise<boolean> {
    const boatId = this.boatId();
    if (boatId === null) return false;
    return this.whenSaved(async () => {
      saveFile(await make(boatId), fileNameOf(this.open.plan().boat.name, ending));
    });
  }

  /** What is made of what the server has: all that was typed must have reached it. */
  private async whenSaved(make: () => Promise<void>): Promise<boolean> {
    this.busy.set(true);
    this.message.set('');
    try {
      if (!(await whenSent(this.store.select(selectUnsent)))) {
        this.message.set(
          'The newest changes have not reached the server, so nothing was printed. Start it again and try once more; nothing typed is lost.',
        );
        return false;
      }
      await make();
      return true;
    } catch (error) {
      this.message.set(problemOf(error).detail);
      return false;
    } finally {
      this.busy.set(false);
    }
  }
}
