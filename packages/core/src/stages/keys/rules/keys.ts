import type { Edit } from '@grey-keel/model';
import { type Binding, bindingsAt, slotsOf } from '../../../keys/key-slots.ts';
import { actionInWords, isFrequent, isRisky, sameAction } from '../../../keys/action-words.ts';
import { pagesAt } from '../../../plan/pages-at.ts';
import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { eachFitted } from '../../../findings/each-fitted.ts';
import type { FittedStation } from '../../../plan/fitted-stations.ts';
import { at } from '../../../plan/target.ts';

const inWords = ({ station }: FittedStation, { key, press }: Binding): string =>
  `${station.name}, key ${key}, ${press}`;

const bind = (stationId: string, slot: string, action: Binding['action'] | null): Edit[] => [
  { type: 'bindKey', stationId, slot, action },
];

const eachBinding = (find: (fitted: FittedStation, binding: Binding, all: readonly Binding[]) => Found[]) =>
  eachFitted((fitted) => {
    const all = bindingsAt(fitted.plan, fitted.id);
    return all.flatMap((binding) => find(fitted, binding, all));
  });

/** A key the display does not have, or a page that is gone. */
export const keyLost: Rule<'keys'> = {
  id: 'key-lost',
  stage: 'keys',
  severity: 'check',
  find: eachBinding((fitted, binding) => {
    const { id, plan, display } = fitted;
    const { slot, action, key } = binding;
    const there = slotsOf(display).some((one) => one.slot === slot);
    const gone = action.does === 'page' && plan.pages[action.pageId]?.stationId !== id;
    if (there && !gone) return [];
    return [
      {
        subject: `${id}-${slot}`,
        of: [id],
        title: there ? 'A key opens a page that is gone' : 'The display has no such key',
        reason: there
          ? [
              `${inWords(fitted, binding)} opens a page this display no longer has; `,
              figure(pagesAt(plan, id).length, 'count'),
              ' are left.',
            ]
          : [`${inWords(fitted, binding)} is bound; ${display.name} has `, figure(display.keys, 'count'), ' keys.'],
        figure: there ? figure(pagesAt(plan, id).length, 'count') : figure(key, 'count'),
        fix: { label: 'Clear it', target: at('keys', id, slot), edits: bind(id, slot, null) },
      },
    ];
  }),
};

/** On a display that binds to a place: since the key was bound, another page has taken the place. */
export const keyPlace: Rule<'keys'> = {
  id: 'key-place',
  stage: 'keys',
  severity: 'check',
  find: eachBinding((fitted, binding) => {
    const { id, plan, display } = fitted;
    const { slot, action } = binding;
    if (display.keysBindTo !== 'place' || action.does !== 'page') return [];
    const page = plan.pages[action.pageId];
    if (page?.stationId !== id || page.place === action.place) return [];
    const now = pagesAt(plan, id).find((one) => one.page.place === action.place);
    return [
      {
        subject: `${id}-${slot}`,
        of: [id],
        title: 'A key opens another page',
        reason: [
          `${inWords(fitted, binding)} opens place `,
          figure(action.place ?? 0, 'count'),
          `. That was "${page.name}"; it is now ${now ? `"${now.page.name}"` : 'empty'}.`,
        ],
        figure: figure(action.place ?? 0, 'count'),
        fix: {
          label: `Bind it to place ${page.place}`,
          target: at('keys', id, slot),
          edits: bind(id, slot, { ...action, place: page.place }),
        },
      },
    ];
  }),
};

export const keyTwice: Rule<'keys'> = {
  id: 'key-twice',
  stage: 'keys',
  severity: 'check',
  find: eachBinding((fitted, binding, all) => {
    const same = all.filter(({ action }) => sameAction(action, binding.action));
    if (same.length < 2 || same[0] !== binding) return [];
    const last = same[same.length - 1] ?? binding;
    return [
      {
        subject: `${fitted.id}-${binding.slot}`,
        of: [fitted.id],
        title: 'Two presses do the same',
        reason: [
          `${fitted.station.name}: "${actionInWords(fitted.plan, binding.action)}" is on `,
          figure(same.length, 'count'),
          ` presses, ${same.map(({ key, press }) => `key ${key} ${press}`).join(' and ')}.`,
        ],
        figure: figure(same.length, 'count'),
        fix: {
          label: `Clear key ${last.key}, ${last.press}`,
          target: at('keys', fitted.id, last.slot),
          edits: bind(fitted.id, last.slot, null),
        },
      },
    ];
  }),
};

