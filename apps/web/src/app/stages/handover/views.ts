import type { StageViews } from '../stage-views.ts';

export const handoverTabs = ['card', 'entered'] as const;
export type HandoverTab = (typeof handoverTabs)[number];

export const handoverViews: StageViews = {
  tabs: handoverTabs,
  pictures: [
    { name: 'handover', theme: 'shop', press: [] },
    { name: 'entered', theme: 'shop', press: ['[data-tab="entered"]'] },
  ],
};
