/** What decides how long a battery bears a current. */
export interface Borne {
  readonly capacityAh: number;
  /** 1 for what does not lose by a greater current. */
  readonly peukert: number;
  readonly ratedHours: number;
}

/**
 * Hours a full battery bears a current, A over 0: t = H (C / (I H))^k over the current it is rated at; under it the
 * charge itself counts, since there Peukert promises more than a battery keeps. Source: Peukert 1897.
 */
export const hoursBorne = (currentA: number, { capacityAh, peukert, ratedHours }: Borne): number => {
  const ratedA = capacityAh / ratedHours;
  return ratedHours * (ratedA / currentA) ** (currentA > ratedA ? peukert : 1);
};
