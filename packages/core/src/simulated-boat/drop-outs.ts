/** What falls silent for a while, as sensors do: a receiver under a bridge, weed in the log, a bottom lost in wake. */
export const droppingSensors = ['position', 'log', 'depth'] as const;
export type DroppingSensor = (typeof droppingSensors)[number];

/** Once in so long, for so long, at a time of each sensor's own. */
const every: Readonly<Record<DroppingSensor, { readonly periodS: number; readonly lastsS: number }>> = {
  position: { periodS: 610, lastsS: 9 },
  log: { periodS: 830, lastsS: 14 },
  depth: { periodS: 470, lastsS: 7 },
};

/** Over this the bottom is lost under the face for good, until the boat slows down. */
const bottomLostMps = 8.4;

/**
 * Whether a sensor of the simulated boat says nothing at this moment. The same seed drops out at the same times; none in the
 * first minutes, so that a boat that is just opened shows all it has.
 */
export const dropsOut = (seed: number, sensor: DroppingSensor, timeS: number, throughMps = 0): boolean => {
  if (sensor === 'depth' && throughMps > bottomLostMps) return true;
  const { periodS, lastsS } = every[sensor];
  const beginsS = periodS * (0.5 + (((Math.abs(seed) * 7919) % 97) / 97) * 0.4);
  const within = timeS % periodS;
  return within >= beginsS && within < beginsS + lastsS;
};
