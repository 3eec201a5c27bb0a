import { inject, Injectable, signal } from '@angular/core';
import { largestPhotographBytes, mostPhotographs, photographPx } from '@grey-keel/model';
import { firstValueFrom } from 'rxjs';
import { problemOf } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { shrinkPicture } from '../shared/shrink-picture.ts';
import { newId } from '../state/open-plan.ts';
import { openBoat } from './open-boat.ts';

/** Takes photographs in: each is made smaller here and stored before the boat speaks of it. */
@Injectable()
export class Photographs {
  private readonly open = openBoat();
  private readonly api = inject(ServerApi);
  /** How many are still to be stored. */
  readonly waiting = signal(0);
  readonly message = signal('');

  async add(files: readonly File[]): Promise<void> {
    this.message.set('');
    const room = mostPhotographs - Object.keys(this.open.plan().photographs ?? {}).length;
    if (files.length > room)
      this.message.set(
        `A boat has up to ${mostPhotographs} photographs: of these ${files.length} there is room for ${room}.`,
      );
    const taken = files.slice(0, room);
    this.waiting.set(taken.length);
    for (const file of taken) {
      await this.addOne(file);
      this.waiting.update((left) => left - 1);
    }
  }

  private async addOne(file: File): Promise<void> {
    const shrunk = await shrinkPicture(file, photographPx, largestPhotographBytes).catch(() => null);
    if (!shrunk) {
      this.message.set(`"${file.name}" cannot be read as a picture. Choose a JPEG or PNG.`);
      return;
    }
    const id = newId();
    const { picture, widthPx, heightPx } = shrunk;
    try {
      await firstValueFrom(this.api.storePhotograph(id, picture));
    } catch (error) {
      this.message.set(`"${file.name}" was not stored: ${problemOf(error).detail}`);
      return;
    }
    const photograph = { caption: '', widthPx, heightPx, at: new Date().toISOString() };
    this.open.edits.edit('add a photograph', { type: 'putPhotograph', id, photograph });
  }
}
