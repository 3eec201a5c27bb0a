import type { Backbone, Plan } from '@grey-keel/model';
import { type Answer, answerOf } from '../calculation/calculation.ts';
import { backboneVoltage, loadA } from './backbone-voltage.ts';
import { type Device, devicesOf } from './devices.ts';

/** What the two usual cables of a backbone bear; a sheet's own figures come first. */
const cables = {
  light: { bearsA: 3, ohmPerM: 0.057, longestM: 100 },
  heavy: { bearsA: 8, ohmPerM: 0.015, longestM: 200 },
} as const;

export interface BackboneCable {
  readonly name: 'light' | 'heavy';
  readonly bearsA: number;
  readonly ohmPerM: number;
  readonly longestM: number;
}

/** The cable of a backbone: as its sheet has it, else light, which is what most boats have. */
export const backboneCable = ({
  cable = 'light',
  cableBearsA,
  cablePerMetreOhm,
  cableLongestM,
}: Backbone): BackboneCable => ({
  name: cable,
  bearsA: cableBearsA ?? cables[cable].bearsA,
  ohmPerM: cablePerMetreOhm ?? cables[cable].ohmPerM,
  longestM: cableLongestM ?? cables[cable].longestM,
});

export interface BackboneStanding {
  readonly cable: BackboneCable;
  readonly devices: readonly Device[];
  /** The heavier of the two sides of the supply; all of it while the positions are not said. */
  readonly sideA: number;
  /** Null while the length is not known. */
  readonly voltage: Answer<ReturnType<typeof backboneVoltage.run>> | null;
}

/** How a boat's backbone stands; null while nothing is on it. */
export const backboneStanding = (plan: Plan): BackboneStanding | null => {
  const devices = devicesOf(plan).filter(({ device }) => device.onBackbone);
  if (devices.length === 0) return null;
  const { backbone } = plan.network;
  const { lengthM } = backbone;
  const cable = backboneCable(backbone);
  const voltage =
    lengthM === null
      ? null
      : answerOf(backboneVoltage, {
          lengthM,
          supplyAtM: backbone.supplyAtM ?? null,
          ohmPerM: cable.ohmPerM,
          devices: devices.map(({ device: { teeAtM, dropM, loads } }) => ({
            teeAtM: teeAtM ?? null,
            dropM: dropM ?? 0,
            loads,
          })),
        });
  return {
    cable,
    devices,
    sideA: voltage
      ? Math.max(...voltage.sideA)
      : loadA * devices.reduce((sum, { device: { loads } }) => sum + loads, 0),
    voltage,
  };
};
