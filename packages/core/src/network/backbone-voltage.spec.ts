import { Matrix, solve } from 'ml-matrix';
import { answerOf } from '../calculation/calculation.ts';
import { seeded } from '../testing/sample-plan.ts';
import { backboneVoltage } from './backbone-voltage.ts';

interface Tee {
  readonly teeAtM: number;
  readonly dropM: number;
  readonly loads: number;
}

/** The same by the nodes of the network: what flows into each tee flows out (Kirchhoff), solved for all voltages at once. */
const byNodes = (supplyAtM: number, ohmPerM: number, devices: readonly Tee[]): number[] => {
  const places = [...new Set([supplyAtM, ...devices.map(({ teeAtM }) => teeAtM)])].sort((a, b) => a - b);
  const n = places.length;
  const conductance = Matrix.zeros(n, n);
  const drawn = Matrix.zeros(n, 1);
  for (let i = 0; i + 1 < n; i++) {
    const siemens = 1 / (2 * ohmPerM * ((places[i + 1] ?? 0) - (places[i] ?? 0)));
    conductance.set(i, i, conductance.get(i, i) + siemens);
    conductance.set(i + 1, i + 1, conductance.get(i + 1, i + 1) + siemens);
    conductance.set(i, i + 1, -siemens);
    conductance.set(i + 1, i, -siemens);
  }
  for (const { teeAtM, loads } of devices) {
    const at = places.indexOf(teeAtM);
    drawn.set(at, 0, drawn.get(at, 0) - 0.05 * loads);
  }
  const supply = places.indexOf(supplyAtM);
  for (let k = 0; k < n; k++) conductance.set(supply, k, k === supply ? 1 : 0);
  drawn.set(supply, 0, 12);
  const volts = solve(conductance, drawn);
  return devices.map(
    ({ teeAtM, dropM, loads }) => 12 - volts.get(places.indexOf(teeAtM), 0) + 2 * 0.057 * dropM * 0.05 * loads,
  );
};

describe('the voltage along a backbone', () => {
  it('is what the nodes of the same network have, wherever the supply stands', () => {
    const uniform = seeded(31);
    for (let round = 0; round < 60; round++) {
      const lengthM = 5 + 60 * uniform();
      const supplyAtM = lengthM * uniform();
      const devices = Array.from({ length: 1 + Math.floor(6 * uniform()) }, () => ({
        teeAtM: lengthM * uniform(),
        dropM: 6 * uniform(),
        loads: Math.floor(8 * uniform()),
      }));
      const answer = answerOf(backboneVoltage, { lengthM, supplyAtM, ohmPerM: 0.057, devices });
      byNodes(supplyAtM, 0.057, devices).forEach((lossV, i) => expect(answer.lossesV[i]).toBeCloseTo(lossV, 9));
      const all = 0.05 * devices.reduce((sum, { loads }) => sum + loads, 0);
      expect(answer.sideA[0] + answer.sideA[1]).toBeCloseTo(all, 9);
      // With the places unsaid it is never better than with them.
      const unsaid = answerOf(backboneVoltage, { lengthM, ohmPerM: 0.057, devices });
      expect(unsaid.positionsSaid).toBeFalse();
      expect(unsaid.worstLossV).toBeGreaterThanOrEqual(answer.worstLossV - 1e-9);
      expect(unsaid.sideA[1]).toBeCloseTo(all, 9);
    }
  });

  it('by hand: 1 A at the end of 20 m of light cable loses 2 x 20 x 0.057 V', () => {
    const answer = answerOf(backboneVoltage, {
      lengthM: 20,
      supplyAtM: 0,
      ohmPerM: 0.057,
      devices: [{ teeAtM: 20, loads: 20 }],
    });
    expect(answer.worstLossV).toBeCloseTo(2.28, 9);
    expect(answer.lowestV).toBeCloseTo(9.72, 9);
  });
});
