const radian = Math.PI / 180;

/** East and north parts of something that goes `deg` true at `size`. */
export const eastNorth = (deg: number, size = 1): { readonly east: number; readonly north: number } => ({
  east: size * Math.sin(deg * radian),
  north: size * Math.cos(deg * radian),
});

/** Where something goes, degrees true, 0 to 360. */
export const bearingOf = ({ east, north }: { readonly east: number; readonly north: number }): number =>
  (Math.atan2(east, north) / radian + 360) % 360;

/** An angle as the shorter way round, above -180 to 180. */
export const wrapped = (deg: number): number => {
  const turn = ((deg % 360) + 360) % 360;
  return turn > 180 ? turn - 360 : turn;
};

/** Mean of angles by their directions, degrees. Source: Mardia and Jupp 2000, ch. 2. */
export const circularMean = (degrees: readonly number[]): number => {
  const parts = degrees.map((deg) => eastNorth(deg));
  return wrapped(
    bearingOf({
      east: parts.reduce((sum, { east }) => sum + east, 0),
      north: parts.reduce((sum, { north }) => sum + north, 0),
    }),
  );
};
