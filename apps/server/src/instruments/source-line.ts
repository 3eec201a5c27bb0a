import type { Connection, SourceStatus } from '@grey-keel/model';
import type { OpenPort, PortEvents } from './ports.ts';

/** Makes a port of a connection; it may take its time, as a simulated boat does that is started first. */
export type MakePort = (connection: Connection, events: PortEvents) => OpenPort | Promise<OpenPort>;

export interface LineOptions {
  readonly make: MakePort;
  readonly line: (text: string) => void;
  readonly changed: () => void;
  /** How long to wait before the next try, by how many went wrong. */
  readonly againMs: readonly number[];
}

type Phase = 'closed' | 'opening' | 'open' | 'closing';

/**
 * One source's line: closed, opening, open or closing, and in one of them at a time, so that it has one port at most however
 * often it is opened and closed. It goes by what is wanted when it comes to rest.
 */
export class SourceLine {
  private phase: Phase = 'closed';
  private wanted: Connection | null = null;
  /** What the port at hand was made for. */
  private made: Connection | null = null;
  private port: OpenPort | null = null;
  private lost: 'closed by the other side' | 'failed' | null = null;
  private tries = 0;
  private again: NodeJS.Timeout | undefined;
  private rest: (() => void)[] = [];
  problem: string | null = null;

  constructor(private readonly options: LineOptions) {}

  get state(): SourceStatus['state'] {
    if (this.wanted === null) return 'off';
    if (this.phase === 'open') return 'open';
    return this.phase === 'closed' && this.lost !== null ? this.lost : 'connecting';
  }

  /** Opens it, or leaves it open where it is that already; null closes it. */
  want(connection: Connection | null): void {
    this.wanted = connection;
    // Whoever waits for it to close need not wait until it is closed another time.
    if (connection !== null) this.letGo();
    this.lost = null;
    this.problem = null;
    this.tries = 0;
    clearTimeout(this.again);
    this.goOn();
  }

  /** Closes it, and waits until it is, or is wanted again. */
  closed(): Promise<void> {
    this.want(null);
    return this.phase === 'closed' ? Promise.resolve() : new Promise((resolve) => this.rest.push(resolve));
  }

  private goOn(): void {
    if (this.phase === 'closed' && this.wanted !== null) void this.open(this.wanted);
    else if (this.made !== this.wanted) this.close();
    if (this.phase === 'closed' && this.wanted === null) this.letGo();
  }

  private letGo(): void {
    for (const resolve of this.rest) resolve();
    this.rest = [];
  }

  private async open(connection: Connection): Promise<void> {
    this.phase = 'opening';
    this.made = connection;
    let over = false;
    const isMine = (): boolean => !over && this.made === connection;
    const events: PortEvents = {
      line: (text) => {
        if (isMine() && this.phase === 'open') this.options.line(text);
      },
      opened: () => {
        if (!isMine() || this.phase !== 'opening') return;
        this.phase = 'open';
        this.tries = 0;
        this.goOn();
        this.options.changed();
      },
      ended: (problem) => {
        if (over) return;
        over = true;
        this.ended(problem);
      },
    };
    try {
      const port = await this.options.make(connection, events);
      // It may have failed, or not be wanted any more, by the time it is there.
      if (over) return port.close();
      this.port = port;
      if (this.wanted !== connection) this.close();
    } catch (error) {
      events.ended(error instanceof Error ? error.message : String(error));
    }
  }

  /** Where the port is still being made it is closed as soon as it is there. */
  private close(): void {
    const { port } = this;
    if (port === null) return;
    this.phase = 'closing';
    this.port = null;
    port.close();
  }

  /** The port is gone: on purpose where there is no problem. */
  private ended(problem: string | null): void {
    const wasOpen = this.phase === 'open';
    const onPurpose = this.phase === 'closing' || this.wanted !== this.made;
    this.phase = 'closed';
    this.port = null;
    this.made = null;
    if (!onPurpose) {
      this.lost = wasOpen ? 'closed by the other side' : 'failed';
      this.problem = problem;
      const wait = this.options.againMs[Math.min(this.tries, this.options.againMs.length - 1)];
      this.tries += 1;
      this.again = setTimeout(() => this.goOn(), wait);
      this.again.unref();
    } else this.goOn();
    this.options.changed();
  }
}
