import type { Figure, Sentence } from '@grey-keel/model';
import type { AlarmsHeld } from '../plan/held-by.ts';

/** At what a display's alarms call, in one sentence; null where none is set. */
export const alarmsInWords = (
  { lowVoltageV, engineTemperatureC }: AlarmsHeld,
  shallowShown: string | null,
): Sentence | null => {
  const set: { before: string; figure: Figure | string; after: string }[] = [
    ...(shallowShown === null ? [] : [{ before: '', figure: shallowShown, after: ' of water as it shows it' }]),
    ...(lowVoltageV == null
      ? []
      : [{ before: '', figure: { value: lowVoltageV, quantity: 'voltage' as const }, after: '' }]),
    ...(engineTemperatureC == null
      ? []
      : [
          {
            before: 'an engine at ',
            figure: { value: engineTemperatureC, quantity: 'temperature' as const },
            after: '',
          },
        ]),
  ];
  if (set.length === 0) return null;
  return [
    'Its alarm sounds at ',
    ...set.flatMap(({ before, figure, after }, i) => [
      (i === 0 ? '' : i === set.length - 1 ? ' and ' : ', ') + before,
      figure,
      after,
    ]),
    '.',
  ];
};
