import { findings } from '@grey-keel/core';
import type { Finding, Plan } from '@grey-keel/model';
import { everyFault } from '../packages/core/src/testing/every-fault.ts';
import { startApplication } from '../tools/application.ts';
import { bring } from './support/bring.ts';
import { eventually, find } from './support/browser.ts';
import { pointer } from './support/hands.ts';
import { inBrowser } from './support/in-browser.ts';
import { findingIs } from './support/job.ts';
import { follow } from './support/views.ts';

const minutes = 60_000;

/** What is registered under where a fix leads, as the interface marks it. */
const placeOf = ({ fix: { target } }: Finding): string =>
  'path' in target ? target.path.join('/') : [target.action, ...target.of].join(': ');

describe('the fix of every finding', () => {
  const here = inBrowser();

  let brought = 0;
  const broughtIn = async (id: string, plan: Plan): Promise<void> => {
    // A server takes so many bundles a minute.
    if ((brought += 1) % 50 === 0) {
      await here.app.remove();
      here.app = await startApplication();
    }
    await bring(here.app.address, id, plan);
  };

  [...everyFault()].forEach(([name, plan], i) =>
    it(
      `leads to the field that puts it right, or does it: ${name}`,
      async () => {
        const { driver } = here.browser;
        const finding = findings(plan).find(({ id }) => id.split(':')[0] === name.split(':')[0]);
        if (!finding) return fail('nothing is found');
        await broughtIn(`fault-${i}`, plan);
        await follow(here.browser, here.app.address, `boats/fault-${i}/${finding.stage}`);
        await find(driver, '.sheet');
        await findingIs(driver, finding.id, true);
        await pointer(driver).press(`[data-finding="${finding.id}"] .fix`);
        if (finding.fix.edits) return expect(await findingIs(driver, finding.id, false)).toBeFalse();
        // A thing is found at its first field.
        const places = await eventually(
          () =>
            driver.executeScript<string[]>(`
            const places = [];
            for (let at = document.activeElement; at; at = at.parentElement)
              if (at.dataset.place) places.push(at.dataset.place);
            return places`),
          (there) => there.includes(placeOf(finding)),
          `the focus at ${placeOf(finding)}`,
        );
        expect(places).toContain(placeOf(finding));
      },
      minutes,
    ),
  );
});
