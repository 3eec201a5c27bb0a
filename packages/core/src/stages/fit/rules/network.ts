import type { Backbone } from '@grey-keel/model';
import { type BackboneStanding, backboneStanding } from '../../../network/backbone-standing.ts';
import { devicesOf, takesTransducers } from '../../../network/devices.ts';
import { socketGroups, socketOf } from '../../../network/sockets.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

/** Limits of the usual instrument backbone on light cable: NMEA 2000, appendix B. Makers' own come first. */
const longestDropM = 6;
const longestDropsM = 78;
/** Instruments are made to work from here on, and a volt and a half is what a backbone may lose. */
const leastV = 9;
const mostLostV = 1.5;

/** Speaks only where some of the wiring has been said: on a bare plan the stage itself is missing. */
const wired = (plan: Parameters<Rule['find']>[0]): boolean => Object.keys(plan.network.links).length > 0;

export const notConnected: Rule<'fit'> = {
  id: 'not-connected',
  stage: 'fit',
  severity: 'check',
  find: (plan) => {
    if (!wired(plan)) return [];
    const ends = new Set(
      devicesOf(plan)
        .filter(takesTransducers)
        .map(({ id }) => id),
    );
    return inOrder(plan.transducers)
      .filter(([id]) => !ends.has(plan.network.links[id]?.to ?? ''))
      .map(([id, { name }]) => ({
        subject: id,
        title: 'A transducer is connected to nothing',
        reason: [`The cable of ${name} ends nowhere; `, figure(ends.size, 'count'), ' devices take transducers.'],
        figure: figure(ends.size, 'count'),
        fix: { label: 'Connect it', target: at('network', 'links', id) },
      }));
  },
};

export const socketWrong: Rule<'fit'> = {
  id: 'socket-wrong',
  stage: 'fit',
  severity: 'stop',
  find: (plan) =>
    devicesOf(plan).flatMap(({ id: deviceId, name, device }) =>
      inOrder(plan.network.links)
        .filter(([id, { to, plug }]) => {
          const known = plan.transducers[id] && device.sockets.length > 0 && plug !== '';
          return to === deviceId && known && !device.sockets.some((socket) => socketOf(socket).plug === plug);
        })
        .map(([id, { plug }]): Found => ({
          subject: id,
          title: 'The plug does not fit',
          reason: [
            `${plan.transducers[id]?.name ?? id} has the plug "${plug}"; none of the `,
            figure(device.sockets.length, 'count'),
            ` sockets of ${name} takes it.`,
          ],
          figure: figure(device.sockets.length, 'count'),
          fix: { label: 'Another device, or a module', target: at('network', 'links', id) },
        })),
    ),
};

/** The plug fits, and the socket behind it cannot drive what hangs on it. */
export const socketCannotDrive: Rule<'fit'> = {
  id: 'socket-cannot-drive',
  stage: 'fit',
  severity: 'stop',
  find: (plan) =>
    devicesOf(plan).flatMap(({ id: deviceId, name }) =>
      socketGroups(plan, deviceId).flatMap(({ plug, plugged, drives }) =>
        plugged.flatMap((id): Found[] => {
          const transducer = plan.transducers[id];
          if (!transducer || drives.has(transducer.kind)) return [];
          return [
            {
              subject: id,
              title: 'The socket does not drive it',
              reason: [
                `${transducer.name} is a ${transducer.kind}; the socket "${plug}" of ${name} drives `,
                figure(drives.size, 'count'),
                `, ${[...drives].join(', ')}.`,
              ],
              figure: figure(drives.size, 'count'),
              fix: { label: 'Another device, or a module', target: at('network', 'links', id) },
            },
          ];
        }),
      ),
    ),
};

export const socketTaken: Rule<'fit'> = {
  id: 'socket-taken',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    devicesOf(plan).flatMap(({ id: deviceId, name }) =>
      socketGroups(plan, deviceId).flatMap(({ plug, plugged, atOnce }): Found[] => {
        const last = plugged[plugged.length - 1];
        if (last === undefined || plugged.length <= atOnce) return [];
        return [
          {
            subject: last,
            title: 'More than the sockets drive at once',
            reason: [
              figure(plugged.length, 'count'),
              ` transducers want the socket "${plug}" of ${name}, which drives `,
              figure(atOnce, 'count'),
              ' at once.',
            ],
            figure: figure(plugged.length, 'count'),
            fix: { label: 'Move one to another device', target: at('network', 'links', last) },
          },
        ];
      }),
    ),
};

/** A screen that is taken off the boat takes along what is plugged into it. */
export const takenAlong: Rule<'fit'> = {
  id: 'taken-along',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.stations).flatMap(([id, { name, mount }]): Found[] => {
      if (mount !== 'taken off') return [];
      const along = inOrder(plan.network.links).flatMap(([transducerId, { to }]) => (to === id ? [transducerId] : []));
      const left = inOrder(plan.feeds).flatMap(([stationId, feeds]) =>
        stationId === id
          ? []
          : Object.values(feeds).filter(({ sourceId, fallbackId }) =>
              [sourceId, fallbackId].every((one) => one === null || along.includes(one)),
            ),
      );
      const [first] = left;
      if (!first) return [];
      return [
        {
          subject: id,
          title: 'What is taken off takes a source along',
          reason: [
            `The screen of ${name} is taken off the boat; without it `,
            figure(left.length, 'count'),
            ` numbers at other stations come from nothing: they are fed by ${[...new Set(left.map(({ sourceId }) => plan.transducers[sourceId]?.name ?? sourceId))].join(', ')}.`,
          ],
          figure: figure(left.length, 'count'),
          fix: {
            label: 'Connect it through a module, or accept the screen',
            target: at('network', 'links', first.sourceId),
          },
        },
      ];
    }),
};

export const beamOff: Rule<'fit'> = {
  id: 'beam-off',
  stage: 'fit',
  severity: 'stop',
  find: (plan) =>
    inOrder(plan.network.links).flatMap(([id, { adapterDisables }]): Found[] => {
      const transducer = plan.transducers[id];
      if (!transducer || adapterDisables === null || adapterDisables !== transducer.workingBeam) return [];
      const frequencyHz = transducer.beams[adapterDisables]?.frequencyHz ?? 0;
      const other = transducer.beams.findIndex((_, i) => i !== adapterDisables);
      return [
        {
          subject: id,
          title: 'The adapter cuts off the beam in use',
          reason: [
            `${transducer.name} works at `,
            figure(frequencyHz, 'frequency'),
            ', which the adapter in its cable leaves out.',
          ],
          figure: figure(frequencyHz, 'frequency'),
          fix: {
            label: other < 0 ? 'Another adapter' : 'Work with its other beam',
            target: at('network', 'links', id),
            ...(other < 0
              ? {}
              : { edits: [{ type: 'describeTransducer' as const, id, changes: { workingBeam: other } }] }),
          },
        },
      ];
    }),
};

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
              `${name} hangs on `,
              figure(dropM, 'length'),
              ' of drop; ',
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

export const networkRules: readonly Rule<'fit'>[] = [
  socketWrong,
  socketCannotDrive,
  beamOff,
  terminators,
  oneSupply,
  notConnected,
  socketTaken,
  takenAlong,
  backboneLong,
  dropLong,
  dropsLong,
  backboneLoad,
  backboneFuse,
  backboneVolts,
];
