import { sideViewBlocked } from '../../../fit/clearances.ts';
import { stationSight } from '../../../fit/station-sight.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { move } from './move-it.ts';
import { hullMounted } from './flow.ts';
import { at } from '../../../plan/target.ts';

export const sideBlocked: Rule<'fit'> = {
  id: 'side-blocked',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.transducers).flatMap(([id, { name }]) =>
      sideViewBlocked(plan, id).map(({ by, side, lostDeg, working }): Found => ({
        of: [id],
        subject: `${id}-${side}-${by.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`,
        title: `Its view to ${side} is blocked`,
        reason: [`${by} covers `, figure(lostDeg, 'angle'), ` of the fan of ${name} to ${side}.`],
        figure: figure(lostDeg, 'angle'),
        working: [working],
        fix: move(plan, id),
      })),
    ),
};

/** What looks ahead needs a shaft or a pole: the hull hides the water ahead and nothing turns it. */
export const aheadMount: Rule<'fit'> = {
  id: 'ahead-mount',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.transducers)
      .filter(([, { kind, mounting }]) => kind === 'forward-facing' && hullMounted.includes(mounting))
      .map(([id, { name, mounting, forwardM }]) => ({
        subject: id,
        title: 'It cannot look ahead from there',
        reason: [
          `${name} is mounted ${mounting}, `,
          figure((plan.boat.lengthM ?? 0) - forwardM, 'length'),
          ' behind the bow; it belongs on a shaft or a pole that turns it.',
        ],
        figure: figure((plan.boat.lengthM ?? 0) - forwardM, 'length'),
        fix: {
          label: 'Choose another mounting',
          stage: 'beams' as const,
          target: at('transducers', id, 'mounting'),
        },
      })),
};

/** Whoever steers has to see the water over the screen and the bow. */
export const sightHidden: Rule<'fit'> = {
  id: 'sight-hidden',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    plan.ways.running
      ? inOrder(plan.stations).flatMap(([id, { name, mount }]): Found[] => {
          const sight = stationSight(plan, id);
          // What is taken off or swung away does not stand in the way when running.
          if (!sight || sight.seen || (sight.hiddenBy === 'screen' && mount !== undefined && mount !== 'fixed'))
            return [];
          const ahead = figure(sight.seenFromM ?? sight.limitM, 'length');
          const rests = sight.guesses.length ? ` Guessed for such a hull: ${sight.guesses.join(' and ')}.` : '';
          return [
            {
              subject: id,
              title: `The ${sight.hiddenBy} hides the water ahead`,
              reason:
                sight.seenFromM === null
                  ? [
                      `From ${name}, running, no water is seen over the ${sight.hiddenBy}; it has to be from `,
                      ahead,
                      ` on.${rests}`,
                    ]
                  : [
                      `From ${name}, running, the water is seen only from `,
                      ahead,
                      ` on, over the ${sight.hiddenBy}; it has to be from `,
                      figure(sight.limitM, 'length'),
                      ` on.${rests}`,
                    ],
              figure: ahead,
              working: sight.working,
              fix: move(plan, id),
            },
          ];
        })
      : [],
};
