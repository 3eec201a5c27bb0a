/** Depth of the simulated water, metres, at so many metres east and north of its middle: a bank, a ledge and a basin. */
export const terrainDepthM = (eastM: number, northM: number): number => {
  const bank = 12 * Math.exp(-((eastM - 420) ** 2 + (northM - 160) ** 2) / 90_000);
  const ledge = 7 / (1 + Math.exp((northM + 240) / 22));
  const waves = 1.2 * Math.sin(eastM / 61) + 0.8 * Math.cos(northM / 47);
  return Math.max(1.6, 22 - bank - ledge + waves);
};

/** The water's temperature so far down, degrees Celsius: mixed on top, colder below six metres. */
export const waterTemperatureC = (surfaceC: number, depthM: number): number =>
  surfaceC - 4 / (1 + Math.exp((6 - depthM) / 1.2));
