import { saidSnrDb } from '../../../beams/beam-range-said.ts';
import { speedTable } from '../../../beams/speed-table.ts';
import { figure, type Rule } from '../../../findings/rule.ts';
import { act } from '../../../plan/target.ts';

const onPlaneMps = 7;

/** The brief runs on plane, and nothing chosen still reads the bottom there. */
export const bottomOnPlane: Rule<'beams'> = {
  id: 'bottom-on-plane',
  stage: 'beams',
  severity: 'check',
  find: (plan) => {
    if (!plan.ways.running) return [];
    const rows = speedTable(plan);
    if (!rows?.length) return [];
    return (['cruise', 'top'] as const).flatMap((pace) => {
      const there = rows.flatMap(({ paces, mounting }) =>
        paces.flatMap((one) => (one.pace === pace && one.speedMps > onPlaneMps ? [{ ...one, mounting }] : [])),
      );
      const best = there.reduce<(typeof there)[number] | null>(
        (found, one) => (found && found.bottomSnrDb >= one.bottomSnrDb ? found : one),
        null,
      );
      if (!best || best.readsBottom) return [];
      return [
        {
          subject: pace,
          of: [],
          title: `No bottom at ${pace} speed`,
          reason: [
            ...(best.bottomSnrDb > 0
              ? [
                  'Of what is chosen the best keeps the bottom ',
                  figure(best.bottomSnrDb, 'level'),
                  ' over the noise, too little for a steady trace, at ',
                ]
              : ['Nothing that is chosen hears the bottom: its echo drowns in the noise at ']),
            figure(best.speedMps, 'speed'),
            ' over ',
            figure(plan.working.depthM, 'depth'),
            best.mounting === 'through-hull'
              ? '. It is through the hull already: slow down to read the bottom, or run by the chart.'
              : '. A face through the hull hears less of the wash.',
          ],
          figure: figure(saidSnrDb(best.bottomSnrDb), 'level'),
          working: best.noiseWorking,
          fix: { label: 'Look at the speeds', target: act('show the speeds') },
        },
      ];
    });
  },
};
