import type { Beam, CatalogueItem, DisplayEntry, Socket, TransducerEntry } from '@grey-keel/model';

export interface ShippedEntry {
  readonly id: string;
  readonly item: CatalogueItem;
}

type Cone = readonly [kHz: number, deg: number, levelDb?: number, bandKHz?: number];
type Fan = readonly [kHz: number, acrossDeg: number, alongDeg: number, bandKHz?: number];

const cones = (list: readonly Cone[]): Beam[] =>
  list.map(([kHz, beamwidthDeg, levelDb = -3, bandKHz]) => ({
    frequencyHz: kHz * 1000,
    bandwidthHz: bandKHz === undefined ? null : bandKHz * 1000,
    beamwidthDeg,
    levelDb,
    alongDeg: null,
  }));

const fans = (list: readonly Fan[]): Beam[] =>
  list.map(([kHz, beamwidthDeg, alongDeg, bandKHz]) => ({
    frequencyHz: kHz * 1000,
    bandwidthHz: bandKHz === undefined ? null : bandKHz * 1000,
    beamwidthDeg,
    levelDb: -3,
    alongDeg,
  }));

interface Rest {
  readonly mountings: TransducerEntry['mountings'];
  readonly faceMm?: number;
  readonly constant?: true;
  readonly powerW: number;
  readonly temperature?: TransducerEntry['temperatureSensor'];
  readonly socket?: string;
}

const idOf = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]+/g, '-');

const transducer = (
  name: string,
  kind: TransducerEntry['element']['kind'],
  beams: Beam[],
  rest: Rest,
): ShippedEntry => ({
  id: idOf(name),
  item: {
    type: 'transducer',
    element: {
      name,
      kind,
      beams,
      apertureM: rest.faceMm === undefined ? null : rest.faceMm / 1000,
      constantBeamwidth: rest.constant ?? false,
      electricalPowerW: rest.powerW,
    },
    mountings: rest.mountings,
    temperatureSensor: rest.temperature ?? 'none',
    socket: rest.socket ?? 'round S',
  },
});

/** The sockets displays and modules are sold with: what each drives, and how many at once. */
export const shippedSockets = {
  sounder: { plug: 'round S', drives: ['sounder'], atOnce: 1 },
  imaging: { plug: 'round W', drives: ['sounder', 'side-scan', 'down fan'], atOnce: 2 },
  network: { plug: 'network', drives: ['forward-facing', 'sector'], atOnce: 2 },
} satisfies Record<string, Socket>;

const display = (
  name: string,
  item: Omit<DisplayEntry, 'type' | 'name' | 'screenDiagonalM'> & { inches: number },
): ShippedEntry => {
  const { inches, ...rest } = item;
  return {
    id: idOf(name),
    item: { type: 'display', name, screenDiagonalM: Math.round(inches * 25.4) / 1000, ...rest },
  };
};

const hull = ['through-hull'] as const;
const stern = ['transom'] as const;
const inside = ['shoot-through-hull'] as const;

