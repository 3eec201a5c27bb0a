import {
  dropsOut,
  followScript,
  type RunningScript,
  type HiddenErrors,
  overTheSide,
  simulatedBoat,
  simulatedSentences,
} from '@grey-keel/core';
import { helmAtRest, type HelmState, type OverTheSide } from '@grey-keel/model';
import { createSocket } from 'node:dgram';
import { type AddressInfo, createServer, type Socket } from 'node:net';

const tickMs = 100;
const loopback = '127.0.0.1';
/** A program of this machine that does not read is let go before it holds up the memory. */
const mostWaiting = 1_000_000;

/** The simulated boat as a thing of its own on this machine: it speaks over TCP and UDP, and is steered. */
export interface Simulator {
  readonly seed: number;
  readonly pace: number;
  readonly tcpPort: number;
  readonly udpPort: number;
  readonly address: string;
  helm: HelmState;
  readonly hidden: HiddenErrors;
  /** What a person aboard reads at this moment. */
  readonly overTheSide: () => OverTheSide;
  readonly stop: () => void;
}

/**
 * Starts the simulated boat. It listens on this machine alone, sends its sentences to whoever calls, and to `udpPort` of
 * this machine besides. `pace` makes its clock run so many times as fast.
 */
export const startSimulator = (
  seed: number,
  { udpPort, pace, now }: { readonly udpPort: number; readonly pace: number; readonly now: () => Date },
): Promise<Simulator> => {
  const boat = simulatedBoat(seed, { day: now().toISOString().slice(0, 10) });
  const callers = new Set<Socket>();
  const udp = createSocket('udp4');
  // Nobody listens there mostly, which this machine says at each datagram.
  udp.on('error', () => undefined);
  let tick = 0;
  let running: RunningScript | null = null;
  const server = createServer((socket) => {
    callers.add(socket);
    socket.once('close', () => callers.delete(socket));
    socket.once('error', () => socket.destroy());
    socket.resume();
  });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(0, loopback, () => {
      const simulator: Simulator = {
        seed,
        pace,
        address: loopback,
        tcpPort: (server.address() as AddressInfo).port,
        udpPort,
        helm: helmAtRest,
        hidden: boat.errors,
        overTheSide: () => overTheSide(boat),
        stop: () => {
          clearInterval(timer);
          for (const caller of callers) caller.destroy();
          server.close();
          udp.close();
        },
      };
      const timer = setInterval(() => {
        for (let i = 0; i < pace; i++) {
          ({ helm: simulator.helm, running } = followScript(simulator.helm, running, boat.now()));
          const moment = boat.step(tickMs / 1000, simulator.helm);
          const silent = (sensor: Parameters<typeof dropsOut>[1]): boolean =>
            dropsOut(seed, sensor, moment.timeS, moment.throughMps);
          const { entered, variationUnsaid } = simulator.helm;
          const variationDeg = variationUnsaid === true ? null : boat.variationDeg;
          const said = `${simulatedSentences(moment, tick, now(), entered, { silent, variationDeg }).join('\r\n')}\r\n`;
          tick += 1;
          for (const caller of callers)
            if (caller.writableLength > mostWaiting) caller.destroy();
            else caller.write(said);
          udp.send(said, udpPort, loopback, () => undefined);
        }
      }, tickMs);
      timer.unref();
      resolve(simulator);
    });
  });
};
