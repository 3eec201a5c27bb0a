import { devicesOf, takesTransducers } from '../../../network/devices.ts';
import { socketGroups, socketOf } from '../../../network/sockets.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

/** Limits of the usual instrument backbone on light cable: NMEA 2000, appendix B. Makers' own come first. */
const longestBackboneM = 100;
const longestDropM = 6;
const longestDropsM = 78;
const loadA = 0.05;

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
        title: 'A transducer hangs on nothing',
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
  find: (
    backbone: Parameters<Rule['find']>[0]['network']['backbone'],
    devices: ReturnType<typeof devicesOf>,
  ) => readonly Found[],
): Rule<'fit'> => ({
  id,
  stage: 'fit',
  severity,
  find: (plan) => {
    const devices = devicesOf(plan).filter(({ device }) => device.onBackbone);
    return devices.length ? find(plan.network.backbone, devices) : [];
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

export const backboneLong = backboneRule('backbone-long', 'check', ({ lengthM }) =>
  lengthM === null || lengthM <= longestBackboneM
    ? []
    : [
        {
          title: 'The backbone is too long',
          reason: [
            figure(lengthM, 'length'),
            ' from end to end; light cable bears ',
            figure(longestBackboneM, 'length'),
            '.',
          ],
          figure: figure(lengthM, 'length'),
          fix: { label: 'Shorten it', target: at('network', 'backbone', 'lengthM') },
        },
      ],
);

export const dropLong = backboneRule('drop-long', 'check', (_, devices) =>
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

export const dropsLong = backboneRule('drops-long', 'check', (_, devices) => {
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

export const backboneLoad = backboneRule('backbone-load', 'check', ({ supplyA }, devices) => {
  const drawn = loadA * devices.reduce((sum, { device: { loads } }) => sum + loads, 0);
  return drawn <= supplyA
    ? []
    : [
        {
          title: 'The backbone is overloaded',
          reason: [
            'Its devices draw ',
            figure(drawn, 'current'),
            '; its supply lets through ',
            figure(supplyA, 'current'),
            '.',
          ],
          figure: figure(drawn, 'current'),
          fix: { label: 'A second supplied segment', target: at('network', 'backbone', 'supplyA') },
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
];
