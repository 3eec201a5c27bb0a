import type { WebDriver } from 'selenium-webdriver';
import { eventually } from './browser.ts';
import type { Hands } from './hands.ts';

/** Hands that know nothing of the page but what stands on it: every element is found by the words a person sees. */
export interface LabelHands {
  readonly press: (words: string) => Promise<void>;
  readonly fill: (words: string, text: string) => Promise<void>;
  readonly choose: (words: string, entry: string) => Promise<void>;
  /** How many actions were made so far. */
  readonly count: () => number;
}

/** Marks what is called so and can be acted on, the last one drawn where several are; what lies over the page comes before it. */
const marking = `
  const [words, mark] = arguments;
  const plain = (text) => (text ?? '').replace(/\\s+/g, ' ').trim();
  const named = (one) => [
    one.getAttribute('aria-label'),
    (one.getAttribute('aria-labelledby') ?? '').split(' ').map((id) => document.getElementById(id)?.innerText ?? '').join(' '),
    one.id && document.querySelector('label[for="' + CSS.escape(one.id) + '"]')?.innerText,
    one.closest('label')?.innerText,
    one.innerText,
  ].map(plain).filter((name) => name !== '');
  const seen = (one) => one.getClientRects().length > 0 && getComputedStyle(one).visibility !== 'hidden' && !one.disabled;
  const all = [...document.querySelectorAll('button, a[href], input, textarea, [role=combobox], [role=tab]')].filter(seen);
  const over = all.filter((one) => one.closest('[role=dialog], .p-drawer'));
  for (const among of [over, all])
    for (const same of [(name) => name === words, (name) => name.startsWith(words)]) {
      const found = among.filter((one) => named(one).some(same));
      const one = found.find((each) => each.closest('main')) ?? found.at(-1);
      if (one) {
        one.setAttribute('data-walked', mark);
        return true;
      }
    }
  return false;
`;

export const byLabel = (driver: WebDriver, hands: Hands): LabelHands => {
  let actions = 0;
  const found = async (words: string): Promise<string> => {
    actions += 1;
    const mark = String(actions);
    await eventually(
      () => driver.executeScript<boolean>(marking, words, mark),
      (there) => there,
      `something called "${words}"`,
    );
    return `[data-walked="${mark}"]`;
  };
  return {
    press: async (words) => hands.press(await found(words)),
    fill: async (words, text) => hands.fill(await found(words), text),
    choose: async (words, entry) => hands.choose(await found(words), entry),
    count: () => actions,
  };
};
