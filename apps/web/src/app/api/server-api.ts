import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type { UnitChoice } from '@grey-keel/core/units';
import {
  backupsSchema,
  catalogueEntrySchema,
  fleetPageSchema,
  importedBundleSchema,
  instrumentsSchema,
  savedRevisionSchema,
  openedBoatSchema,
  type Plan,
  planSchema,
  recordingPartSchema,
  recordingSchema,
  recordingsSchema,
  revisionSchema,
  type BackupEntry,
  type CatalogueEntry,
  type CatalogueImport,
  type CatalogueItem,
  type FleetPage,
  type FleetQuery,
  type HelmState,
  type OverTheSide,
  overTheSideSchema,
  removedBoatSchema,
  restoredSchema,
  type RemovedBoat,
  type RestoredBackup,
  type ImportedBundle,
  type Instruments,
  type InstrumentSource,
  type SavedRevision,
  type NewBoat,
  type OpenedBoat,
  type Recording,
  type RecordingPart,
  type RecordingQuery,
  type Revision,
  type RevisionRequest,
} from '@grey-keel/model';
import { map, type Observable, type OperatorFunction } from 'rxjs';
import * as z from 'zod';
import { misunderstood } from './problem.ts';
import { sendFile, type Sending } from './send-file.ts';

/** What is printed: the dash cards, a sheet a station, the report on one, and the lists for the shop and the boat. */
export type PrintedSheet = 'card' | 'report' | 'shopping' | 'wiring' | 'aboard' | 'photographs';

/** An answer as its schema has it. */
const as = <T>(schema: z.ZodType<T>): OperatorFunction<unknown, T> =>
  map((body) => {
    const answer = schema.safeParse(body);
    if (!answer.success) throw misunderstood();
    return answer.data;
  });

/** The server's doors, each answer checked against its schema. */
@Injectable({ providedIn: 'root' })
export class ServerApi {
  private readonly http = inject(HttpClient);

  fleet(query: Partial<FleetQuery>): Observable<FleetPage> {
    return this.http.get('api/boats', { params: query }).pipe(as(fleetPageSchema));
  }

  open(id: string): Observable<OpenedBoat> {
    return this.http.get(`api/boats/${id}`).pipe(as(openedBoatSchema));
  }

  make(id: string, boat: NewBoat): Observable<OpenedBoat> {
    return this.http.put(`api/boats/${id}`, boat).pipe(as(openedBoatSchema));
  }

  copy(from: string, id: string, name: string, practice = false): Observable<OpenedBoat> {
    const use = practice ? { practice: true } : {};
    return this.http.post(`api/boats/${from}/copy`, { id, name, ...use }).pipe(as(openedBoatSchema));
  }

  remove(id: string): Observable<unknown> {
    return this.http.delete(`api/boats/${id}`);
  }

  removedBoats(): Observable<RemovedBoat[]> {
    return this.http.get('api/removed-boats').pipe(as(z.array(removedBoatSchema)));
  }

  recall(id: string): Observable<OpenedBoat> {
    return this.http.post(`api/boats/${id}/recall`, null).pipe(as(openedBoatSchema));
  }

  send(id: string, request: RevisionRequest): Observable<SavedRevision> {
    return this.http.post(`api/boats/${id}/revisions`, request).pipe(as(savedRevisionSchema));
  }

  /** The boat as it was at a revision. */
  planAt(id: string, number: number): Observable<Plan> {
    return this.http.get(`api/boats/${id}/revisions/${number}`).pipe(as(planSchema));
  }

  storePhotograph(id: string, picture: Blob): Observable<unknown> {
    return this.http.put(`api/photographs/${id}`, picture, { headers: { 'Content-Type': 'image/jpeg' } });
  }

  revisionsSince(id: string, number: number): Observable<Revision[]> {
    return this.http.get(`api/boats/${id}/revisions`, { params: { since: number } }).pipe(as(z.array(revisionSchema)));
  }

  putInstrument(id: string, source: InstrumentSource): Observable<Instruments> {
    return this.http.put(`api/instruments/sources/${id}`, source).pipe(as(instrumentsSchema));
  }

