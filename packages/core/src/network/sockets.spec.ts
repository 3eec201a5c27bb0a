import { sonarKinds, type NamedSocket, type Plan } from '@grey-keel/model';
import { aPlan, aTransducer, edited } from '../testing/sample-plan.ts';
import { diagramOf } from './diagram.ts';
import { freePlug, socketGroups, socketOf, splittersOn } from './sockets.ts';

const withSockets = (...sockets: NamedSocket[]): Plan =>
  edited(
    {
      ...aPlan(),
      transducers: { a: aTransducer(), b: aTransducer(), c: aTransducer({ kind: 'side-scan' }) },
    },
    { type: 'describeDevice', id: 'helm', changes: { sockets } },
  );
const plugged = (plan: Plan, id: string, plug: string): Plan =>
  edited(plan, {
    type: 'connect',
    transducerId: id,
    link: { to: 'helm', plug, adapterDisables: null, cableM: null },
  });

describe('the sockets of a device', () => {
  it('by a plug alone drive any sonar, one at once', () => {
    expect(socketOf('round S')).toEqual({ plug: 'round S', drives: [...sonarKinds], atOnce: 1 });
    const own = { plug: 'x', drives: ['sector' as const], atOnce: 2 };
    expect(socketOf(own)).toBe(own);
  });

  it('of the same plug count together, and want a splitter where one drives two', () => {
    const both = { plug: 'wide', drives: ['sounder' as const], atOnce: 2 };
    const plan = plugged(plugged(withSockets(both, 'wide'), 'a', 'wide'), 'b', 'wide');
    const [group] = socketGroups(plan, 'helm');
    expect([group?.sockets, group?.atOnce, group?.plugged]).toEqual([2, 3, ['a', 'b']]);
    expect(group && splittersOn(group)).toBe(0);
    const [alone] = socketGroups(plugged(plugged(withSockets(both), 'a', 'wide'), 'b', 'wide'), 'helm');
    expect(alone && splittersOn(alone)).toBe(1);
  });

  it('offer the first that drives it and has room, its own place not counted against it', () => {
    const plan = withSockets({ plug: 'down', drives: ['sounder'], atOnce: 1 }, 'any');
    expect([freePlug(plan, 'helm', 'a'), freePlug(plan, 'helm', 'c')]).toEqual(['down', 'any']);
    const one = plugged(plan, 'a', 'down');
    expect([freePlug(one, 'helm', 'a'), freePlug(one, 'helm', 'b')]).toEqual(['down', 'any']);
    expect(freePlug(plugged(one, 'c', 'any'), 'helm', 'b')).toBe('');
  });
});

describe('the wiring diagram', () => {
  it('cuts what would make all of it too small to read, and says it whole in words', () => {
    const name = `Through-hull ${'of the northern reach '.repeat(3)}`.trim();
    const { nodes, words } = diagramOf({ ...aPlan(), transducers: { a: aTransducer({ name }) } });
    const [box] = nodes;
    expect(box?.lines[0]).toMatch(/^Through-hull of the .*\u2026$/);
    expect(box?.width).toBeLessThan(260);
    expect(words.join()).toContain(name);
  });
});
