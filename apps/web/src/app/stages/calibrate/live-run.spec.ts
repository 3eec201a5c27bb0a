import { TestBed } from '@angular/core/testing';
import type { Channel, Instruments, LiveQuantity, SourceStatus } from '@grey-keel/model';
import { instrumentEvents } from '../../live/instruments.ts';
import { LiveSamples } from '../../live/live-samples.ts';
import { aPlan, withFit } from '../../testing/plans.ts';
import { QuietSamples } from '../../testing/quiet-samples.ts';
import { stageHarness } from '../../testing/stage-harness.ts';
import { CalibratePage } from './calibrate-page.ts';

const quantities: readonly LiveQuantity[] = ['headingTrueDeg', 'cogDeg', 'sogMps', 'logMps', 'temperatureC'];
const source = (changes: Partial<SourceStatus> = {}): SourceStatus => ({
  id: 'gateway',
  name: 'Gateway',
  connection: { by: 'tcp', address: '127.0.0.1', port: 10110 },
  wanted: true,
  state: 'open',
  simulated: false,
  problem: null,
  sentences: 10,
  perSecond: 4,
  wrongChecksum: 0,
  noSentence: 0,
  notRead: 0,
  lastAt: null,
  ...changes,
});
const channels: Channel[] = quantities.map((quantity, id) => ({
  id,
  sourceId: 'gateway',
  talker: 'II',
  type: 'HDG',
  quantity,
}));

