import { sideFanEdgesDeg, sideViewBlocked, svgPoints, type Point } from '@grey-keel/core';
import type { Place, Plan } from '@grey-keel/model';
import { fittedThings } from './fitted-things.ts';

const radian = Math.PI / 180;

interface FanShape {
  readonly key: string;
  /** In the drawing's pixels, as SVG writes them. */
  readonly points: string;
  readonly lost: boolean;
}

/** The fans of a side-scan from astern, as far as they stay on the sheet, and in them what is covered. */
export function sideFanShapes(
  plan: Plan,
  at: (place: Place) => Point,
  pixelsPerMetre: number,
  floorY: number,
): readonly FanShape[] {
  return fittedThings(plan).flatMap(({ id, of, place }) => {
    const own = of === 'transducer' ? plan.transducers[id] : undefined;
    if (!place || own?.kind !== 'side-scan') return [];
    const from = at(place);
    const [low, high] = sideFanEdgesDeg(plan, own);
    const reach = Math.max(12, Math.min(1.6 * pixelsPerMetre, (floorY - from.y) / Math.cos(low * radian)));
    const wedge = (side: number, above: number): string =>
      svgPoints([
        from,
        ...Array.from({ length: 9 }, (_, i) => {
          const angle = (above + ((high - above) * i) / 8) * radian;
          return { x: from.x + side * reach * Math.sin(angle), y: from.y + reach * Math.cos(angle) };
        }),
      ]);
    const blocked = sideViewBlocked(plan, id);
    return [-1, 1].flatMap((side) => [
      { key: `${id}-${side}`, points: wedge(side, low), lost: false },
      ...blocked
        .filter((one) => (one.side === 'port') === side < 0)
        .map(({ by, lostDeg }) => ({ key: `${id}-${side}-${by}`, points: wedge(side, high - lostDeg), lost: true })),
    ]);
  });
}
