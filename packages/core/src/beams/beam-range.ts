import type { Mounting, Water } from '@grey-keel/model';
import { bottomAreaM2 } from '../acoustics/bottom-area.ts';
import { bottomBackscatterDb, type BottomType } from '../acoustics/backscatter.ts';
import { greatestRangeM } from '../acoustics/detection-range.ts';
import {
  aerationLossDb,
  hullLossDb,
  ownShipNoiseDb,
  thermalNoiseDb,
  together,
  windNoiseDb,
} from '../acoustics/noise.ts';
import { electricalInBandDb } from '../acoustics/electrical-floor.ts';
import { noiseInBandDb } from '../acoustics/sonar-equation.ts';
import { francoisGarrison } from '../water/francois-garrison.ts';
import { resolutionOf, type ElementAcoustics } from './element-acoustics.ts';

/** Signal over noise that a single echo wants to stand clear of the specks, dB. */
export const requiredSnrDb = 10;
/** What a steady trace wants, ping after ping: the bottom, dB. */
export const traceSnrDb = 15;
/** By how much the noise of a boat may be another than was taken for it, dB. */
export const noiseUncertaintyDb = 3;

/** Where and how a beam is used. */
export interface Conditions {
  readonly water: Pick<Water, 'temperatureC' | 'salinityPpt'>;
  readonly soundSpeedMps: number;
  /** The depth the water's absorption is taken for, at half of it. */
  readonly depthM: number;
  readonly windMps: number;
  readonly boatSpeedMps: number;
  /** What the boat's electrics put into the receiver, dB re 1 µPa in 1 kHz. */
  readonly electricalFloorDb: number;
  /** By how much the boat is louder under way than the round figures, as a trial measured it; 0 where none did. */
  readonly ownNoiseByDb: number;
}

/** What the signal over noise of a beam is made of, apart from range and target; dB, ranges from the face. */
export interface BeamRangeTerms {
  /** Source level, processing gain, less noise in the band and what hull and aerated water take. */
  readonly constantDb: number;
  /** Noise in its band as it hears it, dB re 1 µPa. */
  readonly noiseDb: number;
  readonly absorptionDbPerM: number;
  readonly acrossDeg: number;
  readonly resolutionM: number;
}

export const beamRangeTerms = (acoustics: ElementAcoustics, mounting: Mounting, at: Conditions): BeamRangeTerms => {
  const { frequencyHz, shape, bandwidthHz } = acoustics;
  const { boricAcid, magnesiumSulphate, water } = francoisGarrison(
    frequencyHz / 1000,
    at.water.temperatureC,
    at.water.salinityPpt,
    Math.min(7000, at.depthM / 2),
    8,
  );
  const noise = together(
    thermalNoiseDb(frequencyHz),
    windNoiseDb(frequencyHz, at.windMps),
    ownShipNoiseDb(mounting, at.boatSpeedMps, frequencyHz) + at.ownNoiseByDb,
  );
  const noiseDb = together(
    noiseInBandDb(noise, bandwidthHz, shape.directivityIndexDb),
    electricalInBandDb(at.electricalFloorDb, acoustics),
  );
  return {
    noiseDb,
    constantDb:
      acoustics.sourceLevelDb +
      acoustics.processingGainDb -
      noiseDb -
      hullLossDb(mounting) -
      aerationLossDb(mounting, at.boatSpeedMps),
    absorptionDbPerM: (boricAcid + magnesiumSulphate + water) / 1000,
    acrossDeg: shape.acrossDeg,
    resolutionM: resolutionOf(acoustics, at.soundSpeedMps),
  };
};

/** Signal over noise of a point target on the axis, dB. */
export const targetSnrDb = (terms: BeamRangeTerms, targetStrengthDb: number, rangeM: number): number =>
  terms.constantDb + targetStrengthDb - 40 * Math.log10(rangeM) - 2 * terms.absorptionDbPerM * rangeM;

/** Signal over noise of a flat bottom straight below, dB. */
export const bottomSnrDb = (terms: BeamRangeTerms, bottom: BottomType, rangeM: number): number =>
  targetSnrDb(terms, bottomBackscatterDb(bottom, 90), rangeM) +
  10 * Math.log10(bottomAreaM2(rangeM, terms.acrossDeg, terms.resolutionM));

/** How far down a target is seen, m below the face; 0 where it is not seen at all. */
export const targetReachM = (terms: BeamRangeTerms, targetStrengthDb: number): number =>
  greatestRangeM((rangeM) => targetSnrDb(terms, targetStrengthDb, rangeM), requiredSnrDb) ?? 0;

/** How far down the bottom is read as a steady trace, m below the face; 0 where it is not read at all. */
export const bottomReachM = (terms: BeamRangeTerms, bottom: BottomType): number =>
  greatestRangeM((rangeM) => bottomSnrDb(terms, bottom, rangeM), traceSnrDb) ?? 0;

/** A reach and between what it lies, m: by what is not known of the target and of the boat's noise, as independent. */
export interface BeamRangeSpan {
  readonly m: number;
  readonly lowM: number;
  readonly highM: number;
}

/** The same for the bottom as a steady trace: its backscatter is known to a few decibels, the boat's noise as before. */
export const bottomUncertaintyDb = 4;
export const bottomReachSpan = (terms: BeamRangeTerms, bottom: BottomType): BeamRangeSpan => {
  const offDb = Math.hypot(bottomUncertaintyDb, noiseUncertaintyDb);
  const to = (wantedDb: number): number =>
    greatestRangeM((rangeM) => bottomSnrDb(terms, bottom, rangeM), wantedDb) ?? 0;
  return { m: to(traceSnrDb), lowM: to(traceSnrDb + offDb), highM: to(traceSnrDb - offDb) };
};

export const targetRangeSpan = (
  terms: BeamRangeTerms,
  strengthDb: number,
  strengthUncertaintyDb: number,
): BeamRangeSpan => {
  const offDb = Math.hypot(strengthUncertaintyDb, noiseUncertaintyDb);
  return {
    m: targetReachM(terms, strengthDb),
    lowM: targetReachM(terms, strengthDb - offDb),
    highM: targetReachM(terms, strengthDb + offDb),
  };
};

/** Ranges to draw a curve over, with what all curves over them share. */
export interface RangeGrid {
  readonly rangesM: Float64Array;
  readonly spreadingDb: Float64Array;
}

export const rangeGrid = (fromM: number, toM: number, count: number): RangeGrid => {
  const rangesM = Float64Array.from({ length: count }, (_, i) => fromM + ((toM - fromM) * i) / (count - 1));
  return { rangesM, spreadingDb: rangesM.map((range) => 40 * Math.log10(range)) };
};

/** The target's signal over noise along a grid, written into `into`: a plain loop, for hundreds of curves at once. */
export const fillTargetSnr = (
  terms: BeamRangeTerms,
  targetStrengthDb: number,
  { rangesM, spreadingDb }: RangeGrid,
  into: Float64Array,
): Float64Array => {
  const constant = terms.constantDb + targetStrengthDb;
  const twice = 2 * terms.absorptionDbPerM;
  for (let i = 0; i < into.length; i++) into[i] = constant - (spreadingDb[i] ?? 0) - twice * (rangesM[i] ?? 0);
  return into;
};
