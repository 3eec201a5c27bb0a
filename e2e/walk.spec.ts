import { By, Key } from 'selenium-webdriver';
import { eventually, find, textOf } from './support/browser.ts';
import { byLabel, type LabelHands } from './support/by-label.ts';
import { type Hands, keyboard, pointer, tapInto, touch } from './support/hands.ts';
import { inBrowser } from './support/in-browser.ts';
import { downloaded, saved } from './support/job.ts';

const minutes = 60_000;
/** What a newcomer may need from an empty fleet to the printed card. */
const mostActions = 110;

describe('a newcomer', () => {
  const here = inBrowser('anew', async ({ app, browser: { driver } }) => {
    await driver.get(app.address);
    await find(driver, '[data-boat="sable-wren"]');
  });

  /** What the strip says is still to do. */
  const stillToDo = (): Promise<string[]> =>
    here.browser.driver.executeScript<string[]>(
      `return [...document.querySelectorAll('.needs button')].map((one) => one.innerText.trim())`,
    );
  const asks = (words: string): Promise<string[]> =>
    eventually(stillToDo, (list) => list.some((one) => one.includes(words)), `the strip to ask: ${words}`);
  const stage = (title: string): Promise<string> =>
    eventually(
      () => textOf(here.browser.driver, '#stage-title'),
      (text) => text === title,
      title,
    );

  /** Follows the strip of every stage from an empty fleet to the card; gives the actions of each stage. */
  const walk = async (hands: Hands): Promise<Record<string, number>> => {
    const { driver } = here.browser;
    const at: LabelHands = byLabel(driver, hands);
    const counts: Record<string, number> = {};
    let before = 0;
    const done = async (title: string, next: string): Promise<void> => {
      await eventually(stillToDo, (list) => list.length === 0, `${title} to be done`);
      if (next !== '') {
        await at.press(`Next: ${next}`);
        await stage(next);
      }
      counts[title] = at.count() - before;
      before = at.count();
    };

    await at.press('Add a boat');
    await at.fill('Name of the boat', 'Ochre Tern');
    await at.choose('Start from', 'open boat, one outboard');
    await at.press('Add boat');
    await stage('Brief');
    await asks('give draught');
    await at.fill('Draught to the keel', '0.4');
    await asks('give a water');
    await at.press('Add a water');
    await at.fill('Usual temperature', '12');
    await at.fill('Usual deepest', '12');
    await at.fill('Greatest depth', '30');
    await asks('give target species');
    await at.press('Add a target species');
    await at.fill('Species or object', 'Perch');
    await asks('look over what is assumed');
    await at.press('All of these are right');
    await at.choose('Display', 'Display 13, five keys');
    await done('Brief', 'Beams');

    await asks('choose a transducer');
    await at.press('1');
    await at.press('Choose In-hull');
    await done('Beams', 'Fit');

    await at.press('put the screen of Helm where it stands');
    await at.press('Add it to the boat');
    await at.press('connect ');
    await at.choose('Its cable goes to', 'Helm');
    await at.press('say which circuit');
    await at.press('Add a circuit');
    await at.press('Add a load');
    await at.choose('Device', 'Helm');
    await done('Fit', 'Sources');

    await asks('read the tag');
    await at.fill('The tag on its cable says', 'type 7');
    await at.fill('Type selected on the display', 'type 7');
    await at.fill('Listed as', 'Helm sonar');
    await at.press('say where Helm takes its depth from');
    await at.choose('depth from', 'Helm sonar');
    await at.choose('Water type', 'fresh');
    await at.choose('Unit and step of depth', 'm');
    await at.choose('North', 'true');
    await done('Sources', 'Calibrate');

    await asks('measure the depth offset');
    for (const [i, [lead, shown]] of [
      ['5', '4.6'],
      ['9', '8.6'],
      ['12', '11.6'],
    ].entries()) {
      await at.fill(`Lead line, reading ${i + 1}`, lead ?? '');
      await at.fill(`Displayed, reading ${i + 1}`, shown ?? '');
    }
    await at.press('I have entered +0.40 m');
    await at.press('set a shallow alarm');
    await at.fill('shallow water at Helm', '2');
    // Where the alarm is set the next stage is offered, too: with it the calibration is whole.
    await done('Calibrate', 'Pages');

    await asks('show a page while running at Helm');
    await at.press('Make the first suggestion for all 4');
    await done('Pages', 'Keys');

    await asks('put something on a key of Helm');
    await at.choose('Key 1, short press', 'page: ');
    await done('Keys', 'Handover');

    await asks('print the card');
    await at.press('Dash cards as PDF');
    await done('Handover', '');
    await saved(driver);
    expect(await downloaded(here.browser, '.pdf')).toContain('.pdf');
    expect(await textOf(driver, 'gk-ladder')).toContain('8 of 8 done');
    expect((await driver.findElements(By.css('gk-finding .stop'))).length).toBe(0);
    return counts;
  };

  const told = (counts: Record<string, number>): number => {
    const sum = Object.values(counts).reduce((whole, one) => whole + one, 0);
    console.log(
      `actions: ${sum} (${Object.entries(counts)
        .map(([name, count]) => `${name} ${count}`)
        .join(', ')})`,
    );
    return sum;
  };

  it(
    'takes a boat from nothing to the printed card by the words on the page, in fewer than a hundred and ten actions',
    async () => {
      expect(told(await walk(pointer(here.browser.driver)))).toBeLessThanOrEqual(mostActions);
    },
    6 * minutes,
  );

  it(
    'does so by the keyboard alone',
    async () => {
      expect(told(await walk(keyboard(here.browser.driver)))).toBeLessThanOrEqual(mostActions);
    },
    8 * minutes,
  );

  it(
    'does so by touch at the size of a tablet',
    async () => {
      await here.browser.resize(1024, 768);
      const finger = touch(here.browser);
      const { driver } = here.browser;
      // What is typed is left by the next key of the board on the screen: Enter would send the form off.
      const fill = async (css: string, text: string): Promise<void> => {
        await tapInto(driver, finger.press, css);
        await driver.actions().sendKeys(text, Key.TAB).perform();
      };
      expect(told(await walk({ ...finger, fill }))).toBeLessThanOrEqual(mostActions);
    },
    6 * minutes,
  );
});