  openInstrument(id: string, open: boolean): Observable<Instruments> {
    return this.http.post(`api/instruments/sources/${id}/open`, { open }).pipe(as(instrumentsSchema));
  }

  removeInstrument(id: string): Observable<Instruments> {
    return this.http.delete(`api/instruments/sources/${id}`).pipe(as(instrumentsSchema));
  }

  overTheSide(): Observable<OverTheSide> {
    return this.http.get('api/instruments/over-the-side').pipe(as(overTheSideSchema));
  }

  steer(helm: HelmState): Observable<Instruments> {
    return this.http.put('api/instruments/helm', helm).pipe(as(instrumentsSchema));
  }

  recordings(): Observable<Recording[]> {
    return this.http.get('api/recordings').pipe(as(recordingsSchema));
  }

  /** Sent as it is; how far it has come is told as it goes, and whoever stops listening stops the sending. */
  importRecording(id: string, name: string, file: Blob): Observable<Sending> {
    return sendFile(`api/recordings/${id}?${new URLSearchParams({ name }).toString()}`, file);
  }

  record(id: string, name: string): Observable<Recording> {
    return this.http.post(`api/recordings/${id}/record`, { name }).pipe(as(recordingSchema));
  }

  stopRecording(id: string): Observable<Recording> {
    return this.http.post(`api/recordings/${id}/stop`, null).pipe(as(recordingSchema));
  }

  removeRecording(id: string): Observable<unknown> {
    return this.http.delete(`api/recordings/${id}`);
  }

  recallRecording(id: string): Observable<unknown> {
    return this.http.post(`api/recordings/${id}/recall`, null);
  }

  recordingPart(id: string, query: Partial<RecordingQuery>): Observable<RecordingPart> {
    return this.http.get(`api/recordings/${id}/part`, { params: query }).pipe(as(recordingPartSchema));
  }

  catalogue(): Observable<CatalogueEntry[]> {
    return this.http.get('api/catalogue').pipe(as(z.array(catalogueEntrySchema)));
  }

  importCatalogue(items: CatalogueImport['items']): Observable<CatalogueEntry[]> {
    return this.http.post('api/catalogue', { items }).pipe(as(z.array(catalogueEntrySchema)));
  }

  putInCatalogue(id: string, item: CatalogueItem): Observable<CatalogueEntry> {
    return this.http.put(`api/catalogue/${id}`, item).pipe(as(catalogueEntrySchema));
  }

  /** The file is sent as it is: the server judges it. */
  importBundle(id: string, text: string): Observable<ImportedBundle> {
    return this.http
      .put(`api/bundles/${id}`, text, { headers: { 'content-type': 'application/json' } })
      .pipe(as(importedBundleSchema));
  }

  bundle(id: string): Observable<Blob> {
    return this.http.get(`api/boats/${id}/bundle`, { responseType: 'blob' });
  }

  backups(): Observable<BackupEntry[]> {
    return this.http.get('api/backups').pipe(as(backupsSchema));
  }

  makeBackup(): Observable<BackupEntry[]> {
    return this.http.post('api/backups', null).pipe(as(backupsSchema));
  }

  restoreBackup(name: string): Observable<RestoredBackup> {
    return this.http.post(`api/backups/${name}/restore`, null).pipe(as(restoredSchema));
  }

  backup(): Observable<Blob> {
    return this.http.get('api/backup', { responseType: 'blob' });
  }

  /** Where a sheet is looked at in a tab of its own. */
  lookedAt(id: string, sheet: PrintedSheet, units: UnitChoice, paper: 'A4' | 'LETTER'): string {
    return `api/boats/${id}/${sheet}.pdf?${new URLSearchParams({ ...units, paper, as: 'inline' }).toString()}`;
  }

  printed(id: string, sheet: PrintedSheet, units: UnitChoice, paper: 'A4' | 'LETTER'): Observable<Blob> {
    return this.http.get(`api/boats/${id}/${sheet}.pdf`, { params: { ...units, paper }, responseType: 'blob' });
  }
}
