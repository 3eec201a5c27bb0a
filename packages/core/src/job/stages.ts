import { stageNames, type Stage } from '@grey-keel/model';
import { beamsStage } from '../stages/beams/stage.ts';
import { briefStage } from '../stages/brief/stage.ts';
import { calibrateStage } from '../stages/calibrate/stage.ts';
import type { StageDefinition } from '../stages/define-stage.ts';
import { fitStage } from '../stages/fit/stage.ts';
import { handoverStage } from '../stages/handover/stage.ts';
import { keysStage } from '../stages/keys/stage.ts';
import { pagesStage } from '../stages/pages/stage.ts';
import { sourcesStage } from '../stages/sources/stage.ts';

/** The register of stages: everything that is a list of what stages have is made from it. */
export const stages = {
  brief: briefStage,
  beams: beamsStage,
  fit: fitStage,
  sources: sourcesStage,
  calibrate: calibrateStage,
  pages: pagesStage,
  keys: keysStage,
  handover: handoverStage,
} satisfies { readonly [S in Stage]?: StageDefinition<S> };
export type BuiltStage = keyof typeof stages;

/** The stages that are built, in the order of the job. */
export const builtStages: readonly StageDefinition[] = stageNames.flatMap((stage) =>
  stage in stages ? [stages[stage as BuiltStage]] : [],
);
