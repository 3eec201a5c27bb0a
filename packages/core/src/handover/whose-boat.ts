import type { Boat } from '@grey-keel/model';

/** Whose a boat is, what it is known by and who fitted it, as one line of a sheet; empty where nothing of it was asked. */
export const whoseBoat = ({
  owner,
  contact,
  hullNumber,
  engine,
  installer,
  shop,
}: Pick<Boat, 'owner' | 'contact' | 'hullNumber' | 'engine' | 'installer' | 'shop'>): string =>
  [
    ['Owner', owner],
    ['contact', contact],
    ['hull number', hullNumber],
    ['engine', engine],
    ['installer', installer],
    ['shop', shop],
  ]
    .flatMap(([word, text]) => (text ? [`${word ?? ''}: ${text}`] : []))
    .join('; ');
