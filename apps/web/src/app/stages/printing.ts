import { inject, Injectable, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { filter, firstValueFrom, race, timer } from 'rxjs';
import { problemOf } from '../api/problem.ts';
import { ServerApi, type PrintedSheet } from '../api/server-api.ts';
import { fileNameOf, saveFile } from '../shared/save-file.ts';
import { selectBoatId, selectUnsent } from '../state/plan.selectors.ts';
import { openBoat } from './open-boat.ts';

export type Paper = 'A4' | 'LETTER';

/** How long what was typed may take to reach the server before it is said that it does not. */
const patienceMs = 5000;

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

  private async save(ending: string, make: (boatId: string) => Promise<Blob>): Promise<boolean> {
    const boatId = this.boatId();
    if (boatId === null) return false;
    this.busy.set(true);
    this.message.set('');
    try {
      const sent = this.store.select(selectUnsent).pipe(filter((unsent) => unsent.length === 0));
      if ((await firstValueFrom(race(sent, timer(patienceMs)))) === 0) {
        this.message.set(
          'The newest changes have not reached the server, so nothing was printed. Start it again and try once more; nothing typed is lost.',
        );
        return false;
      }
      saveFile(await make(boatId), fileNameOf(this.open.plan().boat.name, ending));
      return true;
    } catch (error) {
      this.message.set(problemOf(error).detail);
      return false;
    } finally {
      this.busy.set(false);
    }
  }
}
