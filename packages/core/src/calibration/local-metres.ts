/** A place on the water, degrees. */
export interface Place {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
}

/** One minute of latitude is a nautical mile of 1852 m; the earth's flattening is of no account over a few kilometres. */
const degreeM = 60 * 1852;
const shrinkAt = ({ latitudeDeg }: Pick<Place, 'latitudeDeg'>): number => Math.cos((latitudeDeg * Math.PI) / 180);

/** Metres east and north from one place to another near it, on a flat sheet, the short way round the date line. */
export const metresFrom = (origin: Place, place: Place): { readonly east: number; readonly north: number } => ({
  east: (((place.longitudeDeg - origin.longitudeDeg + 540) % 360) - 180) * degreeM * shrinkAt(origin),
  north: (place.latitudeDeg - origin.latitudeDeg) * degreeM,
});

/** The place so many metres east and north of another. */
export const placeFrom = (
  origin: Place,
  { east, north }: { readonly east: number; readonly north: number },
): Place => ({
  latitudeDeg: origin.latitudeDeg + north / degreeM,
  longitudeDeg: origin.longitudeDeg + east / degreeM / shrinkAt(origin),
});

/** Something that is seen from a boat so far forward and to starboard, as metres east and north. */
export const overGround = (
  headingDeg: number,
  { forwardM, starboardM }: { readonly forwardM: number; readonly starboardM: number },
): { readonly east: number; readonly north: number } => {
  const heading = (headingDeg * Math.PI) / 180;
  const [sin, cos] = [Math.sin(heading), Math.cos(heading)];
  return { east: forwardM * sin + starboardM * cos, north: forwardM * cos - starboardM * sin };
};
