import type { Backbone } from '@grey-keel/model';
import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { type BackboneStanding, backboneStanding } from '../../../network/backbone-standing.ts';
import { at } from '../../../plan/target.ts';

/** Limits of the usual instrument backbone on light cable: NMEA 2000, appendix B. Makers' own come first. */
const longestDropM = 6;
const longestDropsM = 78;
/** Instruments are made to work from here on, and a volt and a half is what a backbone may lose. */
const leastV = 9;
const mostLostV = 1.5;

const backboneRule = (
  id: string,
  severity: Rule['severity'],
  find: (backbone: Backbone, standing: BackboneStanding) => readonly Found[],
): Rule<'fit'> => ({
  id,
  stage: 'fit',
  severity,
  find: (plan) => {
    const standing = backboneStanding(plan);
    return standing ? find(plan.network.backbone, standing) : [];
  },
});

export const terminators = backboneRule('backbone-terminators', 'stop', ({ terminators: there }) =>
  there === 2
    ? []
    : [
        {
          title: 'A backbone has two terminators',
          reason: ['One at each end, no more: here ', figure(there, 'count'), '. Devices come and go without them.'],
          figure: figure(there, 'count'),
          fix: {
            label: 'Two, one at each end',
            target: at('network', 'backbone', 'terminators'),
            edits: [{ type: 'describeBackbone', changes: { terminators: 2 } }],
          },
        },
      ],
);

export const oneSupply = backboneRule('backbone-supply', 'stop', ({ supplies }) =>
  supplies === 1
    ? []
    : [
        {
          title: supplies === 0 ? 'The backbone has no power' : 'The backbone is fed twice',
          reason: ['It is fed in one place: here ', figure(supplies, 'count'), '.'],
          figure: figure(supplies, 'count'),
          fix: {
            label: 'One supply',
            target: at('network', 'backbone', 'supplies'),
            edits: [{ type: 'describeBackbone', changes: { supplies: 1 } }],
          },
        },
      ],
);

export const backboneLong = backboneRule('backbone-long', 'check', ({ lengthM }, { cable }) =>
  lengthM === null || lengthM <= cable.longestM
    ? []
    : [
        {
          title: 'The backbone is too long',
          reason: [
            figure(lengthM, 'length'),
            ` from end to end; ${cable.name} cable goes `,
            figure(cable.longestM, 'length'),
            ' at the most.',
          ],
          figure: figure(lengthM, 'length'),
          fix: { label: 'Shorten it', target: at('network', 'backbone', 'lengthM') },
        },
      ],
);

export const dropLong = backboneRule('drop-long', 'check', (_, { devices }) =>
  devices.flatMap(({ id, name, device: { dropM } }): Found[] =>
    dropM === null || dropM <= longestDropM
      ? []
      : [
          {
            subject: id,
            title: 'A drop is too long',
            reason: [
              `${name} has a drop of `,
              figure(dropM, 'length'),
              '; ',
              figure(longestDropM, 'length'),
              ' is the most.',
            ],
            figure: figure(dropM, 'length'),
            fix: { label: 'Move its tee nearer', target: at('network', 'devices', id, 'dropM') },
          },
        ],
  ),
);

export const dropsLong = backboneRule('drops-long', 'check', (_, { devices }) => {
  const whole = devices.reduce((sum, { device: { dropM } }) => sum + (dropM ?? 0), 0);
  const [longest] = [...devices].sort((a, b) => (b.device.dropM ?? 0) - (a.device.dropM ?? 0));
  return whole <= longestDropsM
    ? []
    : [
        {
          title: 'The drops together are too long',
          reason: [figure(whole, 'length'), ' over all drops; ', figure(longestDropsM, 'length'), ' is the most.'],
          figure: figure(whole, 'length'),
          fix: { label: 'Shorten the longest', target: at('network', 'devices', longest?.id ?? '', 'dropM') },
        },
      ];
});

export const backboneLoad = backboneRule('backbone-load', 'check', ({ supplyA }, { cable, sideA }) => {
  const mostA = Math.min(supplyA, cable.bearsA);
  return sideA <= mostA
    ? []
    : [
        {
          title: 'The backbone is overloaded',
          reason: [
            'The devices on one side of its supply draw ',
            figure(sideA, 'current'),
            supplyA <= cable.bearsA ? '; its fuse lets through ' : `; ${cable.name} cable bears `,
            figure(mostA, 'current'),
            '.',
          ],
          figure: figure(sideA, 'current'),
          fix: {
            label: 'Feed it in the middle, or a second supplied segment',
            target: at('network', 'backbone', 'supplyAtM'),
          },
        },
      ];
});

/** A short heats the cable until its fuse opens: it must bear what the fuse lets through. */
export const backboneFuse = backboneRule('backbone-fuse', 'stop', ({ supplyA }, { cable }) =>
  supplyA <= cable.bearsA
    ? []
    : [
        {
          title: 'The backbone burns before its fuse',
          reason: [
            'Each side is fused at ',
            figure(supplyA, 'current'),
            `; ${cable.name} cable bears `,
            figure(cable.bearsA, 'current'),
            '.',
          ],
          figure: figure(supplyA, 'current'),
          fix: { label: 'A smaller fuse, or heavy cable', target: at('network', 'backbone', 'supplyA') },
        },
      ],
);

/** What is left at the device that has least. Where the tees stand nowhere yet, it is a careful guess, and no stop. */
export const backboneVolts = backboneRule('backbone-volts', 'check', (_, { voltage, devices }) => {
  if (!voltage || (voltage.lowestV >= leastV && voltage.worstLossV <= mostLostV)) return [];
  const low = voltage.lowestV < leastV;
  const device = devices[voltage.worst];
  return [
    {
      subject: device?.id ?? '',
      severity: low && voltage.positionsSaid ? ('stop' as const) : ('check' as const),
      title: low ? 'Too little voltage at the end of the backbone' : 'The backbone loses too much',
      reason: [
        `${device?.name ?? ''} has `,
        figure(voltage.lowestV, 'voltage'),
        ' of 12 V left; ',
        figure(voltage.worstLossV, 'voltage'),
        ' are lost on the way, where ',
        figure(mostLostV, 'voltage'),
        ' is the most',
        voltage.positionsSaid ? '.' : '. That is with all of it at the far end: say where supply and tees stand.',
      ],
      figure: figure(low ? voltage.lowestV : voltage.worstLossV, 'voltage'),
      working: voltage.working,
      fix: voltage.positionsSaid
        ? { label: 'Feed it nearer, or heavy cable', target: at('network', 'backbone', 'supplyAtM') }
        : { label: 'Say where the supply stands', target: at('network', 'backbone', 'supplyAtM') },
    },
  ];
});
