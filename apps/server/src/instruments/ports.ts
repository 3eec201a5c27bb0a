import { createSocket } from 'node:dgram';
import { connect } from 'node:net';
import { lineSplitter } from './line-splitter.ts';

/** What a port tells whoever opened it. */
export interface PortEvents {
  readonly line: (text: string) => void;
  readonly opened: () => void;
  /** It is over, in words for the user; null where it was closed on purpose. */
  readonly ended: (problem: string | null) => void;
}

/** Something that is open: closing it ends it for good. */
export interface OpenPort {
  readonly close: () => void;
}

const answersWithinMs = 5000;
const inWords: Readonly<Record<string, string>> = {
  ECONNREFUSED: 'Nothing listens at that address and port. Is the gateway on, and is its TCP output switched on?',
  ETIMEDOUT: 'It does not answer. Is this machine on the boat’s network?',
  EHOSTUNREACH: 'That address cannot be reached. Is this machine on the boat’s network?',
  ENETUNREACH: 'That network cannot be reached. Is this machine on the boat’s network?',
  EADDRINUSE: 'Another program listens at that port already. Close it, or choose another port.',
  EACCES: 'This machine does not let a program listen at that port. Choose another.',
  ECONNRESET: 'The other side broke the connection off.',
};
const wordsFor = (error: Error): string => {
  const code = (error as NodeJS.ErrnoException).code ?? '';
  return inWords[code] ?? `It failed: ${error.message}.`;
};

/** Calls a gateway, and reads what it sends. */
export const callTcp = (address: string, port: number, events: PortEvents): OpenPort => {
  let over = false;
  const end = (problem: string | null): void => {
    if (over) return;
    over = true;
    socket.destroy();
    events.ended(problem);
  };
  const socket = connect({ host: address, port });
  socket.setTimeout(answersWithinMs, () => {
    if (socket.connecting) end(inWords['ETIMEDOUT'] ?? null);
  });
  socket.once('connect', () => {
    socket.setTimeout(0);
    socket.setKeepAlive(true, 10_000);
    events.opened();
  });
  socket.on('data', lineSplitter(events.line));
  socket.once('error', (error) => end(wordsFor(error)));
  socket.once('close', () => end('The other side closed the connection.'));
  return { close: () => end(null) };
};

/** Listens at a port for what gateways broadcast; nothing is ever sent from it. */
export const listenUdp = (port: number, events: PortEvents): OpenPort => {
  let over = false;
  const end = (problem: string | null): void => {
    if (over) return;
    over = true;
    socket.close();
    events.ended(problem);
  };
  const socket = createSocket({ type: 'udp4' });
  // Each datagram is whole lines: one cut short is not joined with another machine's.
  socket.on('message', (message) => lineSplitter(events.line)(`${message.toString('latin1')}\n`));
  socket.once('listening', events.opened);
  socket.once('error', (error) => end(wordsFor(error)));
  socket.bind(port);
  return { close: () => end(null) };
};
