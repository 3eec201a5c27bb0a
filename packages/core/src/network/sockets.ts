import { sonarKinds, type NamedSocket, type Plan, type Socket, type SonarKind } from '@grey-keel/model';
import { inOrder } from '../plan/working-water.ts';

/** A socket of which only the plug is known drives any sonar, one at once. */
export const socketOf = (socket: NamedSocket): Socket =>
  typeof socket === 'string' ? { plug: socket, drives: [...sonarKinds], atOnce: 1 } : socket;

/** The sockets of a device that take a plug: how many there are, what they drive, and how many transducers at once. */
export interface SocketGroup {
  readonly plug: string;
  readonly sockets: number;
  readonly drives: ReadonlySet<SonarKind>;
  readonly atOnce: number;
  /** The transducers plugged in, in the order they were made. */
  readonly plugged: readonly string[];
}

/** A device's sockets by the plug they take, with what hangs on them. */
export const socketGroups = (plan: Plan, deviceId: string): SocketGroup[] => {
  const sockets = (plan.network.devices[deviceId]?.sockets ?? []).map(socketOf);
  return [...new Set(sockets.map(({ plug }) => plug))].map((plug) => {
    const alike = sockets.filter((one) => one.plug === plug);
    return {
      plug,
      sockets: alike.length,
      drives: new Set(alike.flatMap(({ drives }) => drives)),
      atOnce: alike.reduce((sum, { atOnce }) => sum + atOnce, 0),
      plugged: inOrder(plan.network.links).flatMap(([id, link]) =>
        link.to === deviceId && link.plug === plug && plan.transducers[id] ? [id] : [],
      ),
    };
  });
};

/** Splitters that are wanted: one for each transducer over the sockets there are, as long as they drive so many at once. */
export const splittersOn = ({ plugged, sockets, atOnce }: SocketGroup): number =>
  Math.max(0, Math.min(plugged.length, atOnce) - sockets);

/** The plug of the first socket of a device that drives a transducer and has room for it; empty where there is none. */
export const freePlug = (plan: Plan, deviceId: string, transducerId: string): string => {
  const kind = plan.transducers[transducerId]?.kind;
  const free = socketGroups(plan, deviceId).find(
    ({ drives, plugged, atOnce }) =>
      kind !== undefined && drives.has(kind) && plugged.filter((id) => id !== transducerId).length < atOnce,
  );
  return free?.plug ?? '';
};
