import { builtStages, type BuiltStage } from '@grey-keel/core';
import { stageNumber } from '@grey-keel/model';
import { beamsStage } from './beams/stage.ts';
import { briefStage } from './brief/stage.ts';
import { calibrateStage } from './calibrate/stage.ts';
import { fitStage } from './fit/stage.ts';
import { handoverStage } from './handover/stage.ts';
import { keysStage } from './keys/stage.ts';
import { pagesStage } from './pages/stage.ts';
import { sourcesStage } from './sources/stage.ts';
import type { WebStage } from './web-stage.ts';

/** Every stage that is built has its page and its words: one without them does not compile. */
const webStages: Readonly<Record<BuiltStage, WebStage>> = {
  brief: briefStage,
  beams: beamsStage,
  fit: fitStage,
  sources: sourcesStage,
  calibrate: calibrateStage,
  pages: pagesStage,
  keys: keysStage,
  handover: handoverStage,
};

/** The stages on the ladder, under their fixed numbers. */
export const stageRegister = builtStages.map(({ stage }) => ({
  ...webStages[stage as BuiltStage],
  number: stageNumber(stage),
}));
