/** A sentence of the simulated boat's own: whatever carries it further, it stays known that no boat says this. */
export const simulatedMark = { talker: 'PG', type: 'SIM' } as const;
