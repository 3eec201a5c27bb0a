import type { OverTheSide } from '@grey-keel/model';
import { By } from 'selenium-webdriver';
import { eventually, find, textOf } from './support/browser.ts';
import { type Hands, keyboard, pointer } from './support/hands.ts';
import { inBrowser } from './support/in-browser.ts';
import { actOn, openBoatId } from './support/job.ts';
import { readingLines, takeLive } from './support/take-live.ts';

const minutes = 60_000;

interface Hidden {
  readonly faceDepthM: number;
  readonly temperatureOffsetC: number;
  readonly headingOffsetDeg: number;
  readonly deviationDeg: readonly number[];
  readonly stepM: number;
  readonly sidesSwapped: boolean;
  readonly pointingDeg: number;
  readonly rangeFactor: number;
  readonly tiltDeg: number;
  readonly antennaForwardM: number;
  readonly capacityLeft: number;
}

describe('the procedures on a practice copy', () => {
  let hands: Hands;
  let keys: Hands;
  let boat = '';
  const here = inBrowser('once', ({ browser }) => {
    hands = pointer(browser.driver);
    keys = keyboard(browser.driver);
    return Promise.resolve();
  });
  const drive = () => here.browser.driver;
  const ask = async <T>(path: string): Promise<T> => (await (await fetch(`${here.app.address}${path}`)).json()) as T;
  const until = (css: string, holds: (text: string) => boolean, what: string): Promise<string> =>
    eventually(() => textOf(drive(), css), holds, what, 90_000);
  const open = async (subject: string): Promise<void> => {
    await hands.press(`[data-calibration="${subject}"]`);
    await find(drive(), `[data-calibration="${subject}"][aria-current="true"]`);
  };
  /** The figures of the next reading, typed into its line by their names in the plan. */
  const type = async (figures: Readonly<Record<string, number | string>>, by: Hands = hands): Promise<void> => {
    const names = Object.keys(figures);
    let id = '';
    let count = 0;
    for (const [i, name] of names.entries()) {
      if (i === 0) {
        const first = await find(drive(), `tr[data-reading="new"] [id^="${name}-"]`);
        id = ((await first.getAttribute('id')) ?? '').slice(name.length + 1);
        // Counted only now: before, the readings of another procedure may still have stood there.
        count = (await readingLines(drive())).length;
      }
      const value = figures[name] ?? '';
      if (typeof value === 'string') await by.choose(`#${name}-${id}`, value);
      else await by.fill(`#${name}-${id}`, String(value));
      if (i === 0)
        await eventually(
          () => readingLines(drive()),
          (rows) => rows.length > count,
          'the reading to be listed',
        );
    }
  };
  /** What is read over the side, looked up anew and taken from the panel's own answer. */
  const look = async (): Promise<OverTheSide> => {
    const before = await textOf(drive(), 'gk-over-the-side');
    await hands.press('#look-over');
    await eventually(
      () => textOf(drive(), 'gk-over-the-side'),
      (text) => text !== before,
      'something else to be seen',
    );
    const seen = async (word: string): Promise<number[]> => {
      const text = await textOf(drive(), `[data-seen="${word}"] dd`);
      return (text.replaceAll('\u2212', '-').match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number);
    };
    const [leadLineM = 0] = await seen('lead line');
    const [secondDepthM = 0] = await seen('second unit shows');
    const [thermometerC = 0, salinityPpt = 0] = await seen('thermometer and salt');
    const [headingDeg = 0, magneticDeg = 0] = await seen('heading, by a far mark');
    const [offTheBowDeg = 0, distanceM = 0] = await seen('buoy, by eye and tape');
    const [shownOffTheBowDeg = 0, shownRangeM = 0] = await seen('buoy, as the picture has it');
    const [heightM = 0, targetHeightM = 0] = await seen('over the bottom: face, buoy’s sinker');
    const [tiltDeg = 0] = await seen('plumb line at the pole');
    const [latitudeDeg = 0, longitudeDeg = 0] = await seen('mark over the buoy');
    const [usedAh = 0, currentA = 0, voltsV = 0] = await seen('battery');
    const [, side = '', shownSide = ''] =
      /lies to (\w+), drawn to (\w+)/.exec(await textOf(drive(), '[data-seen="bank"] dd')) ?? [];
    const [lostAtM = 0] = await seen('sinker of 3 cm, lost');
    return {
      leadLineM,
      secondDepthM,
      thermometerC,
      salinityPpt,
      headingDeg,
      magneticDeg,
      buoy: { offTheBowDeg, distanceM, shownOffTheBowDeg, shownRangeM, heightM, targetHeightM },
      bank: { side, shownSide } as OverTheSide['bank'],
      tiltDeg,
      buoyMark: { latitudeDeg, longitudeDeg },
      battery: { usedAh, currentA, voltsV },
      sinker: { sizeCm: 3, lostAtM },
    };
  };
  const offBy = (one: number, other: number): number => ((one - other + 540) % 360) - 180;
  /** The swing as it is in the plan. */
  const swung = async (): Promise<{ readings: readonly { compassDeg: number; magneticDeg: number }[] }> => {
    const { plan } = await ask<{
      plan: {
        calibrations: {
          deviation: Record<string, { readings: Record<string, { compassDeg: number; magneticDeg: number }> }>;
        };
      };
    }>(`/api/boats/${boat}`);
    return { readings: Object.values(plan.calibrations.deviation['e-compass']?.readings ?? {}) };
  };
  const take = (): Promise<void> => takeLive(drive(), hands);
  /** The first figure of the result, in the unit it is shown in. */
  const found = async (): Promise<number> => {
    const text = (await until('#result', (words) => words.includes('±'), 'a result with its interval')).replaceAll(
      '\u2212',
      '-',
    );
    return Number(/([+-]?\d+(?:\.\d+)?)/.exec(text)?.[1]);
  };

  beforeAll(async () => {
    // The simulated boat's time runs ten times as fast: what waits for it to be steady need not wait in ours.
    await here.browser.hurry(5);
    await drive().get(here.app.address);
    await actOn(drive(), hands, 'Sable Wren', 'Practice copy');
    await until('.boat .practice', (text) => text.includes('practice copy'), 'the practice copy');
    boat = await openBoatId(drive());
    await drive().get(`${here.app.address}/boats/${boat}/calibrate`);
    await hands.press('#instruments');
    await hands.choose('#source-way', 'the simulated boat');
    await hands.fill('#source-seed', '12');
    await hands.choose('#source-pace', '10');
    await hands.press('#add-source');
    await until('.source', (text) => text.includes('open'), 'the simulated boat to be open');
    await hands.press('gk-instruments-panel .p-drawer-header button');
    await hands.press('gk-helm-panel .p-accordionheader');
  }, 2 * minutes);

  afterAll(async () => {
    const { sources } = await ask<{ sources: { id: string }[] }>('/api/instruments');
    for (const { id } of sources)
      await fetch(`${here.app.address}/api/instruments/sources/${id}`, { method: 'DELETE' });
  });

  it(
    'find depth, temperature and the compass’s deviation from what comes in and what is read over the side',
    async () => {
      const hidden = await ask<Hidden>('/api/instruments/hidden');
      await open('depth-a-wide');
      await hands.choose('#reading-set-to-a-wide', 'fresh');
      for (const nth of [0, 1, 2]) {
        await take();
        const { leadLineM } = await look();
        const rows = await drive().findElements(By.css('tr[data-reading]:not([data-reading="new"])'));
        expect(rows.length).toBe(nth + 1);
        const id = (await rows[nth]?.getAttribute('data-reading')) ?? '';
        await hands.fill(`#reading-a-wide-${id}`, String(leadLineM));
      }
      const depth = (
        await until('#result', (words) => words.includes('aground') || words.includes('strikes'), 'it')
      ).replaceAll('\u2212', '-');
      // The sound speed of the boat's own water is not that of the simulated one: a few hundredths at this depth. And on a
      // busy machine the lead goes down when the boat has drifted on; a wrong sign would be off by twice the depth.
      expect(Math.abs(Number(/([+-]\d+\.\d+)/.exec(depth)?.[1]) - hidden.faceDepthM)).toBeLessThan(0.45);
      expect(await textOf(drive(), 'gk-offset-readings')).toContain('simulated');

      await open('temperature-a-wide');
      await hands.fill('#temperature-lag', '1');
      for (const nth of [0, 1, 2]) {
        await take();
        const { thermometerC } = await look();
        const rows = await drive().findElements(By.css('tr[data-reading]:not([data-reading="new"])'));
        const id = (await rows[nth]?.getAttribute('data-reading')) ?? '';
        await hands.fill(`#referenceC-${id}`, String(thermometerC));
      }
      expect(Math.abs((await found()) - hidden.temperatureOffsetC)).toBeLessThan(0.35);

      await open('deviation-e-compass');
      const compass = async (): Promise<number> =>
        Number(/compass (\d+\.\d)/.exec(await textOf(drive(), 'gk-live-run'))?.[1]);
      // The first is well off from where the boat goes now, so that each of them is seen to come.
      const first = Math.round((await eventually(compass, Number.isFinite, 'the compass')) + 80) % 360;
      for (let nth = 0; nth < 8; nth++) {
        const before = await compass();
        await hands.fill('#helm-heading', String((first + 45 * nth) % 360));
        await eventually(compass, (shown) => Math.abs(offBy(shown, before)) > 20, 'the next heading', 60_000);
        await take();
        const { magneticDeg } = await look();
        const rows = await drive().findElements(By.css('tr[data-reading]:not([data-reading="new"])'));
        const id = (await rows[nth]?.getAttribute('data-reading')) ?? '';
        await hands.fill(`#magneticDeg-${id}`, String(magneticDeg));
      }
      await until('#result', (words) => words.includes('Deviation card') && words.includes('330°'), 'a card');
      // What is the same on every heading is the compass's own offset: the variation, some ten degrees, is not in the card.
      const { readings } = await swung();
      const alike = readings.reduce((sum, one) => sum + offBy(one.magneticDeg, one.compassDeg), 0) / readings.length;
      expect(readings.length).toBe(8);
      // A boat in waves has swung on by some degrees between the compass and the look over the side.
      expect(Math.abs(alike - hidden.headingOffsetDeg)).toBeLessThan(4.5);
    },
    6 * minutes,
  );

  it(
    'find what sonar, antenna and battery are off by, typed from over the side, one by the keyboard alone',
    async () => {
      const hidden = await ask<Hidden>('/api/instruments/hidden');
      const several = async (
        subject: string,
        count: number,
        figures: (seen: OverTheSide) => Readonly<Record<string, number | string>>,
        by: Hands = hands,
      ): Promise<void> => {
        await open(subject);
        for (let i = 0; i < count; i++) await type(figures(await look()), by);
      };
      await several('tilt-d-ahead', 3, ({ tiltDeg }) => ({ tiltDeg }), keys);
      expect(Math.abs((await found()) - hidden.tiltDeg)).toBeLessThan(2);
      await several('pointing-d-ahead', 3, ({ buoy }) => ({
        knownDeg: buoy.offTheBowDeg,
        shownDeg: buoy.shownOffTheBowDeg,
      }));
      expect(Math.abs((await found()) - hidden.pointingDeg)).toBeLessThan(2.5);
      await several('range-c-sides', 3, ({ buoy }) => ({
        knownM: buoy.distanceM,
        shownM: buoy.shownRangeM,
        heightM: buoy.heightM,
        targetHeightM: buoy.targetHeightM,
      }));
      expect(Math.abs((await found()) / 100 - hidden.rangeFactor)).toBeLessThan(0.05);
      await several('step-b-narrow', 3, ({ leadLineM, secondDepthM }) => ({
        thisM: secondDepthM,
        otherM: Math.round(100 * (leadLineM - hidden.faceDepthM)) / 100,
      }));
      expect(Math.abs((await found()) - hidden.stepM)).toBeLessThan(0.3);
      await several('sides-c-sides', 1, ({ bank }) => ({ known: bank.side, shown: bank.shownSide }));
      await until(
        '#result',
        (words) => words.includes(hidden.sidesSwapped ? 'swapped' : 'the right way round'),
        'which side is which',
      );
      await several('sound-speed-a-helm-port', 1, ({ thermometerC, salinityPpt }) => ({
        depthM: 0,
        temperatureC: thermometerC,
        salinityPpt,
      }));
      const soundMps = await found();
      expect(soundMps).toBeGreaterThan(1430);
      expect(soundMps).toBeLessThan(1530);
      await several('noise-a-wide', 2, ({ sinker }) => ({
        lost: 'sinker',
        depthM: sinker.lostAtM,
        speedMps: 0,
        sizeCm: sinker.sizeCm,
      }));
      await until('#result', (words) => words.includes('dB'), 'a level of noise');

      await open('antenna-a-helm-port');
      for (const headingDeg of [20, 200, 110, 290]) {
        await hands.fill('#helm-heading', String(headingDeg));
        await eventually(
          async () => (await look()).headingDeg,
          (shown) => Math.abs(((shown - headingDeg + 540) % 360) - 180) < 3,
          'the heading',
          60_000,
        );
        const seen = await look();
        await type({ headingDeg: seen.headingDeg, ...seen.buoyMark });
      }
      expect(Math.abs((await found()) - hidden.antennaForwardM)).toBeLessThan(1.2);

      await open('battery-a-start');
      for (let i = 0; i < 6; i++) {
        const { battery } = await look();
        await type({ trip: 1, ...battery });
        // Its clock runs fast, and now and then everything is on.
        await eventually(
          async () => (await look()).battery.currentA,
          (currentA) => currentA !== battery.currentA,
          'another current',
          60_000,
        );
      }
      const held = await until(
        '#result',
        (words) => words.includes('It holds') || words.includes('too little'),
        'what it holds',
      );
      const share = /It holds (\d+(?:\.\d+)?) %/.exec(held)?.[1];
      if (share !== undefined) expect(Math.abs(Number(share) / 100 - hidden.capacityLeft)).toBeLessThan(0.15);
    },
    8 * minutes,
  );
});
