/**
 * Gauge pressure in sea water, dbar, at a depth in metres.
 * Source: Saunders 1981, "Practical conversion of pressure to depth" (standard ocean, 0 to 12 000 m).
 * In fresh water it is 2.5 % too high, which moves the sound speed by less than 0.05 m/s at 100 m.
 */
export const pressureAtDepthDbar = (depthM: number, latitudeDeg: number): number => {
  const sine = Math.sin((latitudeDeg * Math.PI) / 180);
  const c1 = (5.92 + 5.25 * sine * sine) * 1e-3;
  const c2 = 2.21e-6;
  return (1 - c1 - Math.sqrt((1 - c1) ** 2 - 4 * c2 * depthM)) / (2 * c2);
};
