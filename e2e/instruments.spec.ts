import { type AddressInfo, createServer, type Socket } from 'node:net';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { eventually, find, textOf } from './support/browser.ts';
import { type Hands, pointer } from './support/hands.ts';
import { inBrowser } from './support/in-browser.ts';
import { actOn, openBoatId } from './support/job.ts';
import { takeLive } from './support/take-live.ts';

const minutes = 60_000;
const knotMps = 1852 / 3600;

const sentence = (body: string): string => {
  const sum = Array.from(body).reduce((all, letter) => all ^ letter.charCodeAt(0), 0);
  return `$${body}*${sum.toString(16).toUpperCase().padStart(2, '0')}\r\n`;
};

/** A gateway of the test's own: two compasses, a position receiver, garbage, bursts and a clock that jumps. */
const gateway = async () => {
  const callers = new Set<Socket>();
  const server = createServer((socket) => {
    callers.add(socket);
    socket.on('error', () => undefined);
    socket.on('close', () => callers.delete(socket));
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const run = { headingDeg: 80, cogDeg: 80, sogMps: 3 };
  let tick = 0;
  let talks = true;
  const timer = setInterval(() => {
    if (!talks) return;
    tick += 1;
    const clock = tick % 40 < 20 ? '093000.00' : '181500.00';
    const lines = [
      sentence(`HCHDG,${run.headingDeg.toFixed(1)},,,0.0,E`),
      // Another compass, a quarter turn away, and a sentence garbled on its way.
      sentence(`IIHDG,${((run.headingDeg + 90) % 360).toFixed(1)},,,0.0,E`),
      sentence('HCHDG,123.4,,,0.0,E').replace('123.4', '321.9'),
      sentence(
        `GPRMC,${clock},A,4700.000,N,02800.000,W,${(run.sogMps / knotMps).toFixed(3)},${run.cogDeg.toFixed(1)},010526,,`,
      ),
    ];
    // Three ticks at once, and nothing in between: a gateway that gathers.
    if (tick % 3 === 0) for (const socket of callers) socket.write(lines.join('').repeat(3) + 'noise\r\n', 'latin1');
  }, 100);
  return {
    port: (server.address() as AddressInfo).port,
    sail: (to: typeof run) => Object.assign(run, to),
    talk: (on: boolean) => (talks = on),
    close: () => {
      clearInterval(timer);
      for (const socket of callers) socket.destroy();
      server.close();
    },
  };
};

describe('instruments', () => {
  let hands: Hands;
  const here = inBrowser('once', ({ browser }) => {
    hands = pointer(browser.driver);
    return Promise.resolve();
  });
  const drive = () => here.browser.driver;
  const calibrate = async (boat: string, subject: string): Promise<void> => {
    await drive().get(`${here.app.address}/boats/${boat}/calibrate`);
    await hands.press(`[data-calibration="${subject}"]`);
  };
  const until = (css: string, holds: (text: string) => boolean, what: string): Promise<string> =>
    eventually(() => textOf(drive(), css), holds, what, 90_000);
  const deleteRuns = async (): Promise<void> => {
    const there = await drive().findElements(By.css('[aria-label^="Delete run"]'));
    for (const left of there.keys()) {
      await hands.press('[aria-label^="Delete run"]');
      await eventually(
        () => drive().findElements(By.css('[aria-label^="Delete run"]')),
        (rows) => rows.length === there.length - left - 1,
        'the run to be deleted',
      );
    }
  };
  const takeRun = (): Promise<void> => takeLive(drive(), hands);

  afterEach(async () => {
    await here.browser.hurry(1);
    const list = (await (await fetch(`${here.app.address}/api/instruments`)).json()) as { sources: { id: string }[] };
    for (const { id } of list.sources)
      await fetch(`${here.app.address}/api/instruments/sources/${id}`, { method: 'DELETE' });
  });

  it(
    'of a gateway give a heading: two talkers, bursts, garbage, a stop; a stopped compass is not taken',
    async () => {
      const port = await gateway();
      try {
        await calibrate('sable-wren', 'heading-e-compass');
        await hands.press('#instruments');
        await hands.choose('#source-way', 'a gateway');
        await hands.fill('#source-address', '8.8.8.8');
        await hands.fill('#source-port', String(port.port));
        await hands.press('#add-source');
        expect(await textOf(drive(), '.add p-message')).toContain('own network');
        await hands.fill('#source-address', '127.0.0.1');
        await hands.press('#add-source');
        await until('.source', (text) => /[1-9]\d* with a wrong checksum/.test(text), 'wrong checksums to be counted');
        await eventually(
          () => find(drive(), '#listen-headingMagneticDeg'),
          () => true,
          'two compasses to choose from',
        );
        await hands.choose('#listen-headingMagneticDeg', 'HC HDG');
        await hands.press('gk-instruments-panel .p-drawer-header button');
        await deleteRuns();
        await hands.fill('#heading-lag', '1');
        // A compass 7° short, 3 m/s there and back in a current of 1 m/s to the east: worked by hand.
        port.sail({ headingDeg: 353, cogDeg: 18.43, sogMps: Math.sqrt(10) });
        // However long the boat has gone straight before: what belongs to that is not of this run.
        await until('gk-live-run', (text) => /turns|Averaging begins/.test(text), 'the turn to be seen');
        await takeRun();
        port.talk(false);
        await until('gk-live-run', (text) => text.includes('has stopped'), 'the stop to be said');
        expect(await (await find(drive(), '#take-run')).isEnabled()).toBeFalse();
        port.sail({ headingDeg: 173, cogDeg: 161.57, sogMps: Math.sqrt(10) });
        port.talk(true);
        await takeRun();
        const result = await until('#result', (text) => text.includes('°'), 'a result');
        expect(result).toContain('+7.0°');
        expect(result).toContain('Pointing 90.0° true it shows 83.0°');
        expect(await textOf(drive(), 'gk-runs-picture svg')).toContain('current 1.9 kn');
        expect(await textOf(drive(), 'tr[data-reading] th[scope=row]')).toContain('live');
      } finally {
        port.close();
      }
    },
    4 * minutes,
  );

  it(
    'of the simulated boat are refused on a real boat, and give heading and log on its practice copy',
    async () => {
      await here.browser.hurry(5);
      await drive().get(here.app.address);
      await actOn(drive(), hands, 'Old Marl', 'Practice copy');
      await until('.boat .practice', (text) => text.includes('practice copy'), 'the practice copy');
      const address = await openBoatId(drive());
      await calibrate(address, 'heading-c-compass');
      await hands.press('#instruments');
      await hands.choose('#source-way', 'the simulated boat');
      await hands.fill('#source-seed', '12');
      await hands.choose('#source-pace', '10');
      await hands.press('#add-source');
      await until('.source', (text) => text.includes('open'), 'the simulated boat to be open');
      await hands.press('gk-instruments-panel .p-drawer-header button');
      await hands.fill('#heading-lag', '1');
      await hands.fill('#helm-heading', '40');
      // By the keyboard: ten steps of throttle.
      for (let i = 0; i < 10; i++) await (await find(drive(), '#helm-throttle')).sendKeys(Key.ARROW_RIGHT);
      await takeRun();
      await hands.press('#helm-back');
      await takeRun();
      const result = await until('#result', (text) => text.includes('°'), 'a result');
      const hidden = (await (await fetch(`${here.app.address}/api/instruments/hidden`)).json()) as {
        headingOffsetDeg: number;
        deviationDeg: number[];
      };
      const found = Number(/([+\u2212-]?\d+\.\d)°/.exec(result)?.[1]?.replace('\u2212', '-'));
      // What a pair finds is the offset with the part of the deviation that does not turn with the boat.
      expect(Math.abs(found - hidden.headingOffsetDeg)).toBeLessThan(
        1.5 + Math.abs(hidden.deviationDeg[2] ?? 0) + Math.abs(hidden.deviationDeg[3] ?? 0),
      );
      expect(await textOf(drive(), 'tr[data-reading] th[scope=row]')).toContain('simulated');
      // The log: four headings, each across the one before.
      await hands.press('[data-calibration="speed-d-log"]');
      await hands.fill('#speed-lag', '1');
      for (let i = 0; i < 4; i++) {
        await takeRun();
        await hands.press('#helm-across');
      }
      const log = await until('#result', (text) => /\d %/.test(text), 'a factor');
      const { logFactor } = (await (await fetch(`${here.app.address}/api/instruments/hidden`)).json()) as {
        logFactor: number;
      };
      // Its compass is off by degrees still, which costs a factor the cosine of it.
      expect(Math.abs(Number(/(\d+\.\d) %/.exec(log)?.[1]) / 100 - logFactor)).toBeLessThan(0.04);
      // The same instruments on the boat itself are refused.
      await calibrate('old-marl', 'heading-c-compass');
      await until('gk-live-run', (text) => text.includes('practice copy alone'), 'the refusal');
      expect(await (await find(drive(), '#take-run')).isEnabled()).toBeFalse();
    },
    6 * minutes,
  );

  it(
    'in a log file give a heading: taken in, a run there and a run back cut out by their times',
    async () => {
      const folder = mkdtempSync(join(tmpdir(), 'grey-keel-log-'));
      const file = join(folder, 'monday.nmea');
      const knots = (Math.sqrt(10) / knotMps).toFixed(3);
      // A minute north and a minute south, 3 m/s in 1 m/s of current to the east, by a compass 7° short.
      const lines = Array.from({ length: 130 }, (_, second) => {
        const [heading, course] = second < 65 ? ['353.0', '18.4'] : ['173.0', '161.6'];
        const at = new Date(Date.parse('2026-05-01T09:30:00Z') + 1000 * second).toISOString();
        return `${at} ${sentence(`HCHDG,${heading},,,0.0,E`)}${at} ${sentence(`GPVTG,${course},T,,M,${knots},N,,K`)}`;
      });
      writeFileSync(file, `broken\n${lines.join('')}`);
      try {
        await calibrate('sable-wren', 'heading-e-compass');
        await hands.press('#instruments');
        await hands.give('#take-log', file);
        // It is listed at once, while it is being taken in.
        await until(
          'gk-recordings-list',
          (words) => words.includes('monday.nmea') && words.includes('1 no sentence'),
          'the log to be taken in',
        );
        await hands.press('gk-instruments-panel .p-drawer-header button');
        await deleteRuns();
        await hands.press('gk-sensor-procedure .p-accordionheader');
        await hands.choose('#recording', 'monday.nmea');
        for (const [from, to] of [
          ['5', '60'],
          ['70', '125'],
        ] as const) {
          await hands.fill('#cut-to', to);
          await hands.fill('#cut-from', from);
          await hands.fill('#cut-to', to);
          await until(
            'gk-recorded-run',
            (words) => words.includes(from === '5' ? '353.0°' : '173.0°'),
            'the run to be averaged',
          );
          await hands.press('#take-cut');
        }
        expect(await until('#result', (words) => /[+\u2212]\d/.test(words), 'a result')).toContain('+7.0°');
      } finally {
        rmSync(folder, { recursive: true, force: true });
      }
    },
    2 * minutes,
  );
});
