import { aPlan, aTransducer, edited } from '../testing/sample-plan.ts';
import { drawSection, svgPoints, type SectionFrame } from './section-drawing.ts';
import { sectionAt } from './section.ts';

const frame: SectionFrame = { left: 50, panel: 200, gap: 20, surface: 40, perMetre: 5, amidships: 0.5 };

describe('drawSection', () => {
  const section = sectionAt(aPlan(), 32);
  const drawing = drawSection(section, frame);
  const [astern, side] = drawing.views;

  it('lays waterline and bottom at the scale of the sheet', () => {
    expect(drawing.surface).toBe(40);
    expect(drawing.bottom).toBe(40 + 32 * 5);
    expect([astern.left, side.left]).toEqual([50, 270]);
  });

  it('keeps every beam as wide on the sheet as in the water, and between waterline and bottom', () => {
    const cone = astern.beams[0]?.points ?? [];
    const xs = cone.map(({ x }) => x);
    expect((Math.max(...xs) - Math.min(...xs)) / 5).toBeCloseTo(section.beams[0]?.footprint?.widthAcrossM ?? 0, 9);
    for (const { points } of [...astern.beams, ...side.beams])
      for (const { y } of points) {
        expect(y).toBeGreaterThanOrEqual(drawing.surface);
        expect(y).toBeLessThanOrEqual(drawing.bottom + 1e-9);
      }
  });

  it('stands the centreline amid the view from astern and amidships where the frame says, bow to the right', () => {
    const middle = (points: readonly { x: number }[]): number =>
      (Math.max(...points.map(({ x }) => x)) + Math.min(...points.map(({ x }) => x))) / 2;
    expect(middle(astern.boat[0] ?? [])).toBeCloseTo(150, 9);
    expect(middle(side.boat[0] ?? [])).toBeCloseTo(370, 9);
    expect(middle(drawSection(section, { ...frame, amidships: 0.25 }).views[1].boat[0] ?? [])).toBeCloseTo(320, 9);
    // The face 2 m forward of the transom stands astern of amidships, to port in the view from astern.
    expect(side.beams[0]?.points[0]?.x).toBeCloseTo(370 + (2 - 3.7) * 5, 9);
    expect(astern.beams[0]?.points[0]?.x).toBeCloseTo(150 - 0.8 * 5, 9);
  });

  it('floats the boat: keel below the waterline by its draught, sheer above it', () => {
    const ys = side.boat.flat().map(({ y }) => y);
    expect(Math.max(...ys)).toBeCloseTo(40 + 0.5 * 5, 9);
    expect(Math.min(...ys)).toBeLessThan(40);
  });

  it('tells what looks down from what does not, and keeps each beam its own series', () => {
    const plan = edited(aPlan(), {
      type: 'placeTransducer',
      id: 'c-side',
      transducer: aTransducer({
        kind: 'side-scan',
        beams: [{ frequencyHz: 430_000, bandwidthHz: null, beamwidthDeg: 50, levelDb: -3, alongDeg: 1 }],
      }),
    });
    const [view] = drawSection(sectionAt(plan, 32), frame).views;
    expect(view.beams.map(({ series, down }) => [series, down])).toEqual([
      [0, true],
      [1, true],
      [2, false],
      [2, false],
    ]);
  });
});

describe('svgPoints', () => {
  it('writes x,y pairs to a tenth', () => {
    expect(
      svgPoints([
        { x: 1, y: 2.25 },
        { x: -3.04, y: 0 },
      ]),
    ).toBe('1.0,2.3 -3.0,0.0');
  });
});
