import { openBrowser, type Browser } from './support/browser.ts';
import { textFaults } from '../tools/look/text-faults.ts';

describe('the look for texts that cannot be read', () => {
  let browser: Browser;
  beforeAll(async () => {
    browser = await openBrowser();
  });
  afterAll(() => browser.close());

  const on = async (body: string): Promise<string[]> => {
    const page = `<!doctype html><body style="font:16px sans-serif">${body}`;
    await browser.driver.get(`data:text/html;charset=utf-8,${encodeURIComponent(page)}`);
    return textFaults(browser.driver);
  };
  const narrow = 'width:60px;white-space:nowrap;overflow:hidden';
  const ellipsis = `${narrow};text-overflow:ellipsis`;

  it('finds nothing where texts stand apart, are hidden, scroll, or say elsewhere what was cut', async () => {
    const fine = `<p>First</p><p>Second</p><p style="visibility:hidden;margin-top:-30px">Hidden over it</p>
      <p style="${ellipsis}" title="A name that is long">A name that is long</p>
      <p style="${narrow};overflow:auto">A line that scrolls in its frame</p>
      <div style="position:fixed;top:0;left:0;background:rgb(255,255,255)">A panel over the page</div>`;
    expect(await on(fine)).toEqual([]);
  });

  it('names what lies over one another, in drawings too', async () => {
    expect(await on('<p>Below</p><p style="margin-top:-30px">Above</p>')).toEqual([
      'over one another: "Below" and "Above"',
    ]);
    const drawn = await on(
      '<svg><text x="20" y="40">12</text><text x="24" y="42" pointer-events="none">13</text></svg>',
    );
    expect(drawn).toEqual(['over one another: "12" and "13"']);
  });

  it('names what is cut, and what is shortened and nowhere whole', async () => {
    expect(await on(`<p style="${narrow}">A name that is long</p>`)).toEqual(['cut: A name that is long']);
    expect(await on(`<p style="${ellipsis}">A name that is long</p>`)).toEqual([
      'cut, and nowhere whole: A name that is long',
    ]);
  });
});
