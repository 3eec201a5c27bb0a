import { boatSchema, type Boat, type Plan, type Quantity, wordsOf } from '@grey-keel/model';
import { depthOffsetOf } from '../calibration/depth-offset-subject.ts';
import { heldOffsetM } from '../calibration/held-offset.ts';
import { fittedStations } from '../plan/fitted-stations.ts';
import { heldBy, sidesHeld, typeHeld } from '../plan/held-by.ts';
import { hasLegs, skegOf } from '../plan/skeg.ts';
import { inOrder } from '../plan/working-water.ts';
import { depthGivers } from '../sources/depth-givers.ts';
import { formatFigure, type UnitChoice, unitFor } from '../units/index.ts';

/** A table to be filled in by hand: an empty cell is what has to be read, a filled one what is known already. */
export interface AboardTable {
  readonly title: string;
  /** How it is read; empty where the columns say it. */
  readonly hint: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** What only a tape or a look at the boat tells, and no data sheet. */
const measured: readonly (keyof Boat)[] = [
  'lengthM',
  'beamM',
  'draughtM',
  'deadriseDeg',
  'runningTrimDeg',
  'bowHeightM',
  'hullNumber',
  'engine',
];
/** As many as a careful lead line takes, and two to spare. */
const leadLineRows = 8;

const isNumbered = (value: unknown): value is number => typeof value === 'number';

/**
 * What must be read aboard, on paper for whoever goes without a screen: what to measure on the hull, the tags of the
 * cables, what each display is set to, and a blank lead-line form for each transducer that gives a depth.
 */
export const aboardSheets = (plan: Plan, units: UnitChoice): AboardTable[] => {
  const write = (value: number | null | undefined, quantity: Quantity): string =>
    value == null ? '' : formatFigure({ value, quantity }, units);
  const transducers = inOrder(plan.transducers);
  const fitted = fittedStations(plan);
  const boatRow = (field: keyof Boat): string[] => {
    const words = wordsOf(boatSchema.shape[field]);
    const value = plan.boat[field];
    const known = isNumbered(value) ? write(value, words?.quantity ?? 'count') : String(value ?? '');
    const assumed = plan.assumed?.[`boat/${field}`] === true;
    return [words?.label ?? field, assumed ? `${known}, assumed` : known, ''];
  };
  const unit = unitFor('length', units).symbol;
  const tables: AboardTable[] = [
    {
      title: 'Hull',
      hint: 'Boat afloat and loaded as it is used.',
      columns: ['What', 'Known', 'Read aboard'],
      rows: [
        ...measured.map(boatRow),
        ...inOrder(plan.equipment)
          .filter(([, { kind }]) => kind === 'propeller')
          .flatMap(([, piece]) => {
            const { name, aboveKeelM, propellerDiameterM } = piece;
            const skeg = skegOf(plan, piece);
            const skegKnown = skeg ? `${write(skeg.belowBladesM, 'length')}${skeg.assumed ? ', assumed' : ''}` : '';
            return [
              [`Diameter of ${name}`, write(propellerDiameterM, 'length'), ''],
              [`Hub of ${name} above the keel, below it with a minus`, write(aboveKeelM, 'length'), ''],
              ...(skeg || hasLegs(plan) ? [[`Skeg below the blades of ${name}`, skegKnown, '']] : []),
            ];
          }),
        ...inOrder(plan.stations).map(([, { name, viewingDistanceM }]) => [
          `Eyes to screen at ${name}`,
          write(viewingDistanceM, 'length'),
          '',
        ]),
      ],
    },
    {
      title: 'Cables and names',
      hint: 'The type is printed on the tag of the cable: read it there, do not guess it from the shape. Time from power on until it appears.',
      columns: ['Transducer', 'Tag on its cable', 'Type selected', 'Listed as', 'Appears after', 'Cable length'],
      rows: transducers.map(([id, { name }]) => {
        const source = plan.sources[id];
        return [
          name,
          source?.tag ?? '',
          typeHeld(plan, id) ?? '',
          source?.name ?? '',
          write(source?.appearsAfterS, 'wait'),
          write(plan.network.links[id]?.cableM, 'length'),
        ];
      }),
    },
    {
      title: 'Displays',
      hint: 'As each is set now, before anything is changed.',
      columns: ['Station', 'Display', 'Water set to', 'Depth in, step', 'North', 'Port on port', 'Depth from'],
      rows: fitted.map(({ id, station, display }) => {
        const sound = heldBy(plan, id, 'sound');
        const shows = heldBy(plan, id, 'depth-display');
        const source = plan.feeds[id]?.depth?.sourceId;
        return [
          station.name,
          display.name,
          sound === null ? '' : 'waterType' in sound ? sound.waterType : write(sound.soundSpeedMps, 'soundSpeed'),
          shows ? `${shows.unit}, ${shows.step}` : '',
          heldBy(plan, id, 'north') ?? '',
          sidesHeld(plan, id) ?? '',
          (source && (plan.sources[source]?.name || plan.transducers[source]?.name)) ?? '',
        ];
      }),
    },
    ...depthGivers(plan).map(({ id, name }): AboardTable => {
      const { reference } = depthOffsetOf(plan, id);
      // The figure a new boat begins with was read on no display.
      const held = plan.depthOffsets[id] ? write(heldOffsetM(plan, id), 'length') : '______';
      return {
        title: `Lead line under ${name}`,
        hint: `Set in the display while reading: ${held}. Depth counted from the ${reference}. Water: ______ warm, ______ salt. Three depths or more, flat water, line plumb, no way on.`,
        columns: ['Reading', 'Time', `Lead line, ${unit}`, 'Displayed, with its unit', 'Swell', 'Loading'],
        rows: Array.from({ length: leadLineRows }, (_, i) => [String(i + 1), '', '', '', '', '']),
      };
    }),
  ];
  return tables.filter(({ rows }) => rows.length > 0);
};
