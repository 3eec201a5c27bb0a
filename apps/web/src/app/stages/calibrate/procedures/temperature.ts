import type { Procedure } from './procedure.ts';
import { onTheDisplay } from './usual-words.ts';

export const temperatureProcedure: Procedure = {
  ...onTheDisplay,
  title: 'Water temperature',
  where: 'At rest in mixed water, away from inlets and the engine’s outlet. Afternoon sun warms the top hand of water.',
  steps: [
    'Hold a thermometer you trust beside the sensor, at its depth, until it has settled; then read both.',
    'Take three pairs or more, minutes apart, and in water of another temperature where you can: in one water all share the steps they are read in.',
    'A sensor inside the hull measures the bilge: it can be wrong by any amount, and no offset helps.',
  ],
  people: 'One person is enough at rest.',
  caution: 'Engine off and propeller clear before anyone leans over the transom.',
  reading: 'reading',
  group: 'Water and way',
  picture: null,
  live: { by: 'one value', quantity: 'temperatureC', figure: 'displayedC', near: 0.15, averageS: 20 },
  decimals: 2,
};
