import { Key, Origin, type WebDriver } from 'selenium-webdriver';
import { find, openBrowser } from '../e2e/support/browser.ts';
import { pointer } from '../e2e/support/hands.ts';
import { median, p95 } from './bench-row.ts';

export interface DragFrames {
  /** Main-thread work a pointer event, 95th percentile, ms. */
  readonly workP95: number;
  readonly gapP95: number;
  readonly restGapP95: number;
}

interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly dur?: number;
  /** What the thread itself worked in that time: another program's turn is not the page's cost. */
  readonly tdur?: number;
  readonly ts: number;
  readonly pid: number;
  readonly tid: number;
  readonly args?: { readonly data?: { readonly type?: string } };
}

const work = new Set([
  'FunctionCall',
  'EventDispatch',
  'UpdateLayoutTree',
  'Layout',
  'PrePaint',
  'Paint',
  'Layerize',
  'Commit',
  'FireAnimationFrame',
  'TimerFire',
  'RunMicrotasks',
]);

const watchFrames = `
  window.frameGaps = [];
  let last = performance.now();
  const tick = (now) => { window.frameGaps.push(now - last); last = now; window.frameTick = requestAnimationFrame(tick); };
  window.frameTick = requestAnimationFrame(tick);`;
const gaps = 'cancelAnimationFrame(window.frameTick); return window.frameGaps.slice(2);';

const moveBy = async (driver: WebDriver, steps: number): Promise<void> => {
  for (let i = 0; i < steps; i += 20) {
    const actions = driver.actions({ async: true });
    for (let k = i; k < Math.min(steps, i + 20); k++)
      actions.move({ origin: Origin.POINTER, y: k % 40 < 20 ? -3 : 3, duration: 16 });
    await actions.perform();
  }
};

const traceOf = async (driver: WebDriver): Promise<TraceEvent[]> =>
  (await driver.manage().logs().get('performance')).flatMap(({ message }) => {
    const { method, params } = (JSON.parse(message) as { message: { method: string; params: TraceEvent } }).message;
    return method === 'Tracing.dataCollected' ? [params] : [];
  });

/** What each of the last pointer moves cost the main thread until the next one, ms. */
const costsOf = (trace: readonly TraceEvent[], steps: number, event = 'mousemove'): number[] => {
  const moves = trace
    .filter(({ name, args }) => name === 'EventDispatch' && args?.data?.type === event)
    .sort((a, b) => a.ts - b.ts)
    .slice(-steps);
  const [first] = moves;
  if (!first || moves.length < steps / 2) throw new Error(`The trace holds ${moves.length} of ${steps} moves.`);
  const tasks = topLevel(
    trace.filter(
      ({ name, ph, dur, tid, pid }) =>
        ph === 'X' && dur !== undefined && work.has(name) && tid === first.tid && pid === first.pid,
    ),
  );
  return moves.map(({ ts }, i) => {
    const end = moves[i + 1]?.ts ?? ts + 100_000;
    return (
      tasks
        .filter((task) => task.ts >= ts - 500 && task.ts < end - 500)
        .reduce((sum, task) => sum + (task.tdur ?? task.dur ?? 0), 0) / 1000
    );
  });
};

/**
 * Drags the bottom of the section through so many steps, twice: once traced, to read what each step cost, and once with
 * the frames counted, since counting makes frames of its own.
 */
export const dragFrames = async (address: string, steps: number, slowed = 1): Promise<DragFrames> => {
  const { driver, close } = await openBrowser(1280, 800, { trace: true, slowed });
  try {
    await driver.get(`${address}/boats/sable-wren/beams`);
    const handle = await find(driver, '[role="slider"]');
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await driver.actions().move({ origin: handle }).press().perform();
    await moveBy(driver, steps);
    const costs = costsOf(await traceOf(driver), steps);

    await driver.executeScript(watchFrames);
    await moveBy(driver, steps);
    const moving = await driver.executeScript<number[]>(gaps);
    await driver.actions().release().perform();
    await driver.executeScript(watchFrames);
    await new Promise((resolve) => setTimeout(resolve, 1500));
    const atRest = await driver.executeScript<number[]>(gaps);
    return { workP95: p95(costs), gapP95: p95(moving), restGapP95: p95(atRest) };
  } finally {
    await close();
  }
};

