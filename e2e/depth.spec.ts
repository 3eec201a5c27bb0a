import { find, textOf } from './support/browser.ts';
import { pointer, type Hands } from './support/hands.ts';
import { inBrowser } from './support/in-browser.ts';
import { findingIs } from './support/job.ts';

const minutes = 60_000;

describe('what can ground a boat', () => {
  let hands: Hands;
  const here = inBrowser('once', ({ browser }) => {
    hands = pointer(browser.driver);
    return Promise.resolve();
  });
  const show = async (stage: string): Promise<void> => {
    await here.browser.driver.get(`${here.app.address}/boats/sable-wren/${stage}`);
    await find(here.browser.driver, '.sheet');
  };
  const is = (id: string, there = true): Promise<boolean> => findingIs(here.browser.driver, id, there);
  const said = (id: string): Promise<string> => textOf(here.browser.driver, `[data-finding^="${id}"]`);
  /** Shows one transducer's depth, and waits for it: what was shown before has fields of the same kind. */
  const look = async (id: string): Promise<void> => {
    await hands.press(`[data-calibration="depth-${id}"]`);
    await find(here.browser.driver, `#offset-${id}`);
  };
  const record = async (lead: string, shown: string): Promise<void> => {
    const id = (await (await find(here.browser.driver, 'tr[data-reading="new"] input')).getAttribute('id')) ?? '';
    await hands.fill(`#${id}`, lead);
    await hands.fill(`#${id.replace('reading-', 'shown-')}`, shown);
  };

  it(
    'is said of the readings: another water, too few, more water than there is, a face in the air',
    async () => {
      await show('calibrate');
      await look('a-wide');
      await record('20', '19.5');
      await record('25', '24.5');
      await is('offset-scale', false);
      await hands.fill('#reading-temperature-a-wide', '20');
      await is('offset-scale:a-wide');
      await hands.fill('#reading-temperature-a-wide', '9');
      await is('offset-scale', false);
      // What looks ahead feeds a display its depth: it has to have an offset like any other.
      await is('offset-missing:d-ahead');
      await look('d-ahead');
      await hands.choose('#reading-set-to-d-ahead', 'fresh');
      await record('5', '5.6');
      await is('offset-few:d-ahead');
      await is('offset-above-water:d-ahead');
      await hands.fill('#offset-set', '0.5');
      await is('offset-unsafe:d-ahead');
      expect(await said('offset-unsafe:d-ahead')).toContain('too much water');
    },
    2 * minutes,
  );

  it(
    'is said of the alarm: the part that touches first, in the display’s own unit, and the fallback',
    async () => {
      await show('calibrate');
      await look('a-wide');
      await hands.press('#enter-offset');
      await is('offset-stale:a-wide', false);
      expect(await textOf(here.browser.driver, '#result')).toContain(
        'Port propeller’s skeg reaches 0.42 m below the keel',
      );
      await show('sources');
      await hands.fill('#alarm-shallow-a-helm-port', '1.5');
      await is('alarm-shallow-late:a-helm-port');
      // 1.04 m when the skeg touches, less what the display's step took off the offset; a tenth of tolerance, half a metre.
      expect(await said('alarm-shallow-late')).toContain('when Port propeller’s skeg touches');
      const needed = async (unit: string): Promise<number> =>
        Number(new RegExp(`has to be (\\d+\\.\\d).${unit}`).exec(await said('alarm-shallow-late'))?.[1]);
      expect(await needed('m')).toBeGreaterThanOrEqual(1.6);
      expect(await needed('m')).toBeLessThanOrEqual(1.7);
      await hands.choose('#unit-depth-a-helm-port', 'ft, steps 0.1');
      await hands.fill('#alarm-shallow-a-helm-port', '4.7 ft');
      await is('alarm-shallow-late:a-helm-port');
      expect(await said('alarm-shallow-late')).toMatch(/sounds at 4\.7.ft/);
      const feet = await needed('ft');
      expect(feet * 0.3048).toBeGreaterThan(1.53);
      expect(feet * 0.3048).toBeLessThan(1.68);
      await hands.fill('#alarm-shallow-a-helm-port', `${(feet - 0.1).toFixed(1)} ft`);
      await is('alarm-shallow-late:a-helm-port');
      await hands.fill('#alarm-shallow-a-helm-port', `${feet.toFixed(1)} ft`);
      await is('alarm-shallow-late', false);
      // 24 knots over five degrees for ten seconds are 10.8 m of water.
      expect(await textOf(here.browser.driver, 'gk-act-in-time')).toMatch(/running 24\.0.kn 10\.8.m/);
      await hands.choose('#unit-water-a-helm-port', 'own figure');
      await is('water-type:a-helm-port');
      expect(await said('water-type:a-helm-port')).toContain('1500.0 m/s');
      await show('calibrate');
      await look('b-narrow');
      await hands.press('#offset-reference p-togglebutton:nth-of-type(2)');
      await is('fallback-reference:a-helm-port');
    },
    2 * minutes,
  );

  it(
    'is said of values that cannot be: water shallower than the boat is deep, and working under its bottom',
    async () => {
      await show('brief');
      await hands.fill('#water-shallowest-a-ostrel', '0.8');
      await is('too-shallow');
      await hands.press('#add-loading');
      await hands.fill('[id^="loading-draught-"]', '0.9');
      // 0.9 m and 0.42 m of leg below the keel.
      await hands.fill('#water-shallowest-a-ostrel', '1.4');
      await is('too-shallow', false);
      await hands.fill('#water-shallowest-a-ostrel', '1.3');
      await is('too-shallow');
      await show('beams');
      await hands.fill('#working-depth', '141');
      await is('order-of-values:working-depth');
      // It is of the brief: there it stands open.
      await show('brief');
      expect(await said('order-of-values:working-depth')).toContain('141.0 m, and that is more than'.slice(0, 3));
    },
    2 * minutes,
  );
});
