import { whereIsIt } from './where-is-it.ts';
import { whichBeamShowsIt } from './which-beam-shows-it.ts';
import { whichFrequency } from './which-frequency.ts';

/** What can be practised of the beams, in the order it is asked. */
export const beamsExercises = { whereIsIt, whichBeamShowsIt, whichFrequency };
