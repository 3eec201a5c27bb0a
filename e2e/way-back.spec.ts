import { By, Key } from 'selenium-webdriver';
import { eventually, find, says, seriousFaults, textOf } from './support/browser.ts';
import { type Hands, pointer } from './support/hands.ts';
import { inBrowser } from './support/in-browser.ts';
import { byLabel } from './support/by-label.ts';
import { actOn, saved } from './support/job.ts';

describe('the way back', () => {
  let hands: Hands;
  const here = inBrowser('once', ({ browser }) => {
    hands = pointer(browser.driver);
    return Promise.resolve();
  });
  const drive = () => here.browser.driver;
  const open = (path: string): Promise<void> => drive().get(`${here.app.address}/${path}`);
  const chosenTab = (name: string): Promise<string | null> =>
    eventually(
      () => find(drive(), `[data-tab="${name}"]`).then((tab) => tab.getAttribute('aria-selected')),
      (selected) => selected === 'true',
      `the tab ${name} to be chosen`,
    );
  const reload = async (): Promise<void> => {
    await saved(drive());
    // As soon as a person would: what can be undone is noted a moment after the change.
    await new Promise((resolve) => setTimeout(resolve, 400));
    await drive().navigate().refresh();
    await find(drive(), '#stage-title');
  };

  it('keeps the tab and the open thing over a reload, back and forward, and names the boat in the window', async () => {
    await open('boats/sable-wren/fit');
    await hands.press('[data-tab=power]');
    await chosenTab('power');
    await hands.press('[data-tab=network]');
    await reload();
    await chosenTab('network');
    await drive().navigate().back();
    await chosenTab('power');
    await drive().navigate().forward();
    await chosenTab('network');
    expect(await drive().getTitle()).toBe('Sable Wren, Fit - Grey Keel');
    await open('boats/sable-wren/calibrate');
    await hands.press('[data-calibration="pointing-d-ahead"]');
    await reload();
    expect(await textOf(drive(), 'gk-sensor-procedure h2')).toContain('Pointing');
  }, 60_000);

  it('has a station with its pages, and a page, back by undo after a reload, step by step by their names', async () => {
    const count = async (path: string): Promise<number> => {
      const { plan } = (await (await fetch(`${here.app.address}/api/boats/old-marl`)).json()) as {
        plan: Record<string, object>;
      };
      return Object.keys(plan[path] ?? {}).length;
    };
    const becomes = (path: string, wanted: number): Promise<number> =>
      eventually(
        () => count(path),
        (now) => now === wanted,
        `${wanted} ${path}`,
      );
    const [stations, pages] = [await count('stations'), await count('pages')];
    await open('boats/old-marl/brief');
    await hands.press('[aria-label^="Delete station"]');
    await becomes('stations', stations - 1);
    await reload();
    await hands.press('[aria-label^="Undo"]');
    await becomes('stations', stations);
    await becomes('pages', pages);

    await open('boats/old-marl/pages');
    await hands.press('[id^="cell-"]');
    await eventually(
      async () => {
        for (const button of await drive().findElements(By.css('main button')))
          if ((await button.getText()) === 'Delete page') return button.click().then(() => true);
        return false;
      },
      (done) => done,
      'the page to be deleted',
    );
    await becomes('pages', pages - 1);
    await reload();
    await hands.press('#undo-steps');
    // Shown, not only there: an empty text is one nobody sees.
    const step = '.p-popover li:first-child button';
    await eventually(
      () => textOf(drive(), step),
      (text) => text !== '',
      'the steps by their names',
    );
    await hands.press(step);
    expect(await becomes('pages', pages)).toBe(pages);
  }, 90_000);

  it('goes back to a state that was given a name, after a reload, and from there again by undo', async () => {
    const stations = async (): Promise<number> => {
      const { plan } = (await (await fetch(`${here.app.address}/api/boats/old-marl`)).json()) as {
        plan: { stations: object };
      };
      return Object.keys(plan.stations).length;
    };
    const before = await stations();
    const become = (wanted: number): Promise<number> =>
      eventually(stations, (now) => now === wanted, `${wanted} stations`);
    await open('boats/old-marl/brief');
    await hands.press('#undo-steps');
    await hands.press('#name-point');
    await says(drive(), '#point-problem', 'Name of this state: A name is needed.');
    await hands.fill('#point-name', 'As handed over');
    await hands.press('#name-point');
    await says(drive(), '[data-point="As handed over"]', 'As handed over');
    expect(await find(drive(), '#point-name').then((field) => field.getAttribute('value'))).toBe('');
    expect(await seriousFaults(drive())).toEqual([]);
    await drive().actions().sendKeys(Key.ESCAPE).perform();
    await hands.press('[aria-label^="Delete station"]');
    await become(before - 1);
    await reload();
    await hands.press('#undo-steps');
    await hands.press('[data-point="As handed over"]');
    await become(before);
    await hands.press('[aria-label^="Undo"]');
    expect(await become(before - 1)).toBe(before - 1);
  }, 90_000);

  it('has a transducer back by undo after a reload, and what was typed and not saved in its field', async () => {
    const transducers = async (): Promise<number> => {
      const { plan } = (await (await fetch(`${here.app.address}/api/boats/sable-wren`)).json()) as {
        plan: { transducers: object };
      };
      return Object.keys(plan.transducers).length;
    };
    const before = await transducers();
    await open('boats/sable-wren/beams');
    await hands.press('[id^="change-"]');
    await byLabel(drive(), hands).press('Delete ');
    await eventually(transducers, (now) => now === before - 1, 'one to be gone');
    await reload();
    await hands.press('[aria-label^="Undo"]');
    await eventually(transducers, (now) => now === before, 'it to be back');

    await open('boats/sable-wren/brief');
    for (const [typed, problem] of [
      ['0.71', 'not saved yet'],
      ['waist deep', 'not saved yet'],
    ] as const) {
      const field = await find(drive(), '#boat-draught');
      await drive().executeScript('arguments[0].focus(); arguments[0].select()', field);
      await field.sendKeys(typed);
      await drive().navigate().refresh();
      const again = await find(drive(), '#boat-draught');
      expect(await again.getAttribute('value')).toBe(typed);
      expect(await textOf(drive(), '#boat-draught-problem')).toContain(problem);
    }
  }, 90_000);

  it('has a deleted boat back after a reload, from the list of them', async () => {
    await open('');
    await actOn(drive(), hands, 'Pewter Skua', 'Delete');
    await eventually(
      () => drive().findElements(By.css('[data-boat="pewter-skua"]')),
      (rows) => rows.length === 0,
      'the boat to be gone',
    );
    await drive().navigate().refresh();
    await hands.press('#open-removed');
    await hands.press('[aria-label="Restore Pewter Skua"]');
    expect(await (await find(drive(), '[data-boat="pewter-skua"]')).isDisplayed()).toBeTrue();
  }, 60_000);
});
