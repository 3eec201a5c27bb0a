import { Key, type WebDriver } from 'selenium-webdriver';

/** Everything a keyboard can stop at; of a group of radio buttons only the one that is chosen. */
const stops = `[...document.querySelectorAll('a[href], button:not([disabled]), input:not([disabled]), textarea:not([disabled]), summary, [tabindex="0"]')]
  .filter((one) => one.checkVisibility({ visibilityProperty: true }) && one.tabIndex >= 0)
  .filter((one) => one.type !== 'radio' || one.checked)`;

export interface TabWalk {
  readonly count: number;
  /** What Tab never came to, by name: a loop or a lost focus leaves these. */
  readonly missed: readonly string[];
  /** Where the walk came back to. */
  readonly again: string;
  /** Times nothing had the focus: once at the end of a page, when it leaves for the browser's own bar. */
  readonly lost: number;
  /** Fields without a ring of 3 px while they have the focus. */
  readonly thin: readonly string[];
}

/** Whether a field has no ring of 3 px. The library draws a box beside a tick, which is not seen itself, and a list's ring around the whole of it. */
const isThin = `(at) => {
  const box = at.matches('.p-checkbox-input, .p-radiobutton-input') ? at.nextElementSibling : at.matches('.p-select-label') ? at.parentElement : at;
  const { outlineStyle, outlineWidth } = getComputedStyle(box);
  const field = at.matches('input, textarea, [role=combobox], .p-slider-handle') && !at.closest('gk-file-button');
  return field && (outlineStyle === 'none' || Number.parseFloat(outlineWidth) < 3);
}`;

/** Presses Tab from the top of a page until it comes back to somewhere. */
export const walkByTab = async (driver: WebDriver): Promise<TabWalk> => {
  const count = await driver.executeScript<number>(`window.walked = new Set(); return ${stops}.length;`);
  const thin: string[] = [];
  let again = '';
  let lost = 0;
  for (let i = 0; i < 2 * count + 10 && again === '' && lost < 2; i++) {
    await driver.actions().sendKeys(Key.TAB).perform();
    const at = await driver.executeScript<{ state: string; name: string; thin: boolean }>(`
      const at = document.activeElement;
      if (!at || at === document.body) return { state: window.walked.size ? 'body' : 'start', name: '', thin: false };
      const name = at.tagName + ' #' + at.id + ' ' + (at.getAttribute('aria-label') ?? at.textContent.trim()).slice(0, 40);
      const thin = (${isThin})(at);
      const before = window.walked.has(at);
      window.walked.add(at);
      return { state: before ? 'again' : 'new', name, thin };
    `);
    // The library marks a list as focused one frame late.
    if (at.thin) {
      await new Promise((resolve) => setTimeout(resolve, 150));
      if (await driver.executeScript<boolean>(`return (${isThin})(document.activeElement)`)) thin.push(at.name);
    }
    if (at.state === 'body') lost += 1;
    if (at.state === 'again') again = at.name;
  }
  const missed = await driver.executeScript<string[]>(
    `return ${stops}.filter((one) => !window.walked.has(one)).map((one) => one.tagName + ' #' + one.id + ' ' + one.textContent.trim().slice(0, 40));`,
  );
  return { count, missed, again, lost, thin };
};
