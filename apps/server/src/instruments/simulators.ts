import { Mutex } from 'async-mutex';
import { startSimulator, type Simulator } from './simulator.ts';

/** Why no second one is started, in words for the user. */
export class AnotherBoat extends Error {
  override readonly name = 'AnotherBoat';
  constructor() {
    super('Another simulated boat is under way, and there is one at a time. Close that one first.');
  }
}

/** The simulated boat: one at a time, started by whoever uses it first and stopped when the last lets it go. */
export class Simulators {
  private readonly users = new Set<string>();
  private readonly mutex = new Mutex();
  private boat: Simulator | null = null;

  constructor(
    private readonly options: { readonly udpPort: number; readonly now: () => Date },
    private readonly start: typeof startSimulator = startSimulator,
  ) {}

  get running(): Simulator | null {
    return this.boat;
  }

  /** Throws AnotherBoat where one of another seed or pace is used. */
  use(user: string, seed: number, pace: number): Promise<Simulator> {
    return this.mutex.runExclusive(async () => {
      if (this.boat !== null && (this.boat.seed !== seed || this.boat.pace !== pace)) throw new AnotherBoat();
      this.boat ??= await this.start(seed, { ...this.options, pace });
      this.users.add(user);
      return this.boat;
    });
  }

  /** Lets it go; after the last it stops. */
  letGo(user: string): Promise<void> {
    return this.mutex.runExclusive(() => {
      this.users.delete(user);
      if (this.users.size > 0) return;
      this.boat?.stop();
      this.boat = null;
    });
  }
}
