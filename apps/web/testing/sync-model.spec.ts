import { runModel } from './sync-model.ts';

describe('windows, their outbox and the server, with kills, reloads and lost answers at random', () => {
  it('never end up different, never overwrite unasked, and lose no edit', async () => {
    for (let seed = 1; seed <= 300; seed++)
      expect((await runModel(seed)).map(({ what }) => what))
        .withContext(`seed ${seed}`)
        .toEqual([]);
  }, 120_000);
});
