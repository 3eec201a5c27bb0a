import { recordingSchema } from '@grey-keel/model';
import { oddTexts } from './garble.ts';
import type { FuzzSender } from './sender.ts';

/** Logs with odd times, and questions about what became of them. */
export const recordingInputs = ({ random, pick, token, newId, send, json, fault }: FuzzSender) => {
  const logs: string[] = [];
  const logLine = (): string =>
    pick([
      () => '$SDDPT,4.10,0.3',
      () => '$GPRMC,093000.00,A,4700.000,N,02800.000,W,5.0,90.0,010526,,',
      () =>
        `${pick(['2026-05-01T09:30:00Z', '2026-99-99T09:30:00Z', '9999-12-31T23:59:59-01:00', '1777627800', '99999999999'])} $SDDPT,5.2,`,
      () => `\\c:${pick(['1777627800', '0', 'x', '9999999999999'])}*00\\$IIMTW,11.5,C`,
      () => pick(oddTexts).slice(0, 200),
    ])();
  const takeLog = async (): Promise<void> => {
    const id = random() < 0.9 ? newId() : token();
    const text = Array.from({ length: Math.floor(40 * random()) }, logLine).join(pick(['\n', '\r\n', '\r', '']));
    const reply = await send('PUT', `/api/recordings/${id}?name=${random() < 0.9 ? 'Log' : token()}`, text, {}, true);
    if (reply?.status !== 201) return;
    logs.push(id);
    const recording = recordingSchema.safeParse(json(reply));
    if (!recording.success) fault('PUT recording', 'taken, and is no recording', text);
  };
  const known = (): string => (logs.length > 0 ? pick(logs) : newId());
  const number = (): string => pick(['0', '1', '-1', '3.5', '1e9', 'NaN', token()]);
  const recordings: (() => Promise<unknown>)[] = [
    () =>
      send(
        'GET',
        `/api/recordings/${known()}/part?channel=${number()}&fromS=${number()}&toS=${number()}&points=${pick(['10', '5', '20001', number()])}`,
      ),
    () => send('GET', `/api/recordings/${known()}/export.${pick(['nmea', 'csv', 'gpx', token()])}`, null, {}, true),
    () => send('GET', '/api/recordings'),
    () => send('DELETE', `/api/recordings/${known()}`),
    () => send('POST', `/api/recordings/${known()}/recall`),
  ];
  return { takeLog, asked: recordings };
};
