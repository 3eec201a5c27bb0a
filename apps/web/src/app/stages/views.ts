import type { BuiltStage } from '@grey-keel/core';
import { beamsViews } from './beams/views.ts';
import { briefViews } from './brief/views.ts';
import { calibrateViews } from './calibrate/views.ts';
import { fitViews } from './fit/views.ts';
import { handoverViews } from './handover/views.ts';
import { keysViews } from './keys/views.ts';
import { pagesViews } from './pages/views.ts';
import { sourcesViews } from './sources/views.ts';
import type { StageViews } from './stage-views.ts';

/** The views of every stage, in the order of the job. */
export const stageViews: Readonly<Record<BuiltStage, StageViews>> = {
  brief: briefViews,
  beams: beamsViews,
  fit: fitViews,
  sources: sourcesViews,
  calibrate: calibrateViews,
  pages: pagesViews,
  keys: keysViews,
  handover: handoverViews,
};