describe('a reading from the instruments', () => {
  const { store, plan, page, press, choose, write, text, settle } = stageHarness();
  const samples = (): QuietSamples => {
    const live = TestBed.inject(LiveSamples);
    if (!(live instanceof QuietSamples)) throw new Error('These are the samples of a real stream.');
    return live;
  };
  const heard = async (now: Partial<Instruments> = {}): Promise<void> => {
    store().dispatch(
      instrumentEvents.heard({ now: { sources: [source()], channels, recordings: [], simulator: null, ...now } }),
    );
    await settle();
  };
  /** So many seconds pass, one sample of each a second. */
  const pass = async (seconds: number, values: readonly number[]): Promise<void> => {
    for (let i = 0; i < seconds; i++) {
      samples().clockS += 1;
      samples().take(values.map((value, channel) => [channel, value, 0] as const));
    }
    await settle();
  };
  const show = async (key: string, practice = false): Promise<HTMLElement> => {
    const part = { forwardM: 2, starboardM: 0, aboveKeelM: 1, propellerDiameterM: null };
    const root = await page(CalibratePage, {
      ...aPlan(),
      ...(practice ? { practice: true as const } : {}),
      equipment: {
        compass: { ...part, name: 'Compass', kind: 'heading sensor' },
        log: { ...part, name: 'Log', kind: 'speed and temperature sensor' },
      },
    });
    await press(root, `[data-calibration="${key}"]`);
    return root;
  };
  const button = (root: HTMLElement): HTMLButtonElement => root.querySelector<HTMLButtonElement>('#take-run')!;

  it('is waited for, averaged, and taken with what it came from; the next waits for its own turn', async () => {
    const root = await show('heading-compass');
    expect(root.querySelector('#take-run')).toBeNull();
    await heard();
    expect(text(root, '.live')).toContain('No heading comes in');
    await pass(10, [85, 90, 3, 3, 9]);
    expect(text(root, '.live')).toContain('Averaging begins in');
    expect(button(root).disabled).toBeTrue();
    await pass(20, [85, 90, 3, 3, 9]);
    expect(text(root, '.live')).toContain('Averaging:');
    await pass(20, [85, 90, 3, 3, 9]);
    expect(text(root, '.live')).toContain('Averaged long enough');
    await press(root, '#take-run');
    const [taken] = Object.values(plan().calibrations.heading['compass']?.readings ?? {});
    expect(taken).toEqual(jasmine.objectContaining({ headingDeg: 85, cogDeg: 90, sogMps: 3, leftOut: false }));
    expect(taken?.from).toEqual(jasmine.objectContaining({ source: 'Gateway: II HDG', simulated: false }));
    // The same run is not taken twice.
    await pass(30, [85, 90, 3, 3, 9]);
    expect(text(root, '.live')).toContain('Now the run back: turn to about 265.0°');
    await pass(2, [265, 270, 3, 3, 9]);
    expect(text(root, '.live')).toMatch(/still turns|Averaging begins/);
    expect(button(root).disabled).toBeTrue();
    expect(text(root, '#result')).toContain('no run back yet');
  });

  it('from magnetic north is not taken for a true one: the variation is asked for', async () => {
    const root = await show('heading-compass');
    const magnetic = channels.map((one) =>
      one.quantity === 'headingTrueDeg' ? { ...one, quantity: 'headingMagneticDeg' as const } : one,
    );
    await heard({ channels: magnetic });
    await pass(60, [85, 90, 3, 3, 9]);
    expect(text(root, '.live')).toContain('from magnetic north, and no variation comes with it');
    expect(button(root).disabled).toBeTrue();
    await choose(root, '#heading-north', 'magnetic');
    await write(root, '#heading-variation', '5');
    await pass(1, [85, 90, 3, 3, 9]);
    await press(root, '#take-run');
    expect(Object.values(plan().calibrations.heading['compass']?.readings ?? {})[0]?.headingDeg).toBe(85);
  });

  it('of a swing is the compass itself, whatever variation its place has; a true heading is refused', async () => {
    const root = await show('deviation-compass');
    const [first] = channels;
    const only = (quantity: LiveQuantity) => ({ channels: [{ ...first!, quantity }] });
    await heard(only('headingTrueDeg'));
    await pass(20, [93]);
    expect(text(root, '.live')).toContain('A true heading comes in and no compass');
    expect(button(root).disabled).toBeTrue();
    await heard({
      channels: [
        { ...first!, quantity: 'compassDeg' },
        { ...first!, id: 1, quantity: 'variationDeg' },
      ],
    });
    await pass(20, [80, 13]);
    await press(root, '#take-run');
    expect(Object.values(plan().calibrations.deviation['compass']?.readings ?? {})[0]?.compassDeg).toBe(80);
  });

  it('says whether a correction that is set is in what comes in: the display keeps it, or the sensor', async () => {
    const root = await show('heading-compass');
    await heard();
    expect(root.querySelector('#heading-correction-in')).toBeNull();
    await write(root, '#heading-set', '-10');
    await pass(60, [5, 90, 3, 3, 9]);
    expect(text(root, '.live')).toContain('A correction is set');
    await choose(root, '#heading-correction-in', 'display');
    await pass(1, [5, 90, 3, 3, 9]);
    await press(root, '#take-run');
    const taken = () => Object.values(plan().calibrations.heading['compass']?.readings ?? {});
    expect(taken()[0]?.headingDeg).toBe(355);
    const log = await show('speed-log');
    await write(log, '#speed-set-factor', '110');
    await choose(log, '#speed-correction-in', 'sensor');
    await pass(120, [5, 90, 3, 3, 9]);
    await press(log, '#take-run');
    expect(Object.values(plan().calibrations.speed['log']?.readings ?? {})[0]?.logMps).toBe(3);
  });

  it('of the simulated boat is taken on a practice copy alone', async () => {
    const root = await show('heading-compass');
    await heard({ sources: [source({ simulated: true })] });
    await pass(60, [85, 90, 3, 3, 9]);
    expect(text(root, '.live')).toContain('practice copy alone');
    expect(button(root).disabled).toBeTrue();
    const practice = await show('heading-compass', true);
    await pass(1, [85, 90, 3, 3, 9]);
    expect(button(practice).disabled).toBeFalse();
    await press(practice, '#take-run');
    expect(Object.values(plan().calibrations.heading['compass']?.readings ?? {})[0]?.from?.simulated).toBeTrue();
  });

  it('of a temperature waits for the sensor, and leaves the thermometer to be typed', async () => {
    const root = await show('temperature-log');
    await heard();
    await pass(100, [85, 90, 3, 3, 9.2]);
    expect(text(root, '.live')).toContain('averaging begins in');
    await pass(280, [85, 90, 3, 3, 9.2]);
    await press(root, '#take-run');
    const [taken] = Object.values(plan().calibrations.temperature['log']?.readings ?? {});
    expect(taken).toEqual(jasmine.objectContaining({ referenceC: null, displayedC: jasmine.any(Number) }));
    expect(taken?.displayedC).toBeCloseTo(9.2, 6);
  });

  it('of a mark is read as the display shows it, with what is set there added: the result is not set twice', async () => {
    const root = await page(CalibratePage, withFit());
    await press(root, '[data-calibration="antenna-helm"]');
    await write(root, '#antenna-set-forward', '2');
    await heard({
      channels: [
        { id: 0, sourceId: 'gateway', talker: 'GP', type: 'HDT', quantity: 'headingTrueDeg' },
        { id: 1, sourceId: 'gateway', talker: 'GP', type: 'GGA', quantity: 'latitudeDeg' },
        { id: 2, sourceId: 'gateway', talker: 'GP', type: 'GGA', quantity: 'longitudeDeg' },
      ],
    });
    // Two metres ahead of an antenna on 50° north, heading east: 2 / (1852 m x 60 x cos 50°) of a degree of longitude.
    await pass(20, [90, 50, -3]);
    await press(root, '#take-run');
    const [taken] = Object.values(plan().calibrations.antenna['helm']?.readings ?? {});
    expect(taken?.latitudeDeg).toBeCloseTo(50, 7);
    expect(taken?.longitudeDeg).toBeCloseTo(-3 + 2 / (1852 * 60 * 0.642788), 7);
  });

  it('shows what the instruments say with who says it, and hatches what is old', async () => {
    const root = await show('heading-compass');
    expect(text(root, 'gk-instrument-strip')).toContain('No link');
    await heard({ sources: [] });
    expect(text(root, 'gk-instrument-strip')).toContain('No instruments are open');
    await heard();
    await pass(1, [85, 90, 3, 3, 9]);
    expect(text(root, '[data-live="logMps"]')).toContain('5.8 kn');
    expect(root.querySelector('[data-live="logMps"]')?.classList).not.toContain('is-missing');
    samples().clockS += 9;
    await pass(1, [85]);
    expect(root.querySelector('[data-live="logMps"]')?.classList).toContain('is-missing');
    expect(text(root, '[data-live="logMps"]')).toContain('10 s ago');
    expect(root.querySelector('[data-live="headingTrueDeg"]')?.classList).not.toContain('is-missing');
  });
});
