/** Two-way transmission loss, dB: spherical spreading and absorption of so many dB a metre. Source: Urick 1983, ch. 5. */
export const twoWayLossDb = (rangeM: number, absorptionDbPerM: number): number =>
  40 * Math.log10(rangeM) + 2 * absorptionDbPerM * rangeM;

/** Noise in the receiver, dB re 1 µPa: the spectrum level over the band, less what the receiver's directivity keeps out. */
export const noiseInBandDb = (noiseSpectrumDb: number, bandwidthHz: number, directivityIndexDb: number): number =>
  noiseSpectrumDb + 10 * Math.log10(bandwidthHz) - directivityIndexDb;
