import {
  type Channel,
  type Connection,
  type HelmState,
  idSchema,
  type Instruments,
  instrumentSourceSchema,
  type InstrumentSource,
  type LiveSamples,
  type OverTheSide,
  type RecordingUnderWay,
} from '@grey-keel/model';
import { EventEmitter } from 'node:events';
import { isDeepStrictEqual } from 'node:util';
import * as z from 'zod';
import type { Database } from '../database/open-database.ts';
import { Heard } from './heard.ts';
import { callTcp, listenUdp, type OpenPort, type PortEvents } from './ports.ts';
import type { Simulator } from './simulator.ts';
import { Simulators } from './simulators.ts';
import { SourceLine } from './source-line.ts';

/** What is remembered of the sources over a restart. */
const rememberedSchema = z.record(idSchema, z.strictObject({ source: instrumentSourceSchema, wanted: z.boolean() }));
const settingName = 'instruments';

const mostSources = 12;
const tooMany = {
  title: 'Too many sources',
  detail: 'Twelve sources are open or listed already. Delete one first.',
};
const samplesEveryMs = 100;
const statusEveryMs = 1000;
/** Without a sentence for so long an open source is silent. */
const silentAfterMs = 5000;
const againMs = [1000, 2000, 4000, 8000, 15_000, 30_000] as const;

interface Running {
  readonly source: InstrumentSource;
  wanted: boolean;
  readonly heard: Heard;
  readonly line: SourceLine;
}

/** Why a source is not opened, in words for the user. */
export type NotOpened = { readonly title: string; readonly detail: string };

interface News {
  status: [Instruments];
  samples: [LiveSamples];
  /** Every value, as it came in. */
  value: [Channel, number];
  /** Whoever listens need not wait any longer. */
  stopped: [];
}

export interface InstrumentOptions {
  readonly database: Database;
  readonly now: () => Date;
  /** Where the simulated boat is heard by UDP. */
  readonly simulatorUdpPort?: number;
}

/**
 * The instruments a boat's network has to offer: sources that are opened on the user's word alone, what they say, and the
 * simulated boat in their place. Streams are never edits: what is heard is passed on and forgotten.
 */
export class InstrumentSources {
  readonly news = new EventEmitter<News>();
  private readonly running = new Map<string, Running>();
  private readonly simulators: Simulators;
  private channelsMade = 0;
  private usesMade = 0;
  /** What is being recorded of them, told along with them. */
  underWay: () => RecordingUnderWay[] = () => [];
  private timers: NodeJS.Timeout[] = [];

  constructor(private readonly options: InstrumentOptions) {
    const { now, simulatorUdpPort } = options;
    this.simulators = new Simulators({ udpPort: simulatorUdpPort ?? usualSimulatorUdpPort, now });
  }

  /** Opens again what was open when the program ended. */
  async start(): Promise<void> {
    const row = await this.options.database.tables.settings.findByPk(settingName);
    const parsed = rememberedSchema.safeParse(row ? JSON.parse(row.value) : {});
    for (const [id, { source, wanted }] of Object.entries(parsed.success ? parsed.data : {})) {
      const one = this.fresh(id, source, wanted);
      this.running.set(id, one);
      if (wanted) one.line.want(source.connection);
    }
    this.timers.push(
      setInterval(() => this.tellSamples(), samplesEveryMs).unref(),
      setInterval(() => this.tellStatus(), statusEveryMs).unref(),
    );
  }

  /** Closes all of them, and is done when they are. */
  async stop(): Promise<void> {
    for (const timer of this.timers) clearInterval(timer);
    this.timers = [];
    const all = [...this.running.values()];
    this.running.clear();
    this.news.emit('stopped');
    await Promise.all(all.map(({ line }) => line.closed()));
  }

  status(): Instruments {
    const nowMs = this.options.now().getTime();
    const channels: Channel[] = [...this.running.values()].flatMap(({ heard }) => heard.channels());
    const simulator = this.simulators.running;
    return {
      sources: [...this.running].map(([id, { source, wanted, line, heard }]) => {
        const { state, problem } = line;
        const counts = heard.counts(nowMs);
        const silent =
          state === 'open' && (counts.lastAt === null || nowMs - Date.parse(counts.lastAt) > silentAfterMs);
        return {
          id,
          ...source,
          wanted,
          state: silent ? ('silent' as const) : state,
          problem,
          ...counts,
          simulated: counts.simulated || source.connection.by === 'simulated boat',
        };
      }),
      channels,
      recordings: this.underWay(),
      simulator: simulator && {
        helm: simulator.helm,
        address: simulator.address,
        tcpPort: simulator.tcpPort,
        udpPort: simulator.udpPort,
      },
    };
  }

