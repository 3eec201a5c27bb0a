import { drawnBetweenDrags } from './drawn-marks.ts';

const frame = { x: 100, y: 50, w: 400, h: 300 };
const least = 26;

describe('marks of a drawing in which one is dragged', () => {
  const rest = { x: 300, y: 200, name: 'Rest', main: false };
  const drawn = drawnBetweenDrags();
  const at = (x: number, settled: number, name = 'Held') =>
    drawn([{ x, y: 200, name, main: true }, rest], frame, least, 0, settled);

  it('stay while another is dragged over them, and make room once it is let go, their names alike', () => {
    const [held, before] = at(200, 0);
    expect(held?.spot).toEqual(jasmine.objectContaining({ x: 200, y: 200 }));
    expect(before).toEqual(jasmine.objectContaining({ led: false }));
    expect(before?.name?.words).toBe('Rest');
    const [over, beneath] = at(299, 0);
    expect(over?.spot.x).toBe(299);
    // Seen from its mark its name stands where it stood: it goes along.
    expect(over?.name).toEqual(held!.name);
    expect(beneath).toEqual(before);
    const [stays, aside] = at(299, 1);
    expect(stays?.spot.x).toBe(299);
    expect(aside?.led).toBeTrue();
    expect(Math.hypot(aside!.spot.x - 299, aside!.spot.y - 200)).toBeGreaterThan(least - 3);
  });

  it('are named anew once a name changes', () => {
    at(200, 0);
    expect(at(200, 0, 'Bow')[0]?.name?.words).toBe('Bow');
  });
});
