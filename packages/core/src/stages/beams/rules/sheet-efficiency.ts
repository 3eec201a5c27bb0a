import { impliedEfficiency } from '../../../beams/element-acoustics.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { figure, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

/** A sheet whose source level wants more sound than there is power: it cannot be true as it stands. */
export const sheetEfficiency: Rule<'beams'> = {
  id: 'sheet-efficiency',
  stage: 'beams',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.transducers).flatMap(([id, transducer]) =>
      transducer.beams.flatMap((beam, i) => {
        const efficiency = impliedEfficiency(transducer, beam);
        if (efficiency === null || efficiency <= 1) return [];
        return [
          {
            subject: `${id}-${i}`,
            of: [id],
            title: 'Sheet gives more sound than power',
            reason: [
              `${transducer.name}: `,
              figure(beam.sourceLevelDb ?? 0, 'level'),
              ' from ',
              figure(transducer.electricalPowerW ?? 0, 'power'),
              ' and a cone of ',
              figure(beam.beamwidthDeg, 'angle'),
              ' would be an efficiency of ',
              figure(efficiency, 'fraction'),
              '. Source level, power or cone is another than it says.',
            ],
            figure: figure(efficiency, 'fraction'),
            fix: { label: 'Look at the sheet again', target: at('transducers', id) },
          },
        ];
      }),
    ),
};