  /** Adds a source, or changes one, and opens it. The same again changes nothing. */
  async put(id: string, source: InstrumentSource): Promise<NotOpened | null> {
    const before = this.running.get(id);
    if (!before && this.running.size >= mostSources) return tooMany;
    const refused = this.whyNot(id, source.connection);
    if (refused) return refused;
    const same = before !== undefined && isDeepStrictEqual(before.source.connection, source.connection);
    const one = same
      ? { ...before, source: { ...source, connection: before.source.connection }, wanted: true }
      : this.fresh(id, source, true);
    this.running.set(id, one);
    if (!same) await before?.line.closed();
    await this.remember();
    if (this.running.get(id) === one) one.line.want(one.source.connection);
    return null;
  }

  async remove(id: string): Promise<boolean> {
    const found = this.running.get(id);
    if (!found) return false;
    this.running.delete(id);
    await found.line.closed();
    await this.remember();
    this.tellStatus();
    return true;
  }

  /** Opens a source again, or closes it and leaves it on the list. Undefined where there is none of that id. */
  async want(id: string, wanted: boolean): Promise<NotOpened | null | undefined> {
    const found = this.running.get(id);
    if (!found) return undefined;
    const refused = wanted ? this.whyNot(id, found.source.connection) : null;
    if (refused) return refused;
    found.wanted = wanted;
    await this.remember();
    // Whoever asked last is obeyed.
    if (this.running.get(id) !== found) return null;
    if (found.wanted) found.line.want(found.source.connection);
    else await found.line.closed();
    this.tellStatus();
    return null;
  }

  /** Every value as it comes in, to whoever records; what it gives back ends that. */
  hear(take: (channel: Channel, value: number) => void): () => void {
    this.news.on('value', take);
    return () => this.news.off('value', take);
  }

  /** Whether the simulated boat is among what is open. */
  simulated(): boolean {
    return this.status().sources.some(({ simulated, wanted }) => simulated && wanted);
  }

  steer(helm: HelmState): boolean {
    const { running } = this.simulators;
    if (!running) return false;
    running.helm = helm;
    this.tellStatus();
    return true;
  }

  /** What the simulated boat hid, for whoever has had enough of looking for it; null while it does not run. */
  hidden(): Simulator['hidden'] | null {
    return this.simulators.running?.hidden ?? null;
  }

  /** What a person aboard the simulated boat reads; null while it does not run. */
  overTheSide(): OverTheSide | null {
    return this.simulators.running?.overTheSide() ?? null;
  }

  private fresh(id: string, source: InstrumentSource, wanted: boolean): Running {
    const heard = new Heard(
      id,
      () => (this.channelsMade += 1),
      (channel, value) => this.news.emit('value', channel, value),
    );
    const line = new SourceLine({
      make: (connection, events) => this.makePort(id, connection, events),
      line: (text) => {
        if (heard.line(text, this.options.now().getTime())) this.tellStatus();
      },
      changed: () => this.tellStatus(),
      againMs,
    });
    return { source, wanted, heard, line };
  }

  private async makePort(id: string, connection: Connection, events: PortEvents): Promise<OpenPort> {
    if (connection.by === 'udp') return listenUdp(connection.port, events);
    if (connection.by === 'tcp') return callTcp(connection.address, connection.port, events);
    const user = `${id} ${(this.usesMade += 1)}`;
    const { address, tcpPort } = await this.simulators.use(user, connection.seed, connection.pace);
    // It is let go before the source counts as closed, so that the next may start another.
    const ended = (problem: string | null): void => void this.simulators.letGo(user).then(() => events.ended(problem));
    return callTcp(address, tcpPort, { ...events, ended });
  }

  /** What is open under another name already, and a second simulated boat, are refused. */
  private whyNot(id: string, connection: Connection): NotOpened | null {
    for (const [other, { source, wanted }] of this.running) {
      if (other === id || !wanted) continue;
      if (isDeepStrictEqual(source.connection, connection))
        return { title: 'Open already', detail: `This is open already, as "${source.name}".` };
      if (source.connection.by === 'simulated boat' && connection.by === 'simulated boat')
        return {
          title: 'One simulated boat at a time',
          detail: `Another simulated boat is under way, "${source.name}". Close or delete it first.`,
        };
    }
    return null;
  }

  private async remember(): Promise<void> {
    const value = JSON.stringify(
      Object.fromEntries([...this.running].map(([id, { source, wanted }]) => [id, { source, wanted }])),
    );
    const { database } = this.options;
    await database.write((transaction) =>
      database.tables.settings.upsert({ name: settingName, value }, { transaction }),
    );
  }

  private tellStatus(): void {
    if (this.news.listenerCount('status') > 0) this.news.emit('status', this.status());
  }

  private tellSamples(): void {
    if (this.news.listenerCount('samples') === 0) return;
    const at = this.options.now().getTime();
    const values = [...this.running.values()].flatMap(({ heard }) => heard.takeFresh(at));
    if (values.length > 0) this.news.emit('samples', { at, values });
  }
}

/** Where the simulated boat is heard by UDP unless it is told otherwise. */
export const usualSimulatorUdpPort = 4313;
