import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideHttpClient } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import { helmAtRest, type Instruments } from '@grey-keel/model';
import { stageHarness } from '../testing/stage-harness.ts';
import { HelmPanel } from './helm-panel.ts';
import { instrumentEvents, selectListened } from './instruments.ts';
import { InstrumentStrip } from './instrument-strip.ts';
import { InstrumentsPanel } from './instruments-panel.ts';

const counts = { sentences: 12, perSecond: 2, wrongChecksum: 3, noSentence: 0, notRead: 1, lastAt: null };
const now: Instruments = {
  sources: [
    {
      id: 'one',
      name: 'Gateway one',
      connection: { by: 'tcp', address: '192.168.1.20', port: 10110 },
      wanted: true,
      state: 'failed',
      simulated: false,
      problem: 'Nothing listens at that address and port.',
      ...counts,
    },
    {
      id: 'two',
      name: 'Port two',
      connection: { by: 'udp', port: 2000 },
      wanted: true,
      state: 'open',
      simulated: true,
      problem: null,
      ...counts,
    },
  ],
  channels: [
    { id: 1, sourceId: 'one', talker: 'HC', type: 'HDG', quantity: 'headingMagneticDeg' },
    { id: 2, sourceId: 'two', talker: 'VW', type: 'VHW', quantity: 'headingMagneticDeg' },
  ],
  recordings: [],
  simulator: { helm: helmAtRest, address: '127.0.0.1', tcpPort: 40_000, udpPort: 4313 },
};

describe('the instruments of a boat', () => {
  const { store, page, write, press, choose, text, settle } = stageHarness();
  beforeEach(() => TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] }));
  const http = (): HttpTestingController => TestBed.inject(HttpTestingController);
  const panel = async (): Promise<HTMLElement> => {
    const root = await page(InstrumentsPanel);
    store().dispatch(instrumentEvents.heard({ now }));
    store().dispatch(instrumentEvents.panelToggled());
    await settle();
    return root;
  };

  it('say on the strip that a recording waits for room, with what is in memory', async () => {
    const root = await page(InstrumentStrip);
    const recording = {
      id: 'r',
      name: 'Monday',
      ended: false,
      waitsForRoom: true,
      samplesInMemory: 12_000,
      dropped: 0,
    };
    store().dispatch(instrumentEvents.heard({ now: { ...now, recordings: [recording] } }));
    await settle();
    expect(text(root, '.waits')).toContain('Recording waits for room: 12,000 values of "Monday" in memory.');
    store().dispatch(instrumentEvents.heard({ now: { ...now, recordings: [{ ...recording, waitsForRoom: false }] } }));
    await settle();
    expect(root.querySelector('.waits')).toBeNull();
  });

  it('are listed with what comes, what is wrong with it, and why one failed', async () => {
    const root = await panel();
    expect(text(root, '[data-source="one"]')).toContain('3 with a wrong checksum');
    expect(text(root, '[data-source="one"]')).toContain(
      'Nothing listens at that address and port. It is tried again by itself.',
    );
    expect(text(root, '[data-source="two"]')).toContain('port 2000, UDP, listens');
    expect(text(root, '[data-source="two"]')).toContain('practice copies alone');
    await press(root, '[data-source="one"] .row button');
    expect(http().expectOne('api/instruments/sources/one/open').request.body).toEqual({ open: false });
    await press(root, '[data-source="two"] .row button:last-child');
    expect(http().expectOne('api/instruments/sources/two').request.method).toBe('DELETE');
  });

  it('are added by an address of the boat’s network, which is said before the server is asked', async () => {
    const root = await panel();
    await choose(root, '#source-way', 'a gateway that is called (TCP)');
    await write(root, '#source-address', 'example.org');
    await press(root, '#add-source');
    expect(text(root, '.add p-message')).toContain('own network');
    await write(root, '#source-address', '192.168.1.30');
    await write(root, '#source-port', '80');
    await press(root, '#add-source');
    expect(text(root, '.add p-message')).toContain('from 1024 to 65535');
    await write(root, '#source-port', '10110');
    await press(root, '#add-source');
    const [sent] = http().match(({ url }) => url.startsWith('api/instruments/sources/'));
    expect(sent?.request.body).toEqual({
      name: 'Gateway',
      connection: { by: 'tcp', address: '192.168.1.30', port: 10110 },
    });
  });

  it('are listened to by the most direct sentence of a source that speaks, until another is chosen', async () => {
    const root = await panel();
    const listened = () => store().selectSignal(selectListened)().headingMagneticDeg?.id;
    // The first is the more direct, and its gateway does not answer.
    expect(listened()).toBe(2);
    await choose(root, '#listen-headingMagneticDeg', '1');
    expect(listened()).toBe(1);
  });

  it('are steered where they are simulated: what is said to the helm is sent, and a turn back is the opposite', async () => {
    const root = await page(HelmPanel);
    expect(root.querySelector('#helm-heading')).toBeNull();
    store().dispatch(
      instrumentEvents.heard({
        now: { ...now, simulator: { ...now.simulator!, helm: { ...helmAtRest, steerDeg: 200 } } },
      }),
    );
    await settle();
    await press(root, '#helm-back');
    const [back] = http().match('api/instruments/helm');
    expect((back?.request.body as { steerDeg: number }).steerDeg).toBe(20);
    back?.flush({ detail: 'There is no simulated boat under way.' }, { status: 404, statusText: 'Not found' });
    await write(root, '#helm-heading', '45');
    expect((http().match('api/instruments/helm')[0]?.request.body as { steerDeg: number }).steerDeg).toBe(45);
  });
});
