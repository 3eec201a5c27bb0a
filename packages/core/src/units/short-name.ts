/** A name cut to what a drawing has room for, with an ellipsis. The whole name is the label and the tip beside it. */
export const shortName = (name: string, most: number): string =>
  name.length <= most ? name : `${name.slice(0, most - 1).trimEnd()}\u2026`;
