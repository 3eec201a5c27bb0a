import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type { UnitChoice } from '@grey-keel/core/units';
import {
  backupsSchema,
  catalogueEntrySchema,
  fleetEntrySchema,
  importedBundleSchema,
  keptRevisionSchema,
  openedBoatSchema,
  revisionSchema,
  type BackupEntry,
  type CatalogueEntry,
  type CatalogueImport,
  type CatalogueItem,
  type FleetEntry,
  type ImportedBundle,
  type KeptRevision,
  type OpenedBoat,
  type Revision,
  type RevisionRequest,
} from '@grey-keel/model';
import { map, type Observable } from 'rxjs';
import * as z from 'zod';

/** What is printed: the dash cards, a sheet a station, or the report on one. */
export type PrintedSheet = 'card' | 'report' | 'shopping' | 'wiring';

/** The server's doors, each answer checked against its schema. */
@Injectable({ providedIn: 'root' })
export class ServerApi {
  private readonly http = inject(HttpClient);

  fleet(): Observable<FleetEntry[]> {
    return this.http.get('api/boats').pipe(map((body) => z.array(fleetEntrySchema).parse(body)));
  }

  open(id: string): Observable<OpenedBoat> {
    return this.http.get(`api/boats/${id}`).pipe(map((body) => openedBoatSchema.parse(body)));
  }

  make(id: string, name: string): Observable<OpenedBoat> {
    return this.http.put(`api/boats/${id}`, { name }).pipe(map((body) => openedBoatSchema.parse(body)));
  }

  copy(from: string, id: string, name: string): Observable<OpenedBoat> {
    return this.http.post(`api/boats/${from}/copy`, { id, name }).pipe(map((body) => openedBoatSchema.parse(body)));
  }

  remove(id: string): Observable<unknown> {
    return this.http.delete(`api/boats/${id}`);
  }

  recall(id: string): Observable<OpenedBoat> {
    return this.http.post(`api/boats/${id}/recall`, null).pipe(map((body) => openedBoatSchema.parse(body)));
  }

  send(id: string, request: RevisionRequest): Observable<KeptRevision> {
    return this.http.post(`api/boats/${id}/revisions`, request).pipe(map((body) => keptRevisionSchema.parse(body)));
  }

  revisionsSince(id: string, number: number): Observable<Revision[]> {
    return this.http
      .get(`api/boats/${id}/revisions`, { params: { since: number } })
      .pipe(map((body) => z.array(revisionSchema).parse(body)));
  }

  catalogue(): Observable<CatalogueEntry[]> {
    return this.http.get('api/catalogue').pipe(map((body) => z.array(catalogueEntrySchema).parse(body)));
  }

  importCatalogue(items: CatalogueImport['items']): Observable<CatalogueEntry[]> {
    return this.http.post('api/catalogue', { items }).pipe(map((body) => z.array(catalogueEntrySchema).parse(body)));
  }

  putInCatalogue(id: string, item: CatalogueItem): Observable<CatalogueEntry> {
    return this.http.put(`api/catalogue/${id}`, item).pipe(map((body) => catalogueEntrySchema.parse(body)));
  }

  /** The file is sent as it is: the server judges it. */
  importBundle(id: string, text: string): Observable<ImportedBundle> {
    return this.http
      .put(`api/bundles/${id}`, text, { headers: { 'content-type': 'application/json' } })
      .pipe(map((body) => importedBundleSchema.parse(body)));
  }

  bundle(id: string): Observable<Blob> {
    return this.http.get(`api/boats/${id}/bundle`, { responseType: 'blob' });
  }

  backups(): Observable<BackupEntry[]> {
    return this.http.get('api/backups').pipe(map((body) => backupsSchema.parse(body)));
  }

  makeBackup(): Observable<BackupEntry[]> {
    return this.http.post('api/backups', null).pipe(map((body) => backupsSchema.parse(body)));
  }

  restoreBackup(name: string): Observable<unknown> {
    return this.http.post(`api/backups/${name}/restore`, null);
  }

  backup(): Observable<Blob> {
    return this.http.get('api/backup', { responseType: 'blob' });
  }

  printed(id: string, sheet: PrintedSheet, units: UnitChoice, paper: 'A4' | 'LETTER'): Observable<Blob> {
    return this.http.get(`api/boats/${id}/${sheet}.pdf`, { params: { ...units, paper }, responseType: 'blob' });
  }
}
