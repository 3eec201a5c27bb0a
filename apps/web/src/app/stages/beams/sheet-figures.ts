import {
  beamSchema,
  elementSchema,
  mountingSchema,
  sonarKindSchema,
  type Element,
  type SonarKind,
  type TransducerEntry,
} from '@grey-keel/model';
import * as z from 'zod';

const beam = beamSchema.shape;
const element = elementSchema.shape;
const needed = (name: string) => ({ error: `${name} is needed before it can be placed.` });

export const coneLevels = ['-3', '-6', '-10'] as const;

/** What is read from a data sheet for one beam: null where the sheet is silent. */
export const sheetSchema = z
  .strictObject({
    level: z.enum(coneLevels, {
      error:
        'quoted at: say at which level the sheet quotes the cone. 28° at -10 dB is 16.4° at -3 dB; if the sheet is silent, give the face and the findings will name the likely one.',
    }),
    name: z.string().min(1, needed('Name')).pipe(element.name),
    kind: sonarKindSchema,
    mounting: mountingSchema,
    frequencyHz: z.number(needed('Frequency')).pipe(beam.frequencyHz),
    beamwidthDeg: z.number(needed('Beamwidth, full')).pipe(beam.beamwidthDeg),
    alongDeg: beam.alongDeg,
    bandwidthHz: beam.bandwidthHz,
    apertureM: element.apertureM,
    constantBeamwidth: element.constantBeamwidth,
    sourceLevelDb: beam.sourceLevelDb.unwrap(),
    electricalPowerW: element.electricalPowerW,
    efficiency: element.efficiency.unwrap(),
    shortestPulseS: element.shortestPulseS.unwrap(),
    longestPulseS: element.longestPulseS.unwrap(),
  })
  .refine(({ shortestPulseS: shortest, longestPulseS: longest }) => !shortest || !longest || shortest <= longest, {
    error: 'Shortest pulse: it is longer than the longest pulse; take one of the two from the sheet again.',
  });
export type Sheet = z.output<typeof sheetSchema>;

/** What the form holds: not chosen and not filled in are allowed until it is sent. */
export type SheetFigures = Omit<Sheet, 'level' | 'frequencyHz' | 'beamwidthDeg'> & {
  readonly level: Sheet['level'] | '';
  readonly frequencyHz: number | null;
  readonly beamwidthDeg: number | null;
};

export const isFan = (kind: SonarKind): boolean => kind !== 'sounder' && kind !== 'sector';

export const emptySheet: SheetFigures = {
  level: '',
  name: '',
  kind: 'sounder',
  mounting: 'transom',
  frequencyHz: null,
  beamwidthDeg: null,
  alongDeg: null,
  bandwidthHz: null,
  apertureM: null,
  constantBeamwidth: false,
  sourceLevelDb: null,
  electricalPowerW: null,
  efficiency: null,
  shortestPulseS: null,
  longestPulseS: null,
};

/** One beam of an entry of the catalogue, as its sheet would say it. */
export const sheetOf = ({ element: of, mountings }: TransducerEntry, beamIndex: number): SheetFigures => {
  const one = of.beams[beamIndex];
  const level = coneLevels.find((each) => Number(each) === one?.levelDb);
  return {
    level: level ?? '',
    name: of.name,
    kind: of.kind,
    mounting: mountings[0] ?? emptySheet.mounting,
    frequencyHz: one?.frequencyHz ?? null,
    beamwidthDeg: one?.beamwidthDeg ?? null,
    alongDeg: one?.alongDeg ?? null,
    bandwidthHz: one?.bandwidthHz ?? null,
    apertureM: of.apertureM,
    constantBeamwidth: of.constantBeamwidth,
    sourceLevelDb: one?.sourceLevelDb ?? null,
    electricalPowerW: of.electricalPowerW,
    efficiency: of.efficiency ?? null,
    shortestPulseS: of.shortestPulseS ?? null,
    longestPulseS: of.longestPulseS ?? null,
  };
};

/** The element that a sheet describes; where it has several beams, the others stay as they were. */
export const elementFrom = (sheet: Sheet, before: Element | null, beamIndex: number): Element => {
  const one = {
    frequencyHz: sheet.frequencyHz,
    bandwidthHz: sheet.bandwidthHz,
    beamwidthDeg: sheet.beamwidthDeg,
    levelDb: Number(sheet.level),
    alongDeg: isFan(sheet.kind) ? sheet.alongDeg : null,
    sourceLevelDb: sheet.sourceLevelDb,
  };
  return elementSchema.parse({
    name: sheet.name,
    kind: sheet.kind,
    beams: before?.beams.map((each, i) => (i === beamIndex ? one : each)) ?? [one],
    apertureM: sheet.apertureM,
    constantBeamwidth: sheet.constantBeamwidth,
    electricalPowerW: sheet.electricalPowerW,
    efficiency: sheet.efficiency,
    shortestPulseS: sheet.shortestPulseS,
    longestPulseS: sheet.longestPulseS,
  });
};
