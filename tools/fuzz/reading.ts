import { calculations } from '@grey-keel/core';
import { valueFrom } from '../../packages/core/src/testing/extreme-plans.ts';
import { garbledText, type Json } from './garble.ts';
import { boats, type FuzzSender } from './sender.ts';

/** Questions to every door that only answers, calculations included. */
export const readingInputs = ({ random, pick, token, send }: FuzzSender): (() => Promise<unknown>)[] => {
  const names = [...calculations.keys()];
  return [
    () => send('GET', `/api/boats/${token()}`),
    () => {
      const asked = new URLSearchParams(
        ['search', 'show', 'by', 'downward', 'first', 'count', token()].flatMap((name) =>
          random() < 0.6 ? [[name, pick([token(), '-1', '1e9', 'true', 'name', 'done'])]] : [],
        ),
      );
      return send('GET', `/api/boats?${asked.toString()}`);
    },
    () => send('GET', `/api/boats/${token()}/revisions?since=${token()}`),
    () => send('GET', `/api/boats/${pick(boats)}/revisions/${token()}`),
    () => send('GET', `/api/boats/${token()}/bundle`),
    () => send('GET', `/api/boats/${token()}/report.pdf?${token()}=${token()}`),
    () => send('GET', `/api/${token()}/${token()}`),
    () => send('GET', `/api/calculations/${token()}`),
    () => send('GET', `/${token()}`),
    () => send(pick(['GET', 'HEAD', 'OPTIONS', 'PATCH', 'TRACE']), `/api/boats/${token()}`),
    () =>
      send('GET', '/api/health', null, {
        [pick(['range', 'if-match', 'if-none-match', 'accept-encoding', 'origin', 'sec-fetch-site'])]: token() || 'x',
      }),
    () => {
      const name = pick(names);
      const input = calculations.get(name)?.input;
      return send('POST', `/api/calculations/${name}`, JSON.stringify(input ? valueFrom(input, random) : null));
    },
    () => {
      const name = pick(names);
      const input = calculations.get(name)?.input;
      return send(
        'POST',
        `/api/calculations/${name}`,
        garbledText(input ? (valueFrom(input, random) as Json) : {}, random),
        pick<Record<string, string>>([
          {},
          { 'content-encoding': pick(['gzip', 'deflate', 'br', 'x']) },
          { 'content-type': 'text/plain' },
        ]),
      );
    },
  ];
};
