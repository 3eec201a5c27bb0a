import type { StageViews } from '../stage-views.ts';

export const fitTabs = ['hull', 'power', 'network', 'who transmits', 'sheets'] as const;
export type FitTab = (typeof fitTabs)[number];

export const fitViews: StageViews = {
  tabs: fitTabs,
  pictures: [
    { name: 'fit', theme: 'shop', press: [] },
    { name: 'power', theme: 'shop', press: ['[data-tab=power]'] },
    { name: 'network', theme: 'night', press: ['[data-tab=network]'] },
  ],
};
