import { beamsExercises } from '@grey-keel/core';
import { drillRow, type DrillRow } from '../../../shared/drill/drill-row.ts';
import { WhereIsItView } from './where-is-it-view.ts';
import { WhichBeamView } from './which-beam-view.ts';
import { WhichFrequencyView } from './which-frequency-view.ts';

/** The drill of the beams: each exercise with the drawing it is answered in. */
export const beamsDrill: readonly DrillRow[] = [
  drillRow(beamsExercises.whereIsIt, WhereIsItView),
  drillRow(beamsExercises.whichBeamShowsIt, WhichBeamView),
  drillRow(beamsExercises.whichFrequency, WhichFrequencyView),
];
