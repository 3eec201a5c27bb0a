/**
 * How much of a pulse's power another receiver takes in.
 *
 * A single frequency of length T fills about 1 / T, a chirp its band; outside, shaped pulses fall by some 48 dB an octave.
 * The receiver passes its own band and falls as steeply. Both are even about their middles and only fall away from them,
 * and so does the share with the distance of the bands (Wintner 1938 on convolutions of such curves).
 */
export interface Band {
  readonly middleHz: number;
  readonly widthHz: number;
}

/** 48 dB an octave, a round figure of ours: channels 20 kHz apart are run side by side, and have to be apart here. */
const steepness = 16;
/** What a display's front end lets through at the least, dB: a round figure of ours, so that nothing is said to be less. */
const floorDb = -200;

/** Power a hertz against that in the middle, by the distance from it in half-widths. */
const skirt = (halves: number): number => 1 / (1 + halves ** steepness);

const response = ({ middleHz, widthHz }: Band, hz: number): number =>
  skirt((2 * (hz - middleHz)) / Math.max(1, widthHz));

/** Integral of a skirt 1 / (1 + x^n) over all frequencies, in half-widths: (2 pi / n) / sin(pi / n). */
const wholeHalves = (2 * Math.PI) / steepness / Math.sin(Math.PI / steepness);

/** Cells of the integral on each side of a band's middle, narrower where the curve turns; in half-widths. */
const cells = 48;
const reachHalves = 60;
const edges: readonly number[] = Array.from({ length: cells + 1 }, (_, i) =>
  Math.sinh((Math.asinh(reachHalves) * i) / cells),
);

/** The edges of a band's cells, Hz, on both its sides. */
const edgesOf = ({ middleHz, widthHz }: Band): number[] => {
  const half = Math.max(1, widthHz) / 2;
  return edges.flatMap((out) => [middleHz - out * half, middleHz + out * half]);
};

const shares = new Map<string, number>();

/** Of the power a pulse sends, the share another receiver takes in, dB, 0 at most. Bands in Hz. */
export const bandShareDb = (sent: Band, received: Band): number => {
  const key = `${sent.middleHz} ${sent.widthHz} ${received.middleHz} ${received.widthHz}`;
  const before = shares.get(key);
  if (before !== undefined) return before;
  // The cells of both together, so that each curve is followed closely where it turns.
  const cuts = [...edgesOf(sent), ...edgesOf(received)].sort((a, b) => a - b);
  let taken = 0;
  for (let i = 1; i < cuts.length; i++) {
    const [from = 0, to = 0] = [cuts[i - 1], cuts[i]];
    const at = (from + to) / 2;
    if (to > from) taken += response(sent, at) * response(received, at) * (to - from);
  }
  const whole = wholeHalves * (Math.max(1, sent.widthHz) / 2);
  const share = Math.max(floorDb, Math.min(0, 10 * Math.log10(taken / whole)));
  if (shares.size < 5000) shares.set(key, share);
  return share;
};
