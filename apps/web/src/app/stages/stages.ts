import { stageNumber, type Stage } from '@grey-keel/model';
import { builtStages } from '@grey-keel/core';

interface StageWords {
  readonly title: string;
  /** What is decided here, in one sentence. */
  readonly decides: string;
}

const words: Partial<Record<Stage, StageWords>> = {
  brief: { title: 'Brief', decides: 'The boat, her waters and her work: everything later is judged against this.' },
  beams: { title: 'Beams', decides: 'Which cones, at which frequencies, for the depth she works at.' },
  fit: { title: 'Fit', decides: 'Where everything goes, and what it hangs on: hull, wires and batteries.' },
  sources: { title: 'Sources', decides: 'What each unit is called, and what each screen listens to.' },
  calibrate: { title: 'Calibrate', decides: 'Each number the displays rely on, measured, with its uncertainty.' },
  pages: { title: 'Pages', decides: 'What each screen shows in each way of working, and whether it can be read.' },
  keys: { title: 'Keys', decides: 'What each key does, short and long, and what a slip would do.' },
  handover: { title: 'Handover', decides: 'The card for the dash, with what is stale and what is missing.' },
};

/** The stages on the ladder: those that are built, under their fixed numbers. */
export const stageRegister = builtStages.map(({ stage }) => ({
  stage,
  number: stageNumber(stage),
  ...(words[stage] ?? { title: stage, decides: '' }),
}));
