import {
  type Channel,
  type HelmState,
  idSchema,
  type Instruments,
  instrumentSourceSchema,
  type InstrumentSource,
  type LiveSamples,
  type SourceStatus,
  type OverTheSide,
  type RecordingUnderWay,
} from '@grey-keel/model';
import { EventEmitter } from 'node:events';
import * as z from 'zod';
import type { Database } from '../database/open-database.ts';
import { Heard } from './heard.ts';
import { callTcp, listenUdp, type OpenPort, type PortEvents } from './ports.ts';
import { type Simulator, startSimulator } from './simulator.ts';

/** What is remembered of the sources over a restart. */
const rememberedSchema = z.record(idSchema, z.strictObject({ source: instrumentSourceSchema, wanted: z.boolean() }));
const settingName = 'instruments';

const mostSources = 12;
const samplesEveryMs = 100;
const statusEveryMs = 1000;
/** Without a sentence for so long an open source is silent. */
const silentAfterMs = 5000;
const againMs = [1000, 2000, 4000, 8000, 15_000, 30_000] as const;

interface Running {
  source: InstrumentSource;
  wanted: boolean;
  state: SourceStatus['state'];
  problem: string | null;
  port: OpenPort | null;
  heard: Heard;
  tries: number;
  again: NodeJS.Timeout | null;
}

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
  private simulator: Simulator | null = null;
  private starting: Promise<Simulator> | null = null;
  private channelsMade = 0;
  /** What is being recorded of them, told along with them. */
  underWay: () => RecordingUnderWay[] = () => [];
  private readonly timers: NodeJS.Timeout[] = [];

  constructor(private readonly options: InstrumentOptions) {}

  /** Opens again what was open when the program ended. */
  async start(): Promise<void> {
    const row = await this.options.database.tables.settings.findByPk(settingName);
    const parsed = rememberedSchema.safeParse(row ? JSON.parse(row.value) : {});
    for (const [id, { source, wanted }] of Object.entries(parsed.success ? parsed.data : {})) {
      this.running.set(id, this.fresh(id, source, wanted));
      if (wanted) void this.open(id);
    }
    this.timers.push(
      setInterval(() => this.tellSamples(), samplesEveryMs).unref(),
      setInterval(() => this.tellStatus(), statusEveryMs).unref(),
    );
  }

  stop(): void {
    for (const timer of this.timers) clearInterval(timer);
    for (const one of this.running.values()) this.shut(one);
    this.running.clear();
    this.simulator?.stop();
    this.simulator = null;
    this.news.emit('stopped');
  }

  status(): Instruments {
    const nowMs = this.options.now().getTime();
    const channels: Channel[] = [...this.running.values()].flatMap(({ heard }) => heard.channels());
    const { simulator } = this;
    return {
      sources: [...this.running].map(([id, { source, wanted, state, problem, heard }]) => {
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

  /** Adds a source, or changes one, and opens it. */
  async put(id: string, source: InstrumentSource): Promise<'too many' | 'done'> {
    const before = this.running.get(id);
    if (!before && this.running.size >= mostSources) return 'too many';
    if (before) this.shut(before);
    this.running.set(id, this.fresh(id, source, true));
    await this.remember();
    await this.open(id);
    return 'done';
  }

  async remove(id: string): Promise<boolean> {
    const found = this.running.get(id);
    if (!found) return false;
    this.shut(found);
    this.running.delete(id);
    await this.remember();
    this.stopUnusedSimulator();
    this.tellStatus();
    return true;
  }

  /** Opens a source again, or closes it and leaves it on the list. */
  async want(id: string, wanted: boolean): Promise<boolean> {
    const found = this.running.get(id);
    if (!found) return false;
    found.wanted = wanted;
    this.shut(found);
    await this.remember();
    if (wanted) await this.open(id);
    else found.state = 'off';
    this.stopUnusedSimulator();
    this.tellStatus();
    return true;
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
    if (!this.simulator) return false;
    this.simulator.helm = helm;
    this.tellStatus();
    return true;
  }

  /** What the simulated boat hid, for whoever has had enough of looking for it; null while it does not run. */
  hidden(): Simulator['hidden'] | null {
    return this.simulator?.hidden ?? null;
  }

  /** What a person aboard the simulated boat reads; null while it does not run. */
  overTheSide(): OverTheSide | null {
    return this.simulator?.overTheSide() ?? null;
  }

  private fresh(id: string, source: InstrumentSource, wanted: boolean): Running {
    const heard = new Heard(
      id,
      () => (this.channelsMade += 1),
      (channel, value) => this.news.emit('value', channel, value),
    );
    return { source, wanted, state: 'off', problem: null, port: null, heard, tries: 0, again: null };
  }

  private async open(id: string): Promise<void> {
    const one = this.running.get(id);
    if (!one?.wanted) return;
    one.state = 'connecting';
    one.problem = null;
    const { connection } = one.source;
    const events: PortEvents = {
      line: (text) => {
        if (one.heard.line(text, this.options.now().getTime())) this.tellStatus();
      },
      opened: () => {
        one.state = 'open';
        one.tries = 0;
        this.tellStatus();
      },
      ended: (problem) => {
        one.port = null;
        if (problem === null) return;
        one.state = one.state === 'open' ? 'closed by the other side' : 'failed';
        one.problem = problem;
        const wait = againMs[Math.min(one.tries, againMs.length - 1)] ?? 30_000;
        one.tries += 1;
        one.again = setTimeout(() => void this.open(id), wait);
        one.again.unref();
        this.tellStatus();
      },
    };
    if (connection.by === 'udp') one.port = listenUdp(connection.port, events);
    else if (connection.by === 'tcp') one.port = callTcp(connection.address, connection.port, events);
    else {
      const simulator = await this.simulatorFor(connection.seed, connection.pace);
      // It may have been closed, or another put in its place, meanwhile.
      if (this.running.get(id) === one && one.wanted) one.port = callTcp(simulator.address, simulator.tcpPort, events);
    }
    this.tellStatus();
  }

  private shut(one: Running): void {
    if (one.again) clearTimeout(one.again);
    one.again = null;
    one.port?.close();
    one.port = null;
  }

  private async simulatorFor(seed: number, pace: number): Promise<Simulator> {
    const running = await this.starting;
    if (running && running === this.simulator && running.seed === seed && running.pace === pace) return running;
    this.simulator?.stop();
    const { now, simulatorUdpPort } = this.options;
    this.starting = startSimulator(seed, {
      udpPort: simulatorUdpPort ?? usualSimulatorUdpPort,
      now,
      pace,
    });
    this.simulator = await this.starting;
    return this.simulator;
  }

  private stopUnusedSimulator(): void {
    const used = [...this.running.values()].some(
      ({ source, wanted }) => wanted && source.connection.by === 'simulated boat',
    );
    if (used || !this.simulator) return;
    this.simulator.stop();
    this.simulator = null;
    this.starting = null;
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
