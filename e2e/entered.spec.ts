import { says, textOf, eventually, find } from './support/browser.ts';
import { pointer, type Hands } from './support/hands.ts';
import { inBrowser } from './support/in-browser.ts';

const minutes = 60_000;
const station = 'a-helm-port';

describe('what is entered in a display', () => {
  let hands: Hands;
  const here = inBrowser('once', ({ browser }) => {
    hands = pointer(browser.driver);
    return Promise.resolve();
  });
  const show = async (stage: string): Promise<void> => {
    await here.browser.driver.get(`${here.app.address}/boats/sable-wren/${stage}`);
    await find(here.browser.driver, '.sheet');
  };
  const lines = async (): Promise<void> => {
    await show('handover');
    await hands.press('[data-tab="entered"]');
    await find(here.browser.driver, '[data-line]');
  };
  const stands = (line: string, standing: string): Promise<string | null> =>
    eventually(
      async () => (await find(here.browser.driver, `[data-line="${line}"]`)).getAttribute('data-standing'),
      (found) => found === standing,
      `${line}: ${standing}`,
    );
  const line = (of: string): Promise<string> => textOf(here.browser.driver, `[data-line="${of}"]`);

  it(
    'once is seen by every reader: sound, north and sides from Sources to the list and back again',
    async () => {
      await show('sources');
      await hands.choose(`#unit-water-${station}`, 'salt');
      await hands.choose(`#unit-north-${station}`, 'magnetic');
      await hands.choose(`#unit-sides-${station}`, 'swapped');
      await lines();
      await stands(`sound ${station}`, 'differs');
      expect(await line(`sound ${station}`)).toContain('it holds salt');
      await stands(`north ${station}`, 'differs');
      expect(await line(`north ${station}`)).toContain('it holds magnetic');
      await stands('sides c-sides', 'differs');
      await hands.press('[data-tab="card"]');
      await find(here.browser.driver, 'article.station-card');
      expect(await textOf(here.browser.driver, 'article.station-card')).toContain('salt water');
      await hands.press('[data-tab="entered"]');
      for (const of of [`sound-${station}`, `north-${station}`, 'sides-c-sides', 'sides-d-ahead'])
        await hands.press(`#entered-${of}`);
      for (const of of [`sound ${station}`, `north ${station}`, 'sides c-sides', 'sides d-ahead'])
        await stands(of, 'entered');
      await show('sources');
      await says(here.browser.driver, `#unit-water-${station}`, 'fresh');
      await says(here.browser.driver, `#unit-north-${station}`, 'true');
      await says(here.browser.driver, `#unit-sides-${station}`, 'right');
    },
    2 * minutes,
  );

  it(
    'once is seen by every reader: the antenna’s distance from its procedure, and what an offset is counted from',
    async () => {
      const { driver } = here.browser;
      await show('calibrate');
      await hands.press('[data-calibration="antenna-b-helm-starboard"]');
      await hands.press('#enter-calibration');
      await find(driver, '#result [data-standing="entered"]');
      await show('sources');
      expect(await (await find(driver, '#unit-antenna-b-helm-starboard')).isSelected()).toBeTrue();
      await lines();
      await hands.press('#entered-device .p-togglebutton:nth-of-type(2)');
      await stands('antenna-offset b-helm-starboard', 'entered');
      await hands.press('#entered-device .p-togglebutton:nth-of-type(1)');
      expect(await line('depth-offset a-wide')).toContain('from the waterline');
      await show('calibrate');
      await hands.press('[data-calibration="depth-a-wide"]');
      await hands.press('#offset-reference .p-togglebutton:nth-of-type(2)');
      await find(driver, '#result [data-standing="differs"]');
      await lines();
      await stands('depth-offset a-wide', 'differs');
      expect(await line('depth-offset a-wide')).toContain('from the keel');
    },
    2 * minutes,
  );

  it(
    'is asked for again once the display was reset, each line until it is seen',
    async () => {
      // Of the bow, since what the other specs enter stands on the helm.
      await lines();
      await hands.press('#entered-device .p-togglebutton:nth-of-type(3)');
      await hands.press('gk-fold .p-accordionheader');
      await hands.press('#device-reset');
      await stands('north c-bow', 'look again');
      await stands('sound c-bow', 'look again');
      await hands.press('#seen-north-c-bow');
      await stands('north c-bow', 'right as found');
      expect(await line('sound c-bow')).toContain('was reset');
      await stands('sound c-bow', 'look again');
    },
    minutes,
  );
});
