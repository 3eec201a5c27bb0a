const colours = 6;

/** The colour of the n-th transducer, the same in every picture and table. */
export const seriesVariable = (index: number): string => `var(--series-${index % colours})`;