export const keyOnTrailer: Rule<'keys'> = {
  id: 'key-on-trailer',
  stage: 'keys',
  severity: 'check',
  find: eachBinding((fitted, binding) => {
    const { id, plan } = fitted;
    const count = Object.keys(plan.transducers).length;
    if (binding.action.does !== 'start transmitting' || !plan.ways.trailer || count === 0) return [];
    // Where a page of that display is the one for the trailer, the key lies under the thumb there.
    const there = pagesAt(plan, id).some(({ page }) => page.shownIn.trailer);
    return [
      {
        subject: `${id}-${binding.slot}`,
        of: [id],
        severity: there ? ('stop' as const) : ('check' as const),
        title: there ? 'A key transmits on the trailer' : 'A key can transmit on the trailer',
        reason: [
          `${inWords(fitted, binding)} starts `,
          figure(count, 'count'),
          there
            ? ' transducers, and this display has a page for the trailer: out of the water they can burn out.'
            : ' transducers wherever the boat is: out of the water they can burn out.',
        ],
        figure: figure(count, 'count'),
        fix: {
          label: 'Stop transmitting with it instead',
          target: at('keys', id, binding.slot),
          edits: bind(id, binding.slot, { does: 'stop transmitting' }),
        },
      },
    ];
  }),
};

/** One slip from a frequent press: the next key pressed short, or a long press let go too soon. */
const oneSlipFrom = (risky: Binding, other: Binding): boolean =>
  risky.press === 'short' &&
  ((other.press === 'short' && Math.abs(other.key - risky.key) === 1) ||
    (other.press === 'long' && other.key === risky.key));

export const keySlip: Rule<'keys'> = {
  id: 'key-slip',
  stage: 'keys',
  severity: 'check',
  find: eachBinding((fitted, binding, all) => {
    if (!isRisky(binding.action)) return [];
    const near = all.filter((other) => isFrequent(other.action) && oneSlipFrom(binding, other));
    const [first] = near;
    if (!first) return [];
    return [
      {
        subject: `${fitted.id}-${binding.slot}`,
        of: [fitted.id],
        title: `"${binding.action.does}" is one slip away`,
        reason: [
          `${inWords(fitted, binding)} does "${binding.action.does}"; `,
          figure(near.length, 'count'),
          ` frequent presses lie beside it, such as key ${first.key} ${first.press}, "${actionInWords(fitted.plan, first.action)}".`,
        ],
        figure: figure(near.length, 'count'),
        fix: { label: 'Move it', target: at('keys', fitted.id, binding.slot) },
      },
    ];
  }),
};

export const pageWithoutKey: Rule<'keys'> = {
  id: 'page-without-key',
  stage: 'keys',
  severity: 'note',
  find: eachFitted(({ id, station, display, plan }) => {
    const bindings = bindingsAt(plan, id);
    if (display.keys === 0) return [];
    return pagesAt(plan, id).flatMap(({ id: pageId, page }) => {
      const used = Object.keys(page.shownIn).length > 0;
      const reached = bindings.some(({ action }) => action.does === 'page' && action.pageId === pageId);
      if (!used || reached) return [];
      return [
        {
          subject: pageId,
          title: 'No key leads to a page',
          reason: [
            `${station.name}: none of `,
            figure(bindings.length, 'count'),
            ` presses leads to "${page.name}": it has to be found in the list.`,
          ],
          figure: figure(bindings.length, 'count'),
          fix: { label: 'Assign a key', target: at('keys', id, '1-short') },
        },
      ];
    });
  }),
};
