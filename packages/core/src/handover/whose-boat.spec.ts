import { whoseBoat } from './whose-boat.ts';

describe('whose a boat is', () => {
  it('is one line of what was asked, and nothing where nothing was', () => {
    expect(whoseBoat({ owner: 'A. Owner', contact: '', hullNumber: 'HN 7', engine: 'one of 60 kW' })).toBe(
      'Owner: A. Owner; hull number: HN 7; engine: one of 60 kW',
    );
    expect(whoseBoat({ shop: 'Harbour Works', installer: 'J. Reed' })).toBe('installer: J. Reed; shop: Harbour Works');
    expect(whoseBoat({ contact: 'the yard' })).toBe('contact: the yard');
    expect(whoseBoat({})).toBe('');
  });
});
