import { Key } from 'selenium-webdriver';
import { eventually, find } from './support/browser.ts';
import { inBrowser } from './support/in-browser.ts';

/** What somebody types, and the place of the plan it is to lead to. */
const wanted: readonly (readonly [words: string, place: string])[] = [
  ['draught to', 'boat/draughtM'],
  ['bottom rise deadrise', 'boat/deadriseDeg'],
  ['usual temperature ostrel', 'waters/a-ostrel/temperatureC'],
  ['ring move', 'show the section'],
  ['absorption by', 'show the absorption'],
  ['start battery', 'power/batteries/a-start/name'],
  ['equipment heading sensor', 'equipment/e-compass/name'],
  ['socket narrow', 'network/links/b-narrow'],
  ['tag narrow', 'sources/b-narrow/tag'],
  ['north at helm, port', 'held/a-helm-port/north/a-helm-port'],
  ['pointing', 'calibrations/pointing/d-ahead'],
  ['keys at helm, port', 'keys/a-helm-port/1-short'],
  ['dash cards', 'cards'],
];

describe('what is typed to be found', () => {
  const here = inBrowser();

  for (const [words, place] of wanted)
    it(`leads to its field: ${words}`, async () => {
      const { driver } = here.browser;
      await driver.get(`${here.app.address}/boats/sable-wren/brief`);
      await find(driver, '.sheet');
      await driver.actions().sendKeys('/').perform();
      await find(driver, '#find-words');
      await eventually(
        () => driver.executeScript<string>('return document.activeElement.id'),
        (id) => id === 'find-words',
        'the field of the panel focused',
      );
      await driver.actions().sendKeys(words, Key.ENTER).perform();
      const places = await eventually(
        () =>
          driver.executeScript<string[]>(`
          const places = [];
          for (let at = document.activeElement; at; at = at.parentElement)
            if (at.dataset.place) places.push(at.dataset.place);
          return places`),
        (there) => there.includes(place),
        `the focus at ${place}`,
      );
      expect(places).toContain(place);
    }, 60_000);
});
