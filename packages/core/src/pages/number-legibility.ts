import type { PageNumber, Plan } from '@grey-keel/model';
import { answerOf } from '../calculation/calculation.ts';
import { legibility, lights, type Light } from './legibility.ts';

export type LegibilityAnswer = ReturnType<typeof answerOf<typeof legibility.input, typeof legibility.output>>;

export interface Sight {
  readonly light: Light;
  readonly posture: 'seated' | 'standing';
  readonly answer: LegibilityAnswer;
}

/** A number judged as it is looked at on a station's display: in each posture, by day and by night. Empty while the eye's distance is unknown. */
export const sightsOf = (plan: Plan, stationId: string, number: Pick<PageNumber, 'heightPx'>): Sight[] => {
  const station = plan.stations[stationId];
  const display = plan.displays[stationId];
  if (!station || !display) return [];
  const own = station.posture === 'seated' ? ('seated' as const) : ('standing' as const);
  const distances = [
    { posture: own, distanceM: station.viewingDistanceM },
    { posture: 'seated' as const, distanceM: station.posture === 'both' ? display.seatedDistanceM : null },
  ];
  const { screenDiagonalM, pixelsWide, pixelsHigh } = display;
  return distances.flatMap(({ posture, distanceM }) =>
    distanceM === null
      ? []
      : lights.map((light) => ({
          light,
          posture,
          answer: answerOf(legibility, {
            heightPx: number.heightPx,
            screenDiagonalM,
            pixelsWide,
            pixelsHigh,
            viewingDistanceM: distanceM,
            light,
          }),
        })),
  );
};

/** Of the sights a station really has, the one that asks for the most: at night only where it is read at night. */
export const hardestSight = (plan: Plan, stationId: string, number: Pick<PageNumber, 'heightPx'>): Sight | null =>
  sightsOf(plan, stationId, number)
    .filter(({ light }) => light === 'day' || plan.displays[stationId]?.readAtNight === true)
    .reduce<Sight | null>(
      (hardest, sight) => (!hardest || sight.answer.wantedPx > hardest.answer.wantedPx ? sight : hardest),
      null,
    );
