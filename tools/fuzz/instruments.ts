import { helmAtRest, helmSchema } from '@grey-keel/model';
import { valueFrom } from '../../packages/core/src/testing/extreme-plans.ts';
import { garbledText, oddTexts, type Json } from './garble.ts';
import type { FuzzSender } from './sender.ts';

export const sources = ['one', 'two', 'three'] as const;

/** Sources that open, close and go, a helm, and recordings of what they say. */
export const instrumentInputs = ({ random, pick, token, newId, send }: FuzzSender): (() => Promise<unknown>)[] => {
  const source = (): Json => ({
    name: pick(['Boat', ...oddTexts]),
    connection: pick<Json>([
      { by: 'simulated boat', seed: 1 + Math.floor(3 * random()), pace: pick([1, 10, 11]) },
      { by: 'udp', port: 47_000 + Math.floor(4 * random()) },
      { by: 'tcp', address: pick(['127.0.0.1', '8.8.8.8', '10.0.0.300']), port: 47_100 },
    ]),
  });
  return [
    () => send('PUT', `/api/instruments/sources/${pick(sources)}`, JSON.stringify(source()), {}, true),
    () =>
      send(
        'POST',
        `/api/instruments/sources/${pick(sources)}/open`,
        JSON.stringify({ open: random() < 0.5 }),
        {},
        true,
      ),
    () => send('DELETE', `/api/instruments/sources/${pick(sources)}`, null, {}, true),
    () => send('PUT', '/api/instruments/helm', JSON.stringify(valueFrom(helmSchema, random))),
    () => send('GET', `/api/instruments${pick(['', '/hidden', '/over-the-side', `/${token()}`])}`),
    () =>
      send('POST', `/api/recordings/${pick([newId(), token()])}/record`, garbledText({ name: pick(oddTexts) }, random)),
    () => send('POST', `/api/recordings/${pick([newId(), token()])}/stop`, null, {}, true),
    () => send('PUT', '/api/instruments/helm', garbledText(helmAtRest, random)),
    // No port that could be opened is named: a garbled source is refused, or listed and found to be closed.
    () =>
      send(
        'PUT',
        `/api/instruments/sources/${token()}`,
        garbledText({ name: pick(oddTexts), connection: { by: 'udp', port: pick(oddTexts) } }, random),
      ),
  ];
};
