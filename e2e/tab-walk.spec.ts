import { openBrowser, type Browser } from './support/browser.ts';
import { walkByTab, type TabWalk } from '../tools/look/tab-walk.ts';

describe('the walk by Tab', () => {
  let browser: Browser;
  beforeAll(async () => {
    browser = await openBrowser();
  });
  afterAll(() => browser.close());

  const walked = async (body: string, script = ''): Promise<TabWalk> => {
    const page = `<!doctype html><style>:focus{outline:3px solid teal}.none:focus{outline:none}</style>${body}<script>${script}</script>`;
    await browser.driver.get(`data:text/html;charset=utf-8,${encodeURIComponent(page)}`);
    return walkByTab(browser.driver);
  };
  const three = '<button id="a">A</button><input id="b" aria-label="B"><button id="c">C</button>';

  it('finds nothing on a page that is in order', async () => {
    const { count, missed, lost, thin } = await walked(three);
    expect({ count, missed, thin }).toEqual({ count: 3, missed: [], thin: [] });
    expect(lost).toBeLessThanOrEqual(1);
  });

  it('names what lies behind a loop', async () => {
    const loop = `b.addEventListener('keydown', (event) => { if (event.key === 'Tab') { event.preventDefault(); a.focus(); } });`;
    const { missed, again } = await walked(three, loop);
    expect(missed).toEqual(['BUTTON #c C']);
    expect(again).toContain('#a');
  });

  it('counts a focus that is lost', async () => {
    const { lost } = await walked(three, `b.addEventListener('focus', () => b.blur());`);
    expect(lost).toBeGreaterThan(1);
  });

  it('names a field without a ring', async () => {
    const { thin } = await walked(three.replace('aria-label', 'class="none" aria-label'));
    expect(thin).toEqual(['INPUT #b B']);
  });
});
