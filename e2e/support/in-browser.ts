import { startApplication, type Application } from './application.ts';
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
  const [before, after] = how === 'once' ? [beforeAll, afterAll] : [beforeEach, afterEach];
  before(async () => {
    here.app = await startApplication();
    here.browser = await openBrowser();
    await then(here);
  });
  after(async () => {
    await here.browser.close();
    await here.app.remove();
  });
  return here;
};
