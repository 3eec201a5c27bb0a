import { at, fittedStations, inOrder } from '@grey-keel/core';
import type { WebStage } from '../web-stage.ts';

export const sourcesStage: WebStage = {
  stage: 'sources',
  title: 'Sources',
  decides: 'What each unit is called, and what each screen listens to.',
  help: [
    'Switch everything on and wait: some units take minutes to appear. Look for faults only after that.',
    'Read the type from the tag on each cable and select just that: power and tuning hang on it.',
    'Name each source by where it is, what it works at, its kind and its socket, so that no two can be mistaken.',
    'Choose for each screen where depth, temperature, heading and position come from, and what stands in for them.',
    'A transducer inside the hull measures the bilge, not the water; one that looks ahead does not know the depth below.',
    'The same water and the same north on every screen; look once that port is drawn on port.',
  ],
  page: () => import('./sources-page.ts').then(({ SourcesPage }) => SourcesPage),
  found: (plan) => [
    ...inOrder(plan.transducers).map(([id, { name }]) => ({
      kind: 'field' as const,
      name: `Tag and type of ${name}`,
      target: at('sources', id, 'tag'),
    })),
    ...fittedStations(plan).flatMap(({ id, station: { name } }) => [
      { kind: 'field' as const, name: `Shallow alarm at ${name}`, target: at('held', id, 'shallow-alarm', id) },
      { kind: 'field' as const, name: `Water type at ${name}`, target: at('held', id, 'sound', id) },
      { kind: 'field' as const, name: `North at ${name}`, target: at('held', id, 'north', id) },
      { kind: 'field' as const, name: `Depth at ${name}, where it comes from`, target: at('feeds', id, 'depth') },
    ]),
  ],
};
