import type { Circuit, Load } from '@grey-keel/model';
import { between, figure, type Found, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { bearsShare } from '../../../power/battery-curve.ts';
import { chargingLimit } from '../../../power/charging.ts';
import { circuitsOn, dayOf } from '../../../power/day-voltage.ts';
import { eachCircuit } from './each-circuit.ts';

const loadsOf = ({ loads }: Circuit): (readonly [string, Load])[] => inOrder(loads);

/** The same battery cranks the engine, and a device on it does not bear the dip. */
export const startsOut: Rule<'fit'> = {
  id: 'starts-out',
  stage: 'fit',
  severity: 'check',
  find: eachCircuit(({ id, circuit, standing: { dips } }) =>
    dips.flatMap(({ loadId, dip }): Found[] => {
      const load = circuit.loads[loadId];
      if (!load || dip.marginV === null || dip.marginV >= 0) return [];
      return [
        {
          ...between(id, loadId),
          title: 'It goes out when the engine starts',
          reason: [
            `${load.name} sees `,
            figure(dip.dipV, 'voltage'),
            ' while the engine is cranked and needs ',
            figure(load.lowestV ?? 0, 'voltage'),
            ': a battery of its own, or start first. A fuse does not help.',
          ],
          figure: figure(dip.dipV, 'voltage'),
          working: dip.working,
          fix: { label: 'Another battery for this circuit', target: at('power', 'circuits', id, 'batteryId') },
        },
      ];
    }),
  ),
};

export const chargedOver: Rule<'fit'> = {
  id: 'charged-over',
  stage: 'fit',
  severity: 'stop',
  find: eachCircuit(({ id, circuit }, plan) => {
    const battery = plan.power.batteries[circuit.batteryId ?? ''];
    if (!battery) return [];
    return loadsOf(circuit)
      .filter(([, { highestV }]) => highestV !== null && battery.chargingV > highestV)
      .map(([loadId, load]) => ({
        ...between(id, loadId),
        title: 'Charging is over what it bears',
        reason: [
          `${battery.name} is charged at `,
          figure(battery.chargingV, 'voltage'),
          `; ${load.name} bears `,
          figure(load.highestV ?? 0, 'voltage'),
          '. A fuse protects from too much current, not from voltage.',
        ],
        figure: figure(battery.chargingV, 'voltage'),
        fix: { label: 'Another battery, or a regulator', target: at('power', 'circuits', id, 'batteryId') },
      }));
  }),
};

/** A charger set over what the pack's own cells bear: heat, gas, and with lithium fire. */
export const packChargedOver: Rule<'fit'> = {
  id: 'pack-charged-over',
  stage: 'fit',
  severity: 'stop',
  find: (plan) =>
    inOrder(plan.power.batteries).flatMap(([id, battery]): Found[] => {
      const { chargingV } = battery;
      const { mostV, lookFromV, by, cells, cellMostV } = chargingLimit(battery);
      if (chargingV <= lookFromV + 0.005) return [];
      const over = chargingV > mostV + 0.005;
      const known =
        by === 'sheet'
          ? ['; its sheet allows ', figure(mostV, 'voltage'), ' at the most.']
          : [
              '; ',
              figure(cells, 'count'),
              ` cells of its kind, ${by === 'cell count' ? 'as counted' : 'as its nominal voltage suggests'}, bear `,
              figure(cellMostV, 'voltage'),
              ' each, ',
              figure(mostV, 'voltage'),
              ' together.',
            ];
      return [
        {
          subject: id,
          severity: over && by !== 'nominal voltage' ? ('stop' as const) : ('check' as const),
          title: over ? 'Charging is over what the pack bears' : 'Charging is high for lead-acid',
          reason: [
            `${battery.name} is charged at `,
            figure(chargingV, 'voltage'),
            ...known,
            over
              ? ' Look it up in its sheet; set the charger by its maker’s rules.'
              : ' Equalising and cold reach this much, a usual day does not.',
          ],
          figure: figure(chargingV, 'voltage'),
          fix: {
            label: 'Lower the charging voltage, or give the sheet’s highest',
            target: at('power', 'batteries', id, 'chargingV'),
          },
        },
      ];
    }),
};

export const dayTooLong: Rule<'fit'> = {
  id: 'day-too-long',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.power.batteries).flatMap(([id, battery]): Found[] => {
      const day = dayOf(plan, id);
      const last = day[day.length - 1];
      const bears = bearsShare[battery.chemistry];
      if (!last || circuitsOn(plan, id).length === 0 || 1 - last.leftAtEnd <= bears) return [];
      return [
        {
          subject: id,
          title:
            last.emptyAtHour === null
              ? 'The day takes too much from a battery'
              : 'A battery is empty before the day ends',
          reason:
            last.emptyAtHour !== null
              ? [
                  `${battery.name} gives out after `,
                  figure(last.emptyAtHour, 'hours'),
                  ' of a day of ',
                  figure(last.toHour, 'hours'),
                  ': nothing on it works from then on.',
                ]
              : [
                  `${battery.name} gives `,
                  figure(1 - last.leftAtEnd, 'fraction'),
                  ` of what it holds in the day of the brief; ${battery.chemistry} bears `,
                  figure(bears, 'fraction'),
                  '.',
                ],
          figure: figure(1 - last.leftAtEnd, 'fraction'),
          fix: { label: 'More capacity, or fewer hours', target: at('power', 'batteries', id, 'capacityAh') },
        },
      ];
    }),
};

export const evenOut: Rule<'fit'> = {
  id: 'evening-out',
  stage: 'fit',
  severity: 'check',
  find: eachCircuit(({ id, circuit, standing: { lowestV, emptyAtHour } }) =>
    loadsOf(circuit).flatMap(([loadId, load]): Found[] => {
      if (lowestV === null || (emptyAtHour === null && (load.lowestV === null || lowestV >= load.lowestV))) return [];
      return [
        {
          ...between(id, loadId),
          title: 'It goes out before the day ends',
          reason:
            emptyAtHour === null
              ? [
                  `${load.name} sees `,
                  figure(lowestV, 'voltage'),
                  ' at the lowest of the day and needs ',
                  figure(load.lowestV ?? 0, 'voltage'),
                  '.',
                ]
              : [`${load.name} goes out after `, figure(emptyAtHour, 'hours'), ': its battery is empty then.'],
          figure: figure(lowestV, 'voltage'),
          fix: { label: 'More capacity, or a thicker wire', target: at('power', 'circuits', id, 'gauge') },
        },
      ];
    }),
  ),
};
