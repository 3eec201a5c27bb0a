import { lostToAbsorption } from '../../../beams/absorption-to-depth.ts';
import { inOrder, workingWater } from '../../../plan/working-water.ts';
import { figure, type Rule } from '../../../findings/rule.ts';
import { act } from '../../../plan/target.ts';

/** 20 dB: a hundredth of the echo's energy is left, whatever the cone. */
const heavyDb = 20;

export const absorptionHeavy: Rule<'beams'> = {
  id: 'absorption-heavy',
  stage: 'beams',
  severity: 'check',
  find: (plan) => {
    const water = workingWater(plan);
    const depthM = water?.usualDeepestM ?? null;
    if (!water || depthM === null) return [];
    return inOrder(plan.transducers).flatMap(([id, transducer]) => {
      if (transducer.kind !== 'sounder') return [];
      const losses = transducer.beams.map((beam) => ({
        frequencyHz: beam.frequencyHz,
        ...lostToAbsorption(water, beam.frequencyHz, depthM),
      }));
      const least = losses.reduce((a, b) => (b.lostDb < a.lostDb ? b : a));
      if (least.lostDb <= heavyDb) return [];
      return [
        {
          subject: id,
          title: 'Absorption decides, not the cone',
          reason: [
            `${transducer.name} loses `,
            figure(least.lostDb, 'level'),
            ' to absorption at ',
            figure(least.frequencyHz, 'frequency'),
            ' to ',
            figure(depthM, 'depth'),
            ' and back; over 20 dB a lower frequency is worth more than a narrower cone.',
          ],
          figure: figure(least.lostDb, 'level'),
          working: least.working,
          fix: { label: 'See the losses by frequency', target: act('show the absorption') },
        },
      ];
    });
  },
};
