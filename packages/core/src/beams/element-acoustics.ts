import type { Beam, Element } from '@grey-keel/model';
import { usualReceiveEfficiency } from '../acoustics/electrical-floor.ts';
import { sourceLevelDb } from '../acoustics/source-level.ts';
import {
  argumentAtLevel,
  directivityIndexDb,
  halfPowerDb,
  linePattern,
  patternOf,
  pistonPattern,
} from './directivity.ts';
import { halfPowerCone } from './half-power-cone.ts';

const radian = Math.PI / 180;

/** What is taken where a sheet is silent; said to be so wherever it is used. */
export const assumedEfficiency = 0.5;
export const assumedPowerW = 300;
/** A face rings for about a dozen cycles, so a low frequency has no short pulse. */
const ringingCycles = 12;
/** A low frequency is sent in longer pulses where the greatest depth is asked for. */
export const usualLongestPulseS = (frequencyHz: number): number => (frequencyHz < 100_000 ? 0.006 : 0.001);
/** A unit that makes a picture sends short pulses from here on: a long one would smear it. */
const imagingFromHz = 300_000;
const imagingPulseS = 0.0001;
const longestPulseOf = ({ kind }: Element, { frequencyHz }: Beam): number =>
  kind !== 'sounder' && frequencyHz >= imagingFromHz ? imagingPulseS : usualLongestPulseS(frequencyHz);

/** k a of the disc, or k L / 2 of the line, whose main lobe has a full half-power width. */
const argumentOf = (shape: 'piston' | 'line', widthDeg: number): number =>
  argumentAtLevel(shape, halfPowerDb) / Math.sin((Math.min(179, widthDeg) / 2) * radian);

/** Integral over the half-space a fan looks into of the product of its two line patterns, squared `power` times. */
const fanIntegral = (acrossDeg: number, alongDeg: number, power: 1 | 2): number => {
  const [across, along] = [argumentOf('line', acrossDeg), argumentOf('line', alongDeg)];
  // Direction cosines u (across) and v (along); the solid angle of du dv is 1 / cos of the angle off the axis.
  const panels = 400;
  const one = (argument: number): { u: number; p: number; w: number }[] =>
    Array.from({ length: panels }, (_, i) => {
      // Fine near the axis, coarse outside: u = sin(t), midpoints in t.
      const width = Math.min(1, (8 * Math.PI) / argument);
      const u = ((i + 0.5) / panels) * width;
      return { u, p: linePattern(argument * u) ** (2 * power), w: width / panels };
    });
  const us = one(across);
  const vs = one(along);
  let sum = 0;
  for (const u of us)
    for (const v of vs) {
      const cosine = 1 - u.u ** 2 - v.u ** 2;
      if (cosine > 0) sum += (u.p * v.p * u.w * v.w) / Math.sqrt(cosine);
    }
  return 4 * sum;
};

/** Beyond this argument the fourth power of a piston's pattern has nothing left to add. */
const farLobes = 60;

/** Integral over the half-space of a piston's two-way pattern. */
const twoWayPistonIntegral = (widthDeg: number): number => {
  const argument = argumentOf('piston', widthDeg);
  const end = argument > farLobes ? Math.asin(farLobes / argument) : Math.PI / 2;
  const panels = 2 * Math.ceil(400 + 40 * Math.min(farLobes, argument));
  const step = end / panels;
  let sum = 0;
  for (let i = 0; i < panels; i++) {
    const theta = (i + 0.5) * step;
    sum += pistonPattern(argument * Math.sin(theta)) ** 4 * Math.sin(theta) * step;
  }
  return 2 * Math.PI * sum;
};

/** How a beam radiates, from its width alone. */
export interface BeamShape {
  readonly acrossDeg: number;
  readonly alongDeg: number;
  readonly directivityIndexDb: number;
  /** 10 log of the two-way equivalent beam in steradians. */
  readonly equivalentBeamDb: number;
}

const shapes = new Map<string, BeamShape>();

/**
 * Directivity and equivalent two-way beam of a half-power width, by integration: a cone as the disc that has it, a fan
 * as the product of two lines. Source: Urick 1983, ch. 3 and 8.
 */
export const beamShape = (acrossDeg: number, alongDeg: number): BeamShape => {
  const key = `${acrossDeg} ${alongDeg}`;
  const before = shapes.get(key);
  if (before) return before;
  const cone = acrossDeg === alongDeg;
  const shape: BeamShape = {
    acrossDeg,
    alongDeg,
    directivityIndexDb: cone
      ? directivityIndexDb('piston', argumentOf('piston', acrossDeg))
      : 10 * Math.log10((4 * Math.PI) / fanIntegral(acrossDeg, alongDeg, 1)),
    equivalentBeamDb: 10 * Math.log10(cone ? twoWayPistonIntegral(acrossDeg) : fanIntegral(acrossDeg, alongDeg, 2)),
  };
  // A catalogue holds some hundreds of widths; a caller that tries thousands must not fill the memory with them.
  if (shapes.size < 2000) shapes.set(key, shape);
  return shape;
};