export type PaneFrames = Pick<DragFrames, 'workP95'>;

/** Drags the bar between two panes of a page and reads from a trace what each step cost. */
export const paneFrames = async (address: string, steps: number, slowed = 1): Promise<PaneFrames> => {
  const { driver, close } = await openBrowser(1280, 800, { trace: true, slowed });
  try {
    await driver.get(`${address}/boats/sable-wren/pages`);
    const bar = await find(driver, '.as-split-gutter');
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await driver.actions().move({ origin: bar }).press().perform();
    for (let i = 0; i < steps; i += 20) {
      const actions = driver.actions({ async: true });
      for (let k = i; k < i + 20; k++) actions.move({ origin: Origin.POINTER, x: k % 40 < 20 ? -3 : 3, duration: 16 });
      await actions.perform();
    }
    const costs = costsOf(await traceOf(driver), steps);
    await driver.actions().release().perform();
    return { workP95: p95(costs) };
  } finally {
    await close();
  }
};

/** Drags something that is held in a drawing, and reads from a trace what each step cost. */
const heldFrames = async (
  address: string,
  { path, press, css }: { readonly path: string; readonly press: readonly string[]; readonly css: string },
  steps: number,
  slowed: number,
): Promise<PaneFrames> => {
  const { driver, close } = await openBrowser(1280, 800, { trace: true, slowed });
  try {
    await driver.get(`${address}/${path}`);
    for (const one of press) await (await find(driver, one)).click();
    const held = await find(driver, css);
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await driver.actions().move({ origin: held }).press().perform();
    await moveBy(driver, steps);
    // A captured pointer sends no mouse events.
    const costs = costsOf(await traceOf(driver), steps, 'pointermove');
    await driver.actions().release().perform();
    return { workP95: p95(costs) };
  } finally {
    await close();
  }
};

/** A fish through the section with all its cones and fans. */
export const fishFrames = (address: string, steps: number, slowed = 1): Promise<PaneFrames> =>
  heldFrames(
    address,
    {
      path: 'boats/sable-wren/beams',
      press: ['[data-tab="fish and slope"]', '#put-fish'],
      css: 'gk-fish-section .fish',
    },
    steps,
    slowed,
  );

/** A transducer on the hull, with all the rules of its place live. */
export const hullFrames = (address: string, steps: number, slowed = 1): Promise<PaneFrames> =>
  heldFrames(address, { path: 'boats/sable-wren/fit', press: [], css: '#mark-plan-transducer-a-wide' }, steps, slowed);

/** Lays out the wiring of a boat a few times, and reads how long each took once the library was warm, ms. */
export const layoutTimes = async (address: string, boatId: string): Promise<readonly number[]> => {
  const { driver, close } = await openBrowser();
  try {
    await driver.get(`${address}/boats/${boatId}/fit`);
    await (await find(driver, '[data-tab=network]')).click();
    await find(driver, 'gk-network-diagram svg');
    for (let i = 0; i < 6; i++) {
      const field = await find(driver, '#backbone-length');
      await field.click();
      await field.sendKeys(i % 2 ? Key.ARROW_UP : Key.ARROW_DOWN, Key.ENTER);
      await new Promise((resolve) => setTimeout(resolve, 700));
    }
    return (
      await driver.executeScript<number[]>(
        `return performance.getEntriesByName('lay out the wiring').map(({ duration }) => duration)`,
      )
    ).slice(1);
  } finally {
    await close();
  }
};

