import {
  type AheadUnit,
  coveredAhead,
  formatFigure,
  outlineAhead,
  type Point,
  type SceneFan,
  silhouetteOf,
  svgPoints,
  sweptAhead,
  type UnitChoice,
  usualForward,
} from '@grey-keel/core';
import type { PlacedFish, Plan } from '@grey-keel/model';
import { roundTicks } from '../../shared/round-ticks.ts';
import { seriesVariable } from '../../shared/series.ts';

export const width = 880;
export const height = 300;
export const left = 66;
export const top = 42;

const inWords = (plan: Plan, { forwardM, depthM }: PlacedFish, units: UnitChoice): string => {
  const ahead = forwardM - (plan.boat.lengthM ?? 6);
  const far = formatFigure({ value: Math.abs(ahead), quantity: 'length' }, units, { decimals: 1 });
  const deep = formatFigure({ value: depthM, quantity: 'depth' }, units, { decimals: 1 });
  return `${deep} deep, ${far} ${ahead < 0 ? 'behind' : 'ahead of'} the bow`;
};

/** Everything that is drawn of a unit that looks ahead, in pixels of the picture. */
export const forwardPicture = (
  plan: Plan,
  unit: SceneFan & AheadUnit,
  fish: Readonly<Record<string, PlacedFish>>,
  turnDegPerS: number,
  units: UnitChoice,
) => {
  const { depthM } = plan.working;
  const setting = plan.scene.forward ?? usualForward(depthM);
  // Room for the boat astern and the range ahead.
  const lengthM = plan.boat.lengthM ?? 6;
  const asternM = lengthM * 1.15;
  const aheadM = unit.forwardM + setting.rangeM * 1.08;
  const perMetre = Math.min((height - top - 30) / (depthM * 1.05), (width - left) / (asternM + aheadM));
  const zero = left + 0.15 * lengthM * perMetre + 4;
  const x = (metres: number): number => zero + metres * perMetre;
  const y = (metres: number): number => top + metres * perMetre;
  const points = (list: readonly Point[]): string => svgPoints(list.map((p) => ({ x: x(p.x), y: y(p.y) })));
  const turning = unit.kind === 'sector';
  const view = turning ? null : coveredAhead(unit, setting, depthM);
  const swept = (waterM: number) => sweptAhead(unit, setting, waterM, turnDegPerS);
  const sector = turning
    ? {
        ...swept(depthM),
        byDepth: [0.25, 0.5, 1].map((share) => ({ waterM: share * depthM, ...swept(share * depthM) })),
      }
    : null;
  return {
    name: unit.name,
    kind: unit.kind,
    view,
    sector,
    colour: seriesVariable(unit.series),
    forwardM: (pixelX: number): number => (pixelX - zero) / perMetre,
    depthM: (pixelY: number): number => (pixelY - top) / perMetre,
    bottomY: y(depthM),
    fan: points(outlineAhead(unit, setting, depthM, unit.forwardM)),
    blind:
      view && view.blindM !== null && view.blindM > 0
        ? {
            from: x(unit.forwardM - view.blindM),
            to: x(unit.forwardM + view.blindM),
            middle: x(unit.forwardM),
          }
        : null,
    boat: silhouetteOf(plan.boat).side.map((list) => points(list.map((p) => ({ x: p.x, y: -p.y })))),
    lean: `rotate(${-(plan.scene.pitchDeg ?? 0)} ${x((plan.boat.lengthM ?? 6) / 2)} ${top})`,
    ticks: roundTicks('depth', depthM * 1.05, 4, units).map(({ atM, words }) => ({ y: y(atM), label: words })),
    fish: Object.keys(fish)
      .sort()
      .flatMap((id, i) => {
        const one = fish[id];
        return one
          ? [
              {
                id,
                number: i + 1,
                depthM: one.depthM,
                forwardM: one.forwardM,
                x: x(one.forwardM),
                y: y(one.depthM),
                shown: unit.seen[id]?.state === 'seen',
                words: inWords(plan, one, units),
              },
            ]
          : [];
      }),
  };
};
