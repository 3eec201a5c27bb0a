import type { LogChannel } from '@grey-keel/core';
import { chunkSamples } from './columns.ts';
import { LiveRecording, type LivePart } from './live-recording.ts';

const depth: LogChannel = { id: 3, talker: 'SD', type: 'DPT', quantity: 'depthM' };

describe('a recording that is under way', () => {
  const made = (mostWaiting = 1000) => {
    const disk = { full: false, done: 0, nowS: 0, parts: [] as LivePart[], ready: Promise.resolve() };
    const recording = new LiveRecording({
      store: async (part) => {
        await disk.ready;
        if (disk.full) throw new Error('SQLITE_FULL');
        disk.parts.push({ ...part, gaps: [...part.gaps] });
      },
      elapsedS: () => disk.nowS,
      // Only what is asked for is stored.
      flushEveryMs: 5,
      mostWaiting,
      done: () => (disk.done += 1),
    });
    const take = (count: number): void => {
      for (let i = 0; i < count; i++) {
        recording.take(depth, disk.nowS);
        disk.nowS += 1;
      }
    };
    const stored = (): number[] => disk.parts.flatMap(({ chunks }) => chunks.flatMap(({ times }) => [...times]));
    const settle = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 30));
    return { disk, recording, take, stored, settle };
  };

  it('loses nothing to a disk that was full for a moment: what waits goes in, in order, when there is room', async () => {
    const { disk, recording, take, stored, settle } = made();
    take(5);
    await settle();
    disk.full = true;
    take(5);
    await settle();
    expect(recording.status()).toEqual({ ended: false, waitsForRoom: true, samplesInMemory: 5, dropped: 0 });
    take(5);
    disk.full = false;
    await settle();
    expect(recording.status()).toEqual({ ended: false, waitsForRoom: false, samplesInMemory: 0, dropped: 0 });
    take(2);
    expect(await recording.end()).toBeTrue();
    expect(stored()).toEqual(Array.from({ length: 17 }, (_, i) => i));
    const numbers = disk.parts.flatMap(({ chunks }) => chunks.map(({ part }) => part));
    expect(numbers).toEqual(numbers.map((_, i) => i));
    expect(disk.parts.filter(({ last }) => last).length).toBe(1);
  });

  it('loses nothing of what comes while it stores, though it fills a chunk', async () => {
    const { disk, recording, take, stored, settle } = made(20_000);
    take(3);
    let goOn = (): void => undefined;
    disk.ready = new Promise((resolve) => (goOn = resolve));
    const storing = recording.flush();
    await settle();
    take(chunkSamples + 2);
    goOn();
    await storing;
    expect(recording.status().samplesInMemory).toBe(chunkSamples + 2);
    await recording.end();
    expect(stored()).toEqual(Array.from({ length: chunkSamples + 5 }, (_, i) => i));
    expect(disk.parts.at(-1)?.lastedS).toBe(chunkSamples + 5);
  });

  it('drops the newest when the memory is full, and tells from when to when', async () => {
    const { disk, recording, take, settle } = made(10);
    disk.full = true;
    take(14);
    await settle();
    expect(recording.status()).toEqual({ ended: false, waitsForRoom: true, samplesInMemory: 10, dropped: 4 });
    disk.full = false;
    await settle();
    take(3);
    disk.full = true;
    await settle();
    take(9);
    disk.full = false;
    await recording.end();
    expect(disk.parts.at(-1)?.gaps).toEqual([
      { fromS: 10, toS: 13, samples: 4 },
      { fromS: 24, toS: 25, samples: 2 },
    ]);
    expect(disk.parts.at(-1)?.sentences).toBe(26);
  });

  it('ends while there is no room, at once and as often as it is asked; what is in memory is stored later, and it is over once', async () => {
    const { disk, recording, take, stored, settle } = made();
    disk.full = true;
    take(6);
    expect(await recording.end()).toBeFalse();
    take(4);
    expect(await recording.end()).toBeFalse();
    expect(recording.status()).toEqual({ ended: true, waitsForRoom: true, samplesInMemory: 6, dropped: 0 });
    expect(disk.done).toBe(0);
    disk.full = false;
    await settle();
    expect([stored().length, disk.done, disk.parts.at(-1)?.lastedS]).toEqual([6, 1, 6]);
    await settle();
    expect(disk.parts.length).toBe(1);
  });
});
