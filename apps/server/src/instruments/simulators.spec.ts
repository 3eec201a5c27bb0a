import type { Simulator } from './simulator.ts';
import { AnotherBoat, Simulators } from './simulators.ts';

describe('the simulated boat', () => {
  it('is one at a time, of one seed and pace, for all who use it, and stops when the last lets it go', async () => {
    const told: string[] = [];
    const simulators = new Simulators({ udpPort: 0, now: () => new Date(0) }, (seed, { pace }) => {
      told.push(`start ${seed} ${pace}`);
      return Promise.resolve({ seed, pace, stop: () => told.push(`stop ${seed}`) } as unknown as Simulator);
    });
    const [one, same] = await Promise.all([simulators.use('a', 7, 1), simulators.use('b', 7, 1)]);
    expect(same).toBe(one);
    await expectAsync(simulators.use('c', 8, 1)).toBeRejectedWithError(AnotherBoat);
    await expectAsync(simulators.use('c', 7, 2)).toBeRejectedWithError(AnotherBoat);
    await simulators.letGo('a');
    expect(simulators.running).toBe(one);
    await simulators.letGo('b');
    expect(simulators.running).toBeNull();
    expect((await simulators.use('c', 8, 2)).seed).toBe(8);
    expect(told).toEqual(['start 7 1', 'stop 7', 'start 8 2']);
  });
});
