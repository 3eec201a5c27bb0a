import { calibrateExercises } from '@grey-keel/core';
import { drillRow, type DrillRow } from '../../../shared/drill/drill-row.ts';
import { HiddenErrorView } from './hidden-error-view.ts';

/** The drill of calibrating: each exercise with the drawing it is answered in. */
export const calibrateDrill: readonly DrillRow[] = [
  drillRow(calibrateExercises.hiddenHeading, HiddenErrorView),
  drillRow(calibrateExercises.hiddenLog, HiddenErrorView),
];
