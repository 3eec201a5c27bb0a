import { fedQuantities, type Plan } from '@grey-keel/model';
import { heldBy, sidesHeld } from '../../../plan/held-by.ts';
import { inOrder, soundSpeedDownTo, workingWater } from '../../../plan/working-water.ts';
import { bestWater, isNoticed } from '../../../sources/best-water.ts';
import { poorRank } from '../../../sources/feeds.ts';
import { travelConflicts, whatTravels } from '../../../sources/what-travels.ts';
import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { eachFitted } from '../../../findings/each-fitted.ts';
import { displayDepthError } from '../../../sources/display-depth-error.ts';
import { at } from '../../../plan/target.ts';
import { feedNow } from './feeds.ts';

const rad = Math.PI / 180;

/** Depths of the brief a display's error is told at: shallowest, working and usual deepest. */
const depthsOf = (plan: Plan): readonly number[] => {
  const water = workingWater(plan);
  const depths = [water?.shallowestM, plan.working.depthM, water?.usualDeepestM].flatMap((one) => one ?? []);
  return [...new Set(depths)].sort((a, b) => a - b);
};

/**
 * A display's own speed of sound against the water's: every depth is wrong by their ratio. It speaks by the size of the
 * error at the working depth, and offers the setting with the least.
 */
export const waterType: Rule<'sources'> = {
  id: 'water-type',
  stage: 'sources',
  severity: 'check',
  find: eachFitted(({ id: stationId, plan, station }): Found[] => {
    const water = workingWater(plan);
    const depthM = plan.working.depthM;
    const now = displayDepthError(plan, stationId, depthM);
    if (!water || !now) return [];
    const errorM = now.step.value;
    if (!isNoticed(errorM, depthM)) return [];
    const there = soundSpeedDownTo(water, depthM).soundSpeedMps;
    const best = bestWater(plan);
    if (!best || Math.abs(best.errorM) > Math.abs(errorM) - 1e-9) return [];
    const others = depthsOf(plan)
      .filter((depth) => depth !== depthM)
      .flatMap((depth) => [
        figure(displayDepthError(plan, stationId, depth)?.step.value ?? 0, 'depth'),
        ' at ',
        figure(depth, 'depth'),
        ', ',
      ]);
    return [
      {
        subject: stationId,
        title: errorM > 0 ? 'It shows too much water' : 'It shows too little water',
        reason: [
          `${station.name} is set to ${now.setTo === 'own figure' ? 'a speed of sound of its own, ' : `${now.setTo} water, `}`,
          figure(now.soundSpeedMps, 'soundSpeed'),
          `; ${water.name} has `,
          figure(there, 'soundSpeed'),
          '. That is ',
          ...others,
          figure(errorM, 'depth'),
          ' at the working depth.',
        ],
        figure: figure(errorM, 'depth'),
        working: [now.step],
        fix: {
          label: `Set it to ${best.type}`,
          target: at('held', stationId, 'sound', stationId),
        },
      },
    ];
  }),
};
/** A usual magnetic variation, only to say how much two norths can differ; the place's own comes from the chart. */
const saidVariationDeg = 10;

export const twoNorths: Rule<'sources'> = {
  id: 'two-norths',
  stage: 'sources',
  severity: 'check',
  find: (plan) => {
    const set = inOrder(plan.displays).flatMap(([id]) => {
      const north = heldBy(plan, id, 'north');
      return north ? [{ id, north }] : [];
    });
    const trues = set.filter(({ north }) => north === 'true');
    const [minority, majority] =
      trues.length * 2 >= set.length
        ? [set.filter(({ north }) => north === 'magnetic'), 'true' as const]
        : [trues, 'magnetic' as const];
    if (minority.length === 0) return [];
    const asideM = 100 * Math.sin(saidVariationDeg * rad);
    return minority.map(({ id }) => ({
      subject: id,
      title: 'Two norths aboard',
      reason: [
        `${plan.stations[id]?.name ?? id} counts from another north than the rest. Ten degrees of variation put a mark `,
        figure(asideM, 'length'),
        ' aside at a hundred metres.',
      ],
      figure: figure(asideM, 'length'),
      fix: {
        label: `Set it to ${majority}`,
        target: at('held', id, 'north', id),
      },
    }));
  },
};

export const sidesSwapped: Rule<'sources'> = {
  id: 'sides-swapped',
  stage: 'sources',
  severity: 'stop',
  find: eachFitted(({ id: stationId, plan, station }): Found[] =>
    sidesHeld(plan, stationId) !== 'swapped'
      ? []
      : [
          {
            subject: stationId,
            title: 'Port and starboard are swapped',
            reason: [
              `${station.name} draws what lies to port on the right: a target `,
              figure(plan.working.depthM, 'length'),
              ' off is looked for on the wrong side.',
            ],
            figure: figure(plan.working.depthM, 'length'),
            fix: {
              label: 'Turn the unit or set its flag, then look again',
              target: at('held', stationId, 'sides'),
            },
          },
        ],
  ),
};

/** A setting that travels cannot be one thing here and another there: whichever is set last wins on both. */
export const travelsConflict: Rule<'sources'> = {
  id: 'travels-conflict',
  stage: 'sources',
  severity: 'check',
  find: (plan) =>
    travelConflicts(plan).flatMap(({ setting, what, stationIds: [a, b], stage, target }): Found[] => {
      const quantity = fedQuantities.find((one) => what === `source of ${one}`);
      // A source that is no good there is said already, and clears this, too.
      const poor = [a, b].some((id) => {
        const now = quantity && feedNow(plan, id, quantity).now;
        return now && now.rank >= poorRank;
      });
      if (poor) return [];
      const shared = whatTravels(plan).find((one) => one.setting === setting)?.shared ?? [];
      const [one, other] = [a, b].map((id) => plan.stations[id]?.name ?? id);
      return [
        {
          subject: `${a}-${b}-${what.replace(/ /g, '-')}`,
          of: [a, b],
          title: 'A shared setting is wanted two ways',
          reason: [
            `${one ?? ''} and ${other ?? ''} differ in the ${what}; "${setting}" travels between `,
            figure(shared.length, 'count'),
            ' displays, so what is set last holds on both.',
          ],
          figure: figure(shared.length, 'count'),
          fix: { label: 'Choose one for both', stage, target },
        },
      ];
    }),
};
