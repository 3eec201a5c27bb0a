/** The way out of a finding about where something stands. */
export const move = (id: string) => ({ label: 'Move it', target: `place-${id}` });
