import type { Sentence } from '@grey-keel/model';
import type { CardStation } from './card.ts';

/** Under this a display's error is lost in its last digit. */
const noticeableM = 0.05;

/** What a display's speed of sound does to the depths it shows, in one sentence; null where its setting is unknown. */
export const soundInWords = (sound: CardStation['sound'], depthM: number): Sentence | null => {
  if (!sound) return null;
  const set = `Set to ${sound.setTo === 'own figure' ? 'a speed of its own' : `${sound.setTo} water`}, `;
  const used = { value: sound.soundSpeedMps, quantity: 'soundSpeed' as const };
  const at = { value: depthM, quantity: 'depth' as const };
  if (Math.abs(sound.errorM) < noticeableM) return [set, used, ': right at ', at, '.'];
  return [
    set,
    used,
    ': it shows ',
    { value: Math.abs(sound.errorM), quantity: 'depth' },
    sound.errorM > 0 ? ' too much water at ' : ' too little water at ',
    at,
    '.',
  ];
};
