import { inject, Injectable, signal } from '@angular/core';
import type { BackupEntry, RestoredBackup } from '@grey-keel/model';
import { firstValueFrom } from 'rxjs';
import { problemOf } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { saveFile } from '../shared/save-file.ts';

/** The server's backups: the list, and what is done with it, one thing at a time. */
@Injectable()
export class Backups {
  private readonly api = inject(ServerApi);
  readonly list = signal<BackupEntry[]>([]);
  readonly problem = signal<string | null>(null);
  readonly working = signal(false);

  fetch(): Promise<boolean> {
    return this.trying(async () => this.list.set(await firstValueFrom(this.api.backups())));
  }

  make(): Promise<boolean> {
    return this.trying(async () => this.list.set(await firstValueFrom(this.api.makeBackup())));
  }

  download(day: string): Promise<boolean> {
    return this.trying(async () => saveFile(await firstValueFrom(this.api.backup()), `grey-keel-${day}.sqlite`));
  }

  /** What a restore ended; null where it failed. */
  async restore({ name }: BackupEntry): Promise<RestoredBackup | null> {
    let ended: RestoredBackup | null = null;
    await this.trying(async () => {
      ended = await firstValueFrom(this.api.restoreBackup(name));
    });
    return ended;
  }

  /** Whether it went well; if not, the problem says why. */
  private async trying(work: () => Promise<void>): Promise<boolean> {
    this.working.set(true);
    this.problem.set(null);
    try {
      await work();
      return true;
    } catch (error) {
      this.problem.set(problemOf(error).detail);
      return false;
    } finally {
      this.working.set(false);
    }
  }
}
