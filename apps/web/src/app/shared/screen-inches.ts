const inchM = 0.0254;

/** A screen's diagonal in inches, as screens are sold whatever else is shown in metres. */
export const screenInches = (diagonalM: number): string => `${(diagonalM / inchM).toFixed(1)} in`;
