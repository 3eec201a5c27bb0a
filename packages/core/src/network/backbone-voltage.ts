import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';

/** One load of the network's own counting, A. Source: NMEA 2000, appendix B. */
export const loadA = 0.05;

const metre = z.number().min(0).max(300);

/**
 * What is lost on the way from a backbone's supply to each device, and the current on each side of the supply.
 *
 * Positions in metres from one end, 0 to 300; each device draws so many loads of 50 mA. The current of a stretch is what
 * all devices beyond it draw, and it flows there and back; a drop is of light cable and carries its own device's current.
 * Where a tee or the supply has no position, everything is taken at the far end of the whole length, on one side: the
 * careful case, and `positionsSaid` is false.
 * Source: Ohm's law; load equivalency by NMEA 2000, appendix B.
 */
export const backboneVoltage = defineCalculation({
  name: 'backbone-voltage',
  purpose: 'Voltage at the devices of an instrument backbone, and the current on each side of its supply',
  version: 1,
  input: z.strictObject({
    lengthM: metre,
    supplyAtM: metre.nullable().default(null),
    supplyV: z.number().min(8).max(32).default(12),
    ohmPerM: z.number().min(0.001).max(1),
    dropOhmPerM: z.number().min(0.001).max(1).default(0.057),
    devices: z
      .array(
        z.strictObject({
          teeAtM: metre.nullable().default(null),
          dropM: z.number().min(0).max(60).default(0),
          loads: z.number().int().min(0).max(40),
        }),
      )
      .min(1)
      .max(300),
  }),
  output: z.strictObject({
    lowestV: z.number(),
    worstLossV: z.number(),
    /** The place in the list of the device that has least. */
    worst: z.number(),
    /** Of each side of the supply, towards the first end and away from it. */
    sideA: z.tuple([z.number(), z.number()]),
    positionsSaid: z.boolean(),
    lossesV: z.array(z.number()),
  }),
  run: ({ lengthM, supplyAtM, supplyV, ohmPerM, dropOhmPerM, devices }) => {
    const positionsSaid = supplyAtM !== null && devices.every(({ teeAtM }) => teeAtM !== null);
    const from = positionsSaid ? supplyAtM : 0;
    const placed = devices.map(({ teeAtM, dropM, loads }) => ({
      atM: positionsSaid ? (teeAtM ?? 0) - from : lengthM,
      dropM,
      currentA: loads * loadA,
    }));
    // What a stretch carries is what lies beyond it: each device adds its current as far as both have the way in common.
    const ohmAmps = placed.map(({ atM }) =>
      placed.reduce(
        (sum, other) =>
          Math.sign(other.atM) === Math.sign(atM)
            ? sum + Math.min(Math.abs(atM), Math.abs(other.atM)) * other.currentA
            : sum,
        0,
      ),
    );
    const lossesV = placed.map(
      ({ dropM, currentA }, i) => 2 * (ohmPerM * (ohmAmps[i] ?? 0) + dropOhmPerM * dropM * currentA),
    );
    const worst = lossesV.reduce((most, loss, i) => (loss > (lossesV[most] ?? 0) ? i : most), 0);
    const worstLossV = lossesV[worst] ?? 0;
    const lowestV = Math.max(0, supplyV - worstLossV);
    const side = (towards: number): number =>
      placed.reduce((sum, { atM, currentA }) => sum + (Math.sign(atM) === towards ? currentA : 0), 0);
    const at = placed[worst];
    const working: WorkingStep[] = [
      calculated(
        {
          says: 'Lost on the way to the device that has least',
          symbol: 'U',
          value: worstLossV,
          unit: 'V',
          expression: '2 * (R * S + Rd * d * I)',
          source: 'Ohm’s law, there and back',
        },
        given('R', ohmPerM, 'ohm/m', 'one conductor of the backbone'),
        given('S', ohmAmps[worst] ?? 0, 'A·m', 'current times length, stretch by stretch from the supply'),
        given('Rd', dropOhmPerM, 'ohm/m', 'one conductor of its drop'),
        given('d', at?.dropM ?? 0, 'm', 'its drop'),
        given('I', at?.currentA ?? 0, 'A', 'it draws'),
      ),
      calculated(
        {
          says: 'Left there',
          symbol: 'V',
          value: lowestV,
          unit: 'V',
          expression: 'max(0, Vs - U)',
          source: 'Ohm’s law',
        },
        given('Vs', supplyV, 'V', 'at the supply'),
        given('U', worstLossV, 'V', 'lost on the way'),
      ),
    ];
    return {
      lowestV,
      worstLossV,
      worst,
      sideA: [side(-1), side(1)] as [number, number],
      positionsSaid,
      lossesV,
      flags: positionsSaid ? [] : ['Where the tees stand is not said: all of it is taken at the far end.'],
      working,
    };
  },
});
