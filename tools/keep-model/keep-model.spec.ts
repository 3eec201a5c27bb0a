import { keepModel } from './run-model.ts';

describe('sources and recordings under all that can befall them', () => {
  it('have one port at most, lose no sample and double none', async () => {
    expect(await keepModel(300, 1)).toEqual([]);
  });
});
