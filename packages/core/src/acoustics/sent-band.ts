import type { Beam } from '@grey-keel/model';

/** The band a beam fills while it sends; a single frequency spreads over about a fiftieth of itself. */
export const sentBand = ({ frequencyHz, bandwidthHz }: Beam): readonly [number, number] => {
  const half = (bandwidthHz ?? frequencyHz / 50) / 2;
  return [frequencyHz - half, frequencyHz + half];
};

/** How much of its band one unit sends into the other's, Hz. */
export const sharedBandHz = (a: Beam, b: Beam): number => {
  const [[lowA, highA], [lowB, highB]] = [sentBand(a), sentBand(b)];
  return Math.max(0, Math.min(highA, highB) - Math.max(lowA, lowB));
};
