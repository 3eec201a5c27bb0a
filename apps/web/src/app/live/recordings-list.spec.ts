import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideHttpClient } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import type { Recording } from '@grey-keel/model';
import { Observable, type Observer } from 'rxjs';
import { RequestFailed } from '../api/problem.ts';
import type { Sending } from '../api/send-file.ts';
import { ServerApi } from '../api/server-api.ts';
import { aPlan } from '../testing/plans.ts';
import { stageHarness } from '../testing/stage-harness.ts';
import { CalibratePage } from '../stages/calibrate/calibrate-page.ts';
import { Recordings } from './recordings.ts';
import { RecordingsList } from './recordings-list.ts';

const recording = (changes: Partial<Recording> = {}): Recording => ({
  id: 'one',
  name: 'Monday',
  cameFrom: 'monday.nmea',
  state: 'ready',
  simulated: false,
  timesKnown: 'clock',
  startedAt: '2026-05-01T09:30:00.000Z',
  lastedS: 600,
  sentences: 12_345,
  wrongChecksum: 2,
  noSentence: 0,
  notRead: 4,
  badTimes: 0,
  gaps: [],
  bytes: 1_500_000,
  channels: (['headingTrueDeg', 'cogDeg', 'sogMps'] as const).map((quantity, id) => ({
    id,
    talker: 'II',
    type: 'HDG',
    quantity,
    samples: 600,
  })),
  ...changes,
});

describe('the recordings', () => {
  const { plan, page, press, write, choose, text, settle } = stageHarness();
  beforeEach(() => TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] }));
  const http = (): HttpTestingController => TestBed.inject(HttpTestingController);
  const answer = async (list: Recording[]): Promise<void> => {
    http()
      .match('api/recordings')
      .forEach((one) => one.flush(list));
    await settle();
  };

  it('are listed with length, size and what was left out; one deleted can be had back', async () => {
    const root = await page(RecordingsList);
    const gaps = [{ fromS: 60, toS: 90, samples: 300 }];
    await answer([recording({ state: 'waiting for room', badTimes: 7, gaps })]);
    expect(text(root, '[data-recording="one"]')).toContain('ended; waits for room on the disk');
    expect(text(root, '[data-recording="one"]')).toContain('(7 times are none, taken as no time)');
    expect(text(root, '[data-recording="one"]')).toContain('Gap from 1.0 to 1.5 min: 300 values dropped');
    expect(text(root, '[data-recording="one"]')).toContain(
      '10.0 min, 12,345 sentences, 1.5 MB; times from the clock in it',
    );
    expect(text(root, '[data-recording="one"]')).toContain('2 with a wrong checksum');
    expect(root.querySelector('[aria-label="Monday as gpx"]')?.getAttribute('href')).toBe(
      'api/recordings/one/export.gpx',
    );
    await press(root, '[data-recording="one"] button');
    http().expectOne({ method: 'DELETE', url: 'api/recordings/one' }).flush(null);
    await answer([]);
    await new Promise((resolve) => setTimeout(resolve, 100));
    const undo = [...document.querySelectorAll<HTMLElement>('.p-toast button')].find((one) =>
      one.textContent.includes('Undo'),
    );
    undo?.click();
    expect(http().expectOne('api/recordings/one/recall').request.method).toBe('POST');
    document.querySelectorAll('.p-toast').forEach((one) => one.remove());
  });

  it('are taken in with their progress, which can be cancelled, and say why one was refused', async () => {
    let broken = 0;
    let sends: Observer<Sending> | null = null;
    spyOn(TestBed.inject(ServerApi), 'importRecording').and.callFake(
      () =>
        new Observable<Sending>((listener) => {
          sends = listener;
          return () => (broken += 1);
        }),
    );
    const root = await page(RecordingsList);
    await answer([]);
    expect(text(root, 'p.faint')).toContain('None yet');
    const send = async (): Promise<void> => {
      const field = root.querySelector<HTMLInputElement>('#take-log')!;
      const files = new DataTransfer();
      files.items.add(new File(['$'], 'monday.nmea'));
      field.files = files.files;
      field.dispatchEvent(new Event('change'));
      await settle();
    };
    await send();
    (sends as Observer<Sending> | null)?.next({ share: 0.4, done: false });
    await settle();
    expect(text(root, '[role="status"]')).toContain('40 %');
    const [id] = (TestBed.inject(ServerApi).importRecording as jasmine.Spy).calls.mostRecent().args as string[];
    TestBed.inject(Recordings).refresh();
    await answer([recording({ id, state: 'queued' })]);
    expect(text(root, '[role="status"]')).toContain('waits for its turn');
    await press(root, '#cancel-log');
    expect(root.querySelector('[role="status"]')).toBeNull();
    expect(broken).toBe(1);
    await send();
    (sends as Observer<Sending> | null)?.error(
      new RequestFailed({ status: 413, detail: 'Cut it into days.', body: null }),
    );
    await settle();
    expect(text(root, 'p-message')).toContain('Cut it into days.');
  });

  it('have a run cut out of them by two times; of the simulated boat only on a practice copy', async () => {
    const part = { forwardM: 2, starboardM: 0, aboveKeelM: 1, propellerDiameterM: null };
    const root = await page(CalibratePage, {
      ...aPlan(),
      equipment: { compass: { ...part, name: 'Compass', kind: 'heading sensor' } },
    });
    await press(root, '[data-calibration="heading-compass"]');
    await press(root, 'gk-sensor-procedure .p-accordionheader');
    await answer([recording(), recording({ id: 'two', name: 'Simulated', simulated: true })]);
    const cutFrom = async (name: string, id: string): Promise<void> => {
      await choose(root, '#recording', name);
      const timesS = Array.from({ length: 60 }, (_, i) => i * 10);
      const flush = (channel: number, value: number): void =>
        http()
          .match(({ url, params }) => url.includes(`${id}/part`) && params.get('channel') === String(channel))
          .filter(({ cancelled }) => !cancelled)
          .forEach((one) => one.flush({ timesS, values: timesS.map(() => value), samples: 60 }));
      flush(0, 85);
      await settle();
      await write(root, '#cut-from', '100');
      await write(root, '#cut-to', '200');
      for (let again = 0; again < 2; again++) [85, 90, 3].forEach((value, channel) => flush(channel, value));
      await settle();
    };
    await cutFrom('two', 'two');
    expect(text(root, 'gk-recorded-run')).toContain('practice copy alone');
    expect(root.querySelector<HTMLButtonElement>('#take-cut')?.disabled).toBeTrue();
    await cutFrom('one', 'one');
    expect(text(root, 'gk-recorded-run')).toContain('heading 85.0°, course 90.0°');
    await press(root, '#take-cut');
    const [taken] = Object.values(plan().calibrations.heading['compass']?.readings ?? {});
    expect(taken?.from).toEqual(
      jasmine.objectContaining({ source: 'Monday, 100 to 200 s', lastedS: 100, simulated: false }),
    );
    expect(taken?.from?.at).toBe('2026-05-01T09:31:40.000Z');
  });
});