/** Generic equipment described by its physics: round figures of our own, faces that give the cones beside them. */
export const shippedCatalogue: readonly ShippedEntry[] = [
  transducer('Through-hull wide 190', 'sounder', cones([[190, 24]]), {
    mountings: [...hull],
    faceMm: 19.5,
    powerW: 600,
    temperature: 'built in',
  }),
  transducer('Through-hull medium 190', 'sounder', cones([[190, 12]]), {
    mountings: [...hull],
    faceMm: 39,
    powerW: 600,
    temperature: 'built in',
  }),
  transducer('Through-hull narrow 190', 'sounder', cones([[190, 8]]), {
    mountings: [...hull],
    faceMm: 58,
    powerW: 1000,
  }),
  transducer(
    'Through-hull dual 45/190',
    'sounder',
    cones([
      [45, 24],
      [190, 5.7],
    ]),
    { mountings: [...hull], faceMm: 82, powerW: 1000, temperature: 'built in' },
  ),
  transducer(
    'Through-hull dual 95/190',
    'sounder',
    cones([
      [95, 20],
      [190, 9.9],
    ]),
    { mountings: [...hull], faceMm: 47, powerW: 600, temperature: 'built in' },
  ),
  transducer('Through-hull deep 45', 'sounder', cones([[45, 12]]), { mountings: [...hull], faceMm: 164, powerW: 2000 }),
  transducer(
    'Through-hull deep dual 45/95',
    'sounder',
    cones([
      [45, 12],
      [95, 5.7],
    ]),
    { mountings: [...hull], faceMm: 164, powerW: 2000, temperature: 'on a lead' },
  ),
  transducer('Through-hull swept 95 low', 'sounder', cones([[95, 9, -3, 40]]), {
    mountings: [...hull],
    faceMm: 103,
    powerW: 1000,
  }),
  transducer('Through-hull swept 190 even cone', 'sounder', cones([[190, 28, -3, 60]]), {
    mountings: [...hull],
    constant: true,
    powerW: 600,
    temperature: 'built in',
  }),
  transducer('Through-hull swept 95 even cone', 'sounder', cones([[95, 20, -3, 50]]), {
    mountings: [...hull],
    constant: true,
    powerW: 1000,
  }),
  transducer('Transom wide 190', 'sounder', cones([[190, 20.3]]), {
    mountings: [...stern],
    faceMm: 23,
    powerW: 300,
    temperature: 'built in',
  }),
  transducer(
    'Transom narrow 95/210',
    'sounder',
    cones([
      [95, 20],
      [210, 9],
    ]),
    { mountings: [...stern], faceMm: 47, powerW: 600, temperature: 'built in' },
  ),
  transducer(
    'Transom dual 95/190',
    'sounder',
    cones([
      [95, 34, -10],
      [190, 16.8, -10],
    ]),
    { mountings: [...stern], faceMm: 47, powerW: 500, temperature: 'built in' },
  ),
  transducer('Transom wide 95', 'sounder', cones([[95, 30.3]]), { mountings: [...stern], faceMm: 31, powerW: 300 }),
  transducer('Transom swept 190', 'sounder', cones([[190, 16, -3, 50]]), {
    mountings: [...stern],
    constant: true,
    powerW: 300,
    temperature: 'built in',
  }),
  transducer('In-hull medium 190', 'sounder', cones([[190, 11.9]]), {
    mountings: [...inside],
    faceMm: 39,
    powerW: 600,
  }),
  transducer(
    'In-hull dual 45/190',
    'sounder',
    cones([
      [45, 24],
      [190, 5.7],
    ]),
    { mountings: [...inside], faceMm: 82, powerW: 1000 },
  ),
  transducer('In-hull deep 45', 'sounder', cones([[45, 30]]), { mountings: [...inside], faceMm: 66, powerW: 1000 }),
  transducer('Side-scan 380', 'side-scan', fans([[380, 50, 0.9, 40]]), {
    mountings: [...stern],
    powerW: 500,
    socket: 'round W',
  }),
  transducer(
    'Side-scan 380/700',
    'side-scan',
    fans([
      [380, 52, 0.9, 60],
      [700, 52, 0.5, 80],
    ]),
    { mountings: [...stern], powerW: 500, socket: 'round W' },
  ),
  transducer('Side-scan 1000', 'side-scan', fans([[1000, 40, 0.4, 100]]), {
    mountings: [...stern],
    powerW: 300,
    socket: 'round W',
  }),
  transducer('Down fan 700', 'down fan', fans([[700, 52, 1.0, 80]]), {
    mountings: [...stern],
    powerW: 500,
    socket: 'round W',
  }),
  transducer('Forward-facing 700', 'forward-facing', fans([[700, 90, 20, 120]]), {
    mountings: ['bow motor', 'pole'],
    powerW: 500,
    socket: 'network',
  }),
  transducer('Sector 380', 'sector', fans([[380, 12, 12, 30]]), {
    mountings: ['pole', 'bow motor'],
    powerW: 400,
    socket: 'network',
  }),
  display('Display 8, three keys', {
    inches: 8.4,
    pixelsWide: 1024,
    pixelsHigh: 768,
    keys: 3,
    keysAt: 'below',
    pressesPerKey: 1,
    keysBindTo: 'place',
    panesPerPage: 2,
    sockets: [shippedSockets.sounder],
    travellingSettings: ['units'],
  }),
  display('Display 8, wide socket', {
    inches: 8.4,
    pixelsWide: 1024,
    pixelsHigh: 768,
    keys: 3,
    keysAt: 'beside',
    pressesPerKey: 2,
    keysBindTo: 'page',
    panesPerPage: 3,
    sockets: [shippedSockets.imaging],
    travellingSettings: ['units', 'water kind'],
  }),
  display('Display 10, touch', {
    inches: 10.4,
    pixelsWide: 1280,
    pixelsHigh: 960,
    keys: 0,
    pressesPerKey: 1,
    keysBindTo: 'page',
    panesPerPage: 4,
    sockets: [shippedSockets.sounder, shippedSockets.network],
    travellingSettings: ['units', 'depth offset'],
  }),
  display('Display 10, six keys', {
    inches: 10.4,
    pixelsWide: 1280,
    pixelsHigh: 960,
    keys: 6,
    keysAt: 'below',
    pressesPerKey: 2,
    keysBindTo: 'page',
    panesPerPage: 4,
    sockets: [shippedSockets.imaging, shippedSockets.network],
    travellingSettings: ['units', 'depth offset', 'alarms'],
  }),
  display('Display 10, place keys', {
    inches: 10.4,
    pixelsWide: 1280,
    pixelsHigh: 960,
    keys: 5,
    keysAt: 'beside',
    pressesPerKey: 2,
    keysBindTo: 'place',
    panesPerPage: 4,
    sockets: [shippedSockets.imaging, shippedSockets.network],
    travellingSettings: ['units', 'sources'],
  }),
  display('Display 13, five keys', {
    inches: 13.3,
    pixelsWide: 1920,
    pixelsHigh: 1080,
    keys: 5,
    keysAt: 'below',
    pressesPerKey: 2,
    keysBindTo: 'page',
    panesPerPage: 6,
    sockets: [shippedSockets.sounder, shippedSockets.imaging, shippedSockets.network],
    travellingSettings: ['units', 'depth offset', 'sources', 'alarms', 'range'],
  }),
  display('Display 13, glass', {
    inches: 13.3,
    pixelsWide: 1920,
    pixelsHigh: 1080,
    keys: 0,
    pressesPerKey: 1,
    keysBindTo: 'page',
    panesPerPage: 6,
    sockets: [shippedSockets.network],
    travellingSettings: ['units', 'depth offset', 'sources', 'range'],
  }),
  display('Display 17, glass', {
    inches: 17,
    pixelsWide: 1920,
    pixelsHigh: 1200,
    keys: 0,
    pressesPerKey: 1,
    keysBindTo: 'page',
    panesPerPage: 8,
    sockets: [shippedSockets.network],
    travellingSettings: ['units', 'depth offset', 'sources', 'alarms', 'range'],
  }),
];
