import type { WebDriver } from 'selenium-webdriver';

/**
 * Texts of the open page that lie over one another, or are cut without an ellipsis, or with one and no way to read the
 * whole. Letters may touch: what counts is more than `slackPx` in both directions.
 */
const script = `
  const slackPx = 2;
  // What is not drawn before it is scrolled to stands in a box of a guessed height: here it is drawn.
  const all = document.createElement('style');
  all.textContent = '* { content-visibility: visible !important }';
  document.head.append(all);
  const shown = (one) => one.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true });
  const clips = (one) => /hidden|clip|auto|scroll/.test(getComputedStyle(one).overflowX + getComputedStyle(one).overflowY);
  const scrolls = (one) => /auto|scroll/.test(getComputedStyle(one).overflowX + getComputedStyle(one).overflowY);
  const faults = [];
  const texts = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const words = node.textContent.trim();
    const holder = node.parentElement;
    if (words === '' || !holder || holder.closest('option, script, style, title') || !shown(holder)) continue;
    if (words.includes('{{')) faults.push('not written out: ' + words.slice(0, 50));
    const range = document.createRange();
    range.selectNodeContents(node);
    // What is there for a reader alone is a pixel in size.
    let seen = { left: 0, top: -1e6, right: innerWidth, bottom: 1e6 };
    // What cuts at the left and at the right: of frames within frames not always the inmost one.
    let cutLeft = null, cutRight = null;
    for (let at = holder; at && at !== document.body; at = at.parentElement) {
      if (!clips(at)) continue;
      const box = at.getBoundingClientRect();
      if (box.left > seen.left) cutLeft = at;
      if (box.right < seen.right) cutRight = at;
      seen = { left: Math.max(seen.left, box.left), top: Math.max(seen.top, box.top), right: Math.min(seen.right, box.right), bottom: Math.min(seen.bottom, box.bottom) };
    }
    for (const box of range.getClientRects()) {
      const left = Math.max(box.left, seen.left), right = Math.min(box.right, seen.right);
      const top = Math.max(box.top, seen.top), bottom = Math.min(box.bottom, seen.bottom);
      if (right - left < 1.5 || bottom - top < 1.5) continue;
      texts.push({ words, holder, left, right, top, bottom });
      const lost = Math.max(box.right - right, left - box.left);
      const frame = box.right - right > left - box.left ? cutRight : cutLeft;
      if (lost > slackPx && frame && !scrolls(frame)) {
        const ellipsis = [holder, frame].some((one) => getComputedStyle(one).textOverflow === 'ellipsis');
        const whole = holder.closest('[title], [aria-label]') || frame.closest('[title], [aria-label]');
        if (!ellipsis || !whole) faults.push('cut' + (ellipsis ? ', and nowhere whole' : '') + ': ' + words.slice(0, 50));
      }
    }
  }
  texts.sort((a, b) => a.left - b.left);
  for (let i = 0; i < texts.length; i++)
    for (let j = i + 1; j < texts.length && texts[j].left < texts[i].right - slackPx; j++) {
      const [a, b] = [texts[i], texts[j]];
      if (a.holder === b.holder || Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) <= slackPx + 2) continue;
      if (Math.min(a.right, b.right) - Math.max(a.left, b.left) <= slackPx) continue;
      // What lies in a panel over the page is not over its text: the page is behind it.
      const layerOf = (one) => {
        for (let at = one; at && at !== document.body; at = at.parentElement) {
          const style = getComputedStyle(at);
          if (/absolute|fixed|sticky/.test(style.position) && /^rgb\\(/.test(style.backgroundColor)) return at;
        }
        return null;
      };
      const [over, under] = [layerOf(a.holder), layerOf(b.holder)];
      if (over !== under && ((over && !over.contains(b.holder)) || (under && !under.contains(a.holder)))) continue;
      faults.push('over one another: "' + a.words.slice(0, 40) + '" and "' + b.words.slice(0, 40) + '"');
    }
  all.remove();
  return [...new Set(faults)];
`;

export const textFaults = (driver: WebDriver): Promise<string[]> => driver.executeScript<string[]>(script);
