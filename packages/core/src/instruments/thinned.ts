/**
 * So many points of a series at most, chosen so that its peaks stay: of each of equal parts the least and the greatest, in
 * their order. Source: min-max decimation.
 */
export const thinned = (
  timesS: ArrayLike<number>,
  values: ArrayLike<number>,
  points: number,
): { readonly timesS: number[]; readonly values: number[] } => {
  const count = timesS.length;
  if (count <= points) return { timesS: Array.from(timesS), values: Array.from(values) };
  const parts = Math.max(1, Math.floor(points / 2));
  const kept: number[] = [];
  for (let part = 0; part < parts; part++) {
    const from = Math.floor((part * count) / parts);
    const to = Math.floor(((part + 1) * count) / parts);
    let [least, greatest] = [from, from];
    for (let i = from + 1; i < to; i++) {
      if ((values[i] ?? 0) < (values[least] ?? 0)) least = i;
      if ((values[i] ?? 0) > (values[greatest] ?? 0)) greatest = i;
    }
    kept.push(Math.min(least, greatest));
    if (least !== greatest) kept.push(Math.max(least, greatest));
  }
  return { timesS: kept.map((i) => timesS[i] ?? 0), values: kept.map((i) => values[i] ?? 0) };
};
