import { startApplication, type Application } from '../../tools/application.ts';
import { openBrowser, type Browser } from './browser.ts';

export interface InBrowser {
  app: Application;
  browser: Browser;
}

/** The application and a browser for the specs of one `describe`, or anew for each spec. `then` is done once they run. */
export const inBrowser = (
  how: 'once' | 'anew' = 'once',
  then: (here: InBrowser) => Promise<unknown> = () => Promise.resolve(),
): InBrowser => {
  // Nothing is there before the first spec begins.
  const here = {} as InBrowser;
  let opening: Promise<unknown>[] = [];
  const [before, after] = how === 'once' ? [beforeAll, afterAll] : [beforeEach, afterEach];
  before(async () => {
    const app = startApplication().then((made) => (here.app = made));
    const browser = openBrowser().then((made) => (here.browser = made));
    opening = [app, browser];
    await Promise.all(opening);
    await then(here);
  });
  // Also where what is above took too long and nobody waits for it any more.
  after(async () => {
    await Promise.allSettled(opening);
    const opened: Partial<InBrowser> = here;
    await opened.browser?.close();
    await opened.app?.remove();
  });
  return here;
};
