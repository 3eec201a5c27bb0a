import { bindingsAt } from '../../keys/key-slots.ts';
import { fittedStations } from '../../plan/fitted-stations.ts';
import { fitDisplay } from '../../plan/usual-to-dos.ts';
import { defineStage } from '../define-stage.ts';
import { keysEdits } from './edits.ts';
import { keyLost, keyOnTrailer, keyPlace, keySlip, keyTwice, pageWithoutKey } from './rules/keys.ts';
import { at } from '../../plan/target.ts';

export const keysStage = defineStage({
  stage: 'keys',
  edits: keysEdits,
  rules: [keyOnTrailer, keyLost, keyPlace, keyTwice, keySlip, pageWithoutKey],
  /** Every display that has programmable keys has something on one of them. */
  waitsFor: (plan) => {
    const fitted = fittedStations(plan);
    if (fitted.length === 0) return [fitDisplay(plan)];
    return fitted.flatMap(({ id, station, display }) =>
      display.keys === 0 || bindingsAt(plan, id).length > 0
        ? []
        : [{ what: `put something on a key of ${station.name}`, target: at('keys', id, '1-short') }],
    );
  },
  results: [],
  exercises: [],
});
