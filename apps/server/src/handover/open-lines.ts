import { findings, formatSentence, stageStates, type UnitChoice } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';

/** What the reader must know is not settled: stages that are not fresh, and findings that stop or ask for a check. */
export const openLines = (plan: Plan, units: UnitChoice): string[] => {
  const found = findings(plan).filter(({ severity, stage }) => severity !== 'note' && stage !== 'handover');
  const stages = stageStates(plan, found).filter(({ stage, state }) => state !== 'fresh' && stage !== 'handover');
  return [
    ...stages.map(({ number, stage, state }) => `Stage ${number}, ${stage}: ${state}.`),
    ...found.map(({ severity, title, reason }) => `${severity}: ${title}. ${formatSentence(reason, units)}`),
  ];
};

/** How much is not settled, in one line, for a sheet that has no room for the list. */
export const openCounts = (plan: Plan): string => {
  const found = findings(plan);
  const stops = found.filter(({ severity }) => severity === 'stop').length;
  const checks = found.filter(({ severity }) => severity === 'check').length;
  // The card itself is what is being printed.
  const open = stageStates(plan, found).filter(({ stage, state }) => state !== 'fresh' && stage !== 'handover').length;
  return stops + checks + open === 0
    ? 'Everything on this card is fresh.'
    : `Not settled: ${stops} to stop for, ${checks} to check, ${open} ${open === 1 ? 'stage' : 'stages'} not done. The report names them.`;
};
