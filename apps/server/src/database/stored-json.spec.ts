import { nameSchema } from '@grey-keel/model';
import { readStored } from './stored-json.ts';

describe('what was stored before', () => {
  it('is read as it is where its texts are fit to be shown', () => {
    const plain = { name: 'Sable Wren', notes: 'One line.\nAnother.', list: [1, null, true, 'a'], empty: '' };
    expect(readStored(JSON.stringify(plain))).toEqual(plain);
  });

  it('is read cleaned where its texts are refused today, so that it can be opened', () => {
    for (const name of ['a\u0000b', '\u202eevil', '\ud800', '\u0007', 'two\nlines']) {
      const read = readStored(JSON.stringify({ name })) as { name: string };
      expect(nameSchema.safeParse(name).success).withContext(JSON.stringify(name)).toBeFalse();
      expect(nameSchema.safeParse(read.name).success).withContext(JSON.stringify(name)).toBeTrue();
    }
  });
});
