import { at, fittedStations } from '@grey-keel/core';
import type { WebStage } from '../web-stage.ts';

export const keysStage: WebStage = {
  stage: 'keys',
  title: 'Keys',
  decides: 'What each key does, short and long, and what a slip would do.',
  help: [
    'Give each key a short and, where the display has it, a long press.',
    'School of the short: what is done often goes on short presses, what is seldom done on long ones.',
    'School of the long: nothing frequent happens by a brush of the hand; each change takes a moment longer.',
    'Risky presses (start transmitting, hold position, standby) must not lie one slip from a frequent one.',
    'A key that starts transmitting does so on the trailer too, where transducers can burn out.',
    'On displays that bind to a place of the list, adding a page shifts what the later keys open.',
  ],
  page: () => import('./keys-page.ts').then(({ KeysPage }) => KeysPage),
  found: (plan) =>
    fittedStations(plan).map(({ id, station: { name } }) => ({
      kind: 'key' as const,
      name: `Keys at ${name}`,
      target: at('keys', id, '1-short'),
    })),
};
