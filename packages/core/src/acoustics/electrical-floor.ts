import { settled } from '../plan/remembered.ts';
import type { Plan, WorkingStep } from '@grey-keel/model';
import { given, calculated } from '../calculation/working-step.ts';

/**
 * What the boat's own electrics put into a sonar receiver at rest, as a level of sound at the face that would do the
 * same, dB re 1 µPa in a band of 1 kHz. No directivity keeps it out, and it grows with the band. A few microvolts at the
 * receiver's input; round figures of ours, chosen so that reach comes out as practice sees it, until a trial measures it.
 */
const quietDb = 76;
const outboardDb = 78;
const inboardDb = 80;
/** A sonar that shares the battery an engine is started from hears its alternator and its pumps. */
const sharedDb = 1;

/** What is taken where nothing of the boat is known. */
export const usualFloorDb = outboardDb;

/** How well a face turns sound back into current, where its sheet is silent: as well as the other way round. */
export const usualReceiveEfficiency = 0.5;

const byEngine: Readonly<Record<Plan['boat']['propulsion'], number>> = {
  oars: quietDb,
  electric: quietDb,
  'single outboard': outboardDb,
  'twin outboards': outboardDb,
  'inboard shaft': inboardDb,
  sterndrive: inboardDb,
  jet: inboardDb,
};

export interface ElectricalFloor {
  readonly in1kHzDb: number;
  /** False where the sea trial measured it. */
  readonly assumed: boolean;
  /** What it rests on, in words. */
  readonly because: string;
}

/** A boat's electrical floor: as measured, else by its engine and by whether its displays share the starting battery. */
export const electricalFloorOf = (plan: Plan): ElectricalFloor => floorOf(plan, '');

/** Told from much that hardly ever changes it. */
const floorOf = settled(({ boat, displays, power }): ElectricalFloor => {
  if (boat.electricalFloorDb != null)
    return { in1kHzDb: boat.electricalFloorDb, assumed: false, because: 'measured on the boat' };
  const shared = Object.values(power.circuits).some(
    ({ batteryId, loads }) =>
      (power.batteries[batteryId ?? '']?.crankingA ?? 0) > 0 &&
      Object.values(loads).some(({ deviceId }) => deviceId != null && displays[deviceId] !== undefined),
  );
  return {
    in1kHzDb: byEngine[boat.propulsion] + (shared ? sharedDb : 0),
    assumed: true,
    because: `${boat.propulsion}${shared ? ', sharing the starting battery' : ''}: a round figure of ours`,
  };
});

/**
 * Up to here a boat's electrics are about as loud at every frequency; over it, as a level of sound, they rise by 20 dB a
 * decade: a face gives fewer volts for a pascal the thinner it is, and what is lost at high level is in it too. Chosen so
 * that the bottom is read as deep as practice reads it with imaging units (docs/reach-beside-practice.md).
 */
const evenToHz = 200_000;

/** The same in a receiver's own band, dB re 1 µPa: a face that hears less well has less over it. */
export const electricalInBandDb = (
  in1kHzDb: number,
  {
    frequencyHz,
    bandwidthHz,
    receiveEfficiency,
  }: { frequencyHz: number; bandwidthHz: number; receiveEfficiency: number },
): number =>
  in1kHzDb +
  20 * Math.log10(Math.max(1, frequencyHz / evenToHz)) +
  10 * Math.log10(bandwidthHz / 1000) -
  10 * Math.log10(receiveEfficiency);

/** How a floor becomes what is in the band, as a step of a working. */
export const electricalStep = (
  in1kHzDb: number,
  at: { frequencyHz: number; bandwidthHz: number; receiveEfficiency: number },
): WorkingStep =>
  calculated(
    {
      says: "What the boat's electrics put into the receiver",
      symbol: 'Ne',
      value: electricalInBandDb(in1kHzDb, at),
      unit: 'dB',
      expression: `F + 20 * log10(max(1, f / ${evenToHz})) + 10 * log10(B / 1000) - 10 * log10(e)`,
      source: 'assumed by supply and engine until a trial measures it',
    },
    given('F', in1kHzDb, 'dB', 'in a band of 1 kHz'),
    given('f', at.frequencyHz, 'Hz', 'frequency'),
    given('B', at.bandwidthHz, 'Hz', 'band of the receiver'),
    given('e', at.receiveEfficiency, '', 'sound back into current'),
  );