/** Scrolls a long page of the fleet from top to bottom, asks for the next, and reads the gaps between the frames. */
export const scrollFrames = async (address: string): Promise<Omit<DragFrames, 'workP95'>> => {
  const { driver, close } = await openBrowser();
  try {
    await driver.get(address);
    await find(driver, '[data-boat]');
    await pointer(driver).choose('.p-paginator-rpp-dropdown', '200');
    await find(driver, '[data-boat]:nth-of-type(200)');
    await driver.executeScript(watchFrames);
    await new Promise((resolve) => setTimeout(resolve, 1500));
    const atRest = await driver.executeScript<number[]>(gaps);
    await driver.executeScript(watchFrames);
    await driver.executeAsyncScript(`
      const done = arguments[arguments.length - 1];
      let steps = 0;
      const scroll = () => {
        scrollBy(0, 40);
        if (++steps < 240) return void requestAnimationFrame(scroll);
        document.querySelector('.p-paginator-next').click();
        setTimeout(done, 800);
      };
      scroll();`);
    const moving = await driver.executeScript<number[]>(gaps);
    return { gapP95: p95(moving), restGapP95: p95(atRest) };
  } finally {
    await close();
  }
};

/** Watches the instruments of the simulated boat come in ten times a second, on the procedure that draws the most of them. */
export const streamFrames = async (address: string): Promise<Omit<DragFrames, 'workP95'>> => {
  const source = `${address}/api/instruments/sources/bench`;
  const { driver, close } = await openBrowser();
  const watched = async (): Promise<number[]> => {
    await driver.executeScript(watchFrames);
    await new Promise((resolve) => setTimeout(resolve, 6000));
    return driver.executeScript<number[]>(gaps);
  };
  try {
    await driver.get(`${address}/boats/sable-wren/calibrate`);
    await (await find(driver, '[data-calibration="heading-e-compass"]')).click();
    await new Promise((resolve) => setTimeout(resolve, 1500));
    const atRest = await watched();
    await fetch(source, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Bench', connection: { by: 'simulated boat', seed: 7, pace: 1 } }),
    });
    await find(driver, 'gk-live-run');
    await new Promise((resolve) => setTimeout(resolve, 2000));
    const moving = await watched();
    return { gapP95: p95(moving), restGapP95: p95(atRest) };
  } finally {
    await fetch(source, { method: 'DELETE' });
    await close();
  }
};

export interface FirstView {
  readonly kilobytes: number;
  readonly milliseconds: number;
}

/** Opens the application with an empty cache, five times: what is carried, and how long until the fleet is there. */
export const firstView = async (address: string, slowed = 1): Promise<FirstView> => {
  const seen: FirstView[] = [];
  for (let i = 0; i < 5; i++) {
    const { driver, close } = await openBrowser(1280, 800, { slowed });
    try {
      await driver.get(address);
      await find(driver, '[data-boat]');
      seen.push(
        await driver.executeScript<FirstView>(`
          const all = [...performance.getEntriesByType('navigation'), ...performance.getEntriesByType('resource')];
          return {
            kilobytes: all.reduce((sum, { transferSize }) => sum + transferSize, 0) / 1000,
            milliseconds: Math.max(...all.map(({ responseEnd }) => responseEnd), performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0),
          };`),
      );
    } finally {
      await close();
    }
  }
  return {
    kilobytes: median(seen.map(({ kilobytes }) => kilobytes)),
    milliseconds: median(seen.map(({ milliseconds }) => milliseconds)),
  };
};

/** Events that lie in no other: what is counted once is not counted again inside it. */
const topLevel = (events: readonly TraceEvent[]): TraceEvent[] => {
  let end = 0;
  return [...events]
    .sort((a, b) => a.ts - b.ts || (b.dur ?? 0) - (a.dur ?? 0))
    .filter(({ ts, dur }) => {
      if (ts < end) return false;
      end = ts + (dur ?? 0);
      return true;
    });
};
