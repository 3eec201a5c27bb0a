import { expose } from 'comlink';
import { Background } from './background.ts';

interface Api {
  readonly double: (value: number) => Promise<number>;
  readonly fail: () => number;
}

/** What a worker looks like from outside, answering in this very thread; `error` breaks it. */
class Stand extends EventTarget {
  terminated = false;
  private readonly channel = new MessageChannel();
  readonly hold: (() => void)[] = [];

  constructor() {
    super();
    expose(
      {
        double: (value: number) => new Promise((resolve) => this.hold.push(() => resolve(2 * value))),
        fail: () => {
          throw new RangeError('no such row');
        },
      },
      this.channel.port2,
    );
    this.channel.port1.onmessage = ({ data }: MessageEvent) =>
      this.dispatchEvent(new MessageEvent('message', { data }));
  }

  postMessage(message: unknown): void {
    this.channel.port1.postMessage(message);
  }

  terminate(): void {
    this.terminated = true;
    this.channel.port1.close();
  }
}

describe('work beside the interface', () => {
  const made: Stand[] = [];
  const background = (): Background<Api> => {
    made.length = 0;
    return new Background<Api>(() => {
      const stand = new Stand();
      made.push(stand);
      return stand as unknown as Worker;
    });
  };
  const asked = async (count: number): Promise<void> => {
    while ((made[0]?.hold.length ?? 0) < count) await new Promise((resolve) => setTimeout(resolve, 5));
  };

  it('makes its worker when it is first asked, once, and answers', async () => {
    const work = background();
    expect(made.length).toBe(0);
    for (const value of [4, 7]) {
      const answer = work.run((remote) => remote.double(value));
      await asked(1);
      made[0]!.hold.pop()!();
      expect(await answer).toBe(2 * value);
    }
    expect(made.length).toBe(1);
  });

  it('answers the newest call alone', async () => {
    const work = background();
    const first = work.run((remote) => remote.double(1));
    await asked(1);
    const second = work.run((remote) => remote.double(2));
    expect(await first).toBeNull();
    await asked(2);
    for (const answer of made[0]!.hold) answer();
    expect(await second).toBe(4);
  });

  it('ends what is under way, and starts anew', async () => {
    const work = background();
    const answer = work.run((remote) => remote.double(1));
    await asked(1);
    work.end();
    expect(await answer).toBeNull();
    expect(made[0]!.terminated).toBeTrue();
    const again = work.run((remote) => remote.double(3));
    while (!made[1]?.hold.length) await new Promise((resolve) => setTimeout(resolve, 5));
    made[1].hold[0]!();
    expect(await again).toBe(6);
  });

  it('passes on what its work throws, and says when the worker itself breaks', async () => {
    const work = background();
    await expectAsync(work.run((remote) => remote.fail())).toBeRejectedWithError('no such row');
    const answer = work.run((remote) => remote.double(1));
    made[0]!.dispatchEvent(new ErrorEvent('error', { message: 'it cannot be loaded' }));
    await expectAsync(answer).toBeRejectedWithError('it cannot be loaded');
    expect(made[0]!.terminated).toBeTrue();
  });
});