/** One-way level of a beam off its axis, dB, not below -60: across the boat for a fan. */
export const offAxisDb = (shape: BeamShape, angleDeg: number): number => {
  const kind = shape.acrossDeg === shape.alongDeg ? 'piston' : 'line';
  const pattern = patternOf(kind)(argumentOf(kind, shape.acrossDeg) * Math.sin(Math.abs(angleDeg) * radian));
  return Math.max(-60, 20 * Math.log10(Math.abs(pattern) + 1e-12));
};

/** One-way level of a fan, dB, not below -60: a product of two lines, off its middle across and along. */
export const fanOffAxisDb = (shape: BeamShape, acrossDeg: number, alongDeg: number): number => {
  if (Math.abs(acrossDeg) >= 90 || Math.abs(alongDeg) >= 90) return -60;
  const part = (widthDeg: number, angleDeg: number): number =>
    20 *
    Math.log10(Math.abs(linePattern(argumentOf('line', widthDeg) * Math.sin(Math.abs(angleDeg) * radian))) + 1e-12);
  return Math.max(-60, part(shape.acrossDeg, acrossDeg) + part(shape.alongDeg, alongDeg));
};

/** A figure the sheet does not give and that was derived or assumed for it. */
export type Derived = 'source level' | 'efficiency' | 'power' | 'pulse lengths';

/** Which figures of a beam the sheet does not give: what of it is derived from physics, or assumed. */
export const derivedFigures = (element: Element, beam: Beam): Derived[] => [
  ...(beam.sourceLevelDb == null ? (['source level'] as const) : []),
  ...(beam.sourceLevelDb == null && element.efficiency == null ? (['efficiency'] as const) : []),
  ...(beam.sourceLevelDb == null && element.electricalPowerW === null ? (['power'] as const) : []),
  ...(element.shortestPulseS == null || element.longestPulseS == null ? (['pulse lengths'] as const) : []),
];

/** One beam of an element as the sonar equation takes it. */
export interface ElementAcoustics {
  readonly frequencyHz: number;
  readonly shape: BeamShape;
  readonly sourceLevelDb: number;
  readonly chirp: boolean;
  readonly pulseLengthS: number;
  readonly bandwidthHz: number;
  readonly processingGainDb: number;
  /** Current out for sound in, the other way round than the sheet's. */
  readonly receiveEfficiency: number;
  readonly derived: readonly Derived[];
}

/** A longer pulse for deeper water, as automatic settings do: 5 µs for each metre, within what the element can send. */
const pulseForDepthS = (element: Element, beam: Beam, depthM: number): number =>
  Math.min(
    element.longestPulseS ?? longestPulseOf(element, beam),
    Math.max(element.shortestPulseS ?? ringingCycles / beam.frequencyHz, depthM * 5e-6),
  );

/** An element's beam as it works at a depth, with what the sheet leaves out derived from physics or assumed, and named. */
export const elementAcoustics = (element: Element, beam: Beam, depthM: number): ElementAcoustics => {
  const cone = halfPowerCone(beam);
  const shape = beamShape(cone.acrossDeg, cone.alongDeg);
  const pulseLengthS = pulseForDepthS(element, beam, depthM);
  const bandwidthHz = beam.bandwidthHz ?? 1 / pulseLengthS;
  return {
    frequencyHz: beam.frequencyHz,
    shape,
    sourceLevelDb:
      beam.sourceLevelDb ??
      sourceLevelDb(
        (element.electricalPowerW ?? assumedPowerW) * (element.efficiency ?? assumedEfficiency),
        shape.directivityIndexDb,
      ),
    chirp: beam.bandwidthHz !== null,
    pulseLengthS,
    bandwidthHz,
    processingGainDb: Math.max(0, 10 * Math.log10(bandwidthHz * pulseLengthS)),
    receiveEfficiency: element.efficiency ?? usualReceiveEfficiency,
    derived: derivedFigures(element, beam),
  };
};

/** The same with the longest pulse it has: as it is set to see as deep as it can. */
export const deepestAcoustics = (element: Element, beam: Beam): ElementAcoustics =>
  elementAcoustics(element, beam, Number.MAX_SAFE_INTEGER);

/** Smallest distance between echoes told apart, m. */
export const resolutionOf = ({ chirp, bandwidthHz, pulseLengthS }: ElementAcoustics, soundSpeedMps: number): number =>
  chirp ? soundSpeedMps / (2 * bandwidthHz) : (soundSpeedMps * pulseLengthS) / 2;

/**
 * The efficiency a sheet's source level, power and cone imply; null where it gives no source level or no power. Over 1
 * the three cannot be true together.
 */
export const impliedEfficiency = (element: Element, beam: Beam): number | null => {
  if (beam.sourceLevelDb == null || element.electricalPowerW === null) return null;
  const cone = halfPowerCone(beam);
  const { directivityIndexDb: directivity } = beamShape(cone.acrossDeg, cone.alongDeg);
  return 10 ** ((beam.sourceLevelDb - sourceLevelDb(1, directivity)) / 10) / element.electricalPowerW;
};
