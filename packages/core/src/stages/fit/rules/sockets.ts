import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { devicesOf, takesTransducers } from '../../../network/devices.ts';
import { socketGroups, socketOf } from '../../../network/sockets.ts';
import { at } from '../../../plan/target.ts';
import { inOrder } from '../../../plan/working-water.ts';

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

/** The plug fits, and the socket behind it cannot drive what is plugged into it. */
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
