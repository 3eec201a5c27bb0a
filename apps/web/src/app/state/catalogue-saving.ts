import { inject, Injectable } from '@angular/core';
import type { CatalogueEntry, CatalogueImport, CatalogueItem } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { ServerApi } from '../api/server-api.ts';
import { catalogueServerEvents } from './catalogue.ts';

/** Puts entries into the shop's catalogue, at the server and in the list; whoever asks waits for the answer. */
@Injectable({ providedIn: 'root' })
export class CatalogueSaving {
  private readonly api = inject(ServerApi);
  private readonly store = inject(Store);

  async one(id: string, item: CatalogueItem): Promise<CatalogueEntry> {
    const entry = await firstValueFrom(this.api.putInCatalogue(id, item));
    this.store.dispatch(catalogueServerEvents.entriesSaved({ entries: [entry] }));
    return entry;
  }

  /** Those that were not there already, as they were saved. */
  async many(items: CatalogueImport['items']): Promise<readonly CatalogueEntry[]> {
    const entries = await firstValueFrom(this.api.importCatalogue(items));
    this.store.dispatch(catalogueServerEvents.entriesSaved({ entries }));
    return entries;
  }
}
