import { until } from '../testing/until.ts';
import { ServerNews } from './server-news.ts';

const news = { boatId: 'hull', number: 5, revisionId: null, removed: false };

/** A stream of the server's that the test speaks through. */
class Stream extends EventTarget {
  static opened: Stream[] = [];
  readyState = 1;
  constructor(readonly url: string) {
    super();
    Stream.opened.push(this);
  }
  say(type: string, data = ''): void {
    this.dispatchEvent(new MessageEvent(type, { data }));
  }
}

describe('news of the server', () => {
  const usual = globalThis.EventSource;
  let others: BroadcastChannel;
  const heard = async (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 60));
  const listening = async (): Promise<{ news: ServerNews; stream: Stream; told: unknown[]; up: () => boolean }> => {
    const made = new ServerNews();
    const told: unknown[] = [];
    made.told.subscribe((one) => told.push(one));
    await heard();
    const stream = Stream.opened.at(-1)!;
    return { news: made, stream, told, up: () => made.linked.value };
  };

  beforeEach(() => {
    Stream.opened = [];
    // Each of these leads: no test waits for the tab of the one before it.
    spyOn(navigator.locks, 'request').and.callFake(((_name: string, work: () => unknown) =>
      Promise.resolve(work())) as never);
    Object.assign(globalThis, { EventSource: Object.assign(Stream, { CLOSED: 2 }) });
    others = new BroadcastChannel('grey-keel');
  });
  afterEach(() => {
    others.close();
    Object.assign(globalThis, { EventSource: usual });
  });

  it('is told here and passed on, and what is none is let go', async () => {
    const { stream, told, up } = await listening();
    const passed: unknown[] = [];
    others.onmessage = ({ data }: MessageEvent<unknown>) => passed.push(data);
    stream.say('hello');
    stream.say('boat', JSON.stringify(news));
    stream.say('boat', '{"boatId":7}');
    await until(() => passed.length > 1);
    expect([told, up()]).toEqual([[news], true]);
    expect(passed).toContain({ type: 'news', news });
    expect(passed).toContain({ type: 'link', up: true });
  });

  it('is heard from the tab that leads, with how the link stands and that a tab closes', async () => {
    const { news: made, told, up } = await listening();
    let closed = 0;
    made.tabCloses.subscribe(() => (closed += 1));
    others.postMessage({ type: 'news', news });
    others.postMessage({ type: 'link', up: true });
    others.postMessage({ type: 'tab closes' });
    others.postMessage({ type: 'rubbish' });
    await until(() => closed > 0);
    expect([told, up(), closed]).toEqual([[news], true, 1]);
  });

  it('is known to be missed while the stream is down, and is asked for again where the server closed it', async () => {
    const { stream, up } = await listening();
    stream.say('hello');
    jasmine.clock().install();
    try {
      stream.say('error');
      expect([up(), Stream.opened.length]).toEqual([false, 1]);
      jasmine.clock().tick(10_000);
      // The browser tries by itself.
      expect(Stream.opened.length).toBe(1);
      stream.readyState = 2;
      stream.say('error');
      jasmine.clock().tick(4999);
      expect(Stream.opened.length).toBe(1);
      jasmine.clock().tick(1);
      expect(Stream.opened.length).toBe(2);
    } finally {
      jasmine.clock().uninstall();
    }
  });
});
