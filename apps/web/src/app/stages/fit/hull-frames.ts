import type { Place } from '@grey-keel/model';

/** The three views: which of a place's numbers run to the right and up in each, and where on the sheet it stands. */
export const hullFrames = [
  { view: 'plan', title: 'From above, bow up', across: 'starboardM', up: 'forwardM', x: 10, y: 26, w: 300, h: 524 },
  { view: 'side', title: 'From starboard', across: 'forwardM', up: 'aboveKeelM', x: 330, y: 26, w: 560, h: 230 },
  { view: 'astern', title: 'From astern', across: 'starboardM', up: 'aboveKeelM', x: 330, y: 296, w: 560, h: 254 },
] as const satisfies readonly {
  view: string;
  title: string;
  across: keyof Place;
  up: keyof Place;
  x: number;
  y: number;
  w: number;
  h: number;
}[];
export type HullView = (typeof hullFrames)[number]['view'];
