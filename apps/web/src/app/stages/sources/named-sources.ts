import { devicesOf, inOrder, newSource, setUpIn, suggestSourceName, typeHeld } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import { seriesVariable } from '../../shared/series.ts';

/** Everything that appears in a display's list of sources, with what is recorded of it and the name the rule gives it. */
export const namedSources = (plan: Plan) =>
  [
    ...inOrder(plan.transducers).map(([id, { name, kind, mounting }], i) => ({
      id,
      unit: name,
      kind: `${kind}, ${mounting}`,
      colour: seriesVariable(i),
      transducer: true,
    })),
    ...devicesOf(plan).flatMap(({ id }) => {
      const piece = plan.equipment[id];
      return piece ? [{ id, unit: piece.name, kind: piece.kind, colour: 'var(--hull-light)', transducer: false }] : [];
    }),
  ].map((one) => ({
    ...one,
    source: plan.sources[one.id] ?? newSource(),
    deviceId: setUpIn(plan, one.id),
    selected: typeHeld(plan, one.id) ?? '',
    suggested: suggestSourceName(plan, one.id),
  }));
