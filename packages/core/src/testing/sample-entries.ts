import type { CatalogueEntry, DisplayEntry, Element, TransducerEntry } from '@grey-keel/model';
import { aBeam } from './sample-plan.ts';

/** A transducer as the catalogue has it: a sounder for the transom, named by its id. */
export const aTransducerEntry = (
  id: string,
  element: Partial<Element> = {},
  changes: Partial<Omit<TransducerEntry, 'element'>> = {},
): CatalogueEntry => ({
  id,
  version: 1,
  shipped: true,
  item: {
    type: 'transducer',
    element: {
      name: id,
      kind: 'sounder',
      beams: [aBeam()],
      apertureM: null,
      constantBeamwidth: true,
      electricalPowerW: 600,
      ...element,
    },
    mountings: ['transom'],
    temperatureSensor: 'none',
    socket: '',
    ...changes,
  },
});

/** A display as the catalogue has it: four keys under 12.1 inches, named by its id. */
export const aDisplayEntry = (id: string, changes: Partial<DisplayEntry> = {}): CatalogueEntry => ({
  id,
  version: 1,
  shipped: true,
  item: {
    type: 'display',
    name: id,
    screenDiagonalM: 0.30734,
    pixelsWide: 1280,
    pixelsHigh: 800,
    keys: 4,
    pressesPerKey: 2,
    keysBindTo: 'page',
    panesPerPage: 3,
    sockets: ['round S'],
    travellingSettings: [],
    ...changes,
  },
});
