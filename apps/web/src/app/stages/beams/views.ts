import type { StageViews } from '../stage-views.ts';

export const beamsTabs = [
  'advice',
  'section',
  'shopping',
  'detection range',
  'cone or frequency',
  'speed',
  'fish and slope',
  'where is it',
  'drill',
] as const;
export type BeamsTab = (typeof beamsTabs)[number];

/** What each group of them is for, by the tab it begins with. */
export const beamsGroups: Partial<Record<BeamsTab, string>> = {
  advice: 'decide',
  'detection range': 'compare',
  'where is it': 'practise',
};

export const beamsViews: StageViews = {
  tabs: beamsTabs,
  pictures: [
    { name: 'beams', theme: 'shop', press: ['.ways p-togglebutton:nth-of-type(4)'] },
    {
      name: 'fish',
      theme: 'shop',
      press: ['[data-tab="fish and slope"]', '#put-fish'],
    },
    {
      name: 'mark',
      theme: 'shop',
      press: ['[data-tab="where is it"]'],
      choose: [
        ['.beam:nth-of-type(1) [role="combobox"]', 'strong'],
        ['.beam:nth-of-type(2) [role="combobox"]', 'not at all'],
      ],
    },
    {
      name: 'drill',
      theme: 'sun',
      press: ['[data-tab=drill]', '#drill-start', '#drill-score'],
    },
    { name: 'advice', theme: 'shop', press: ['[data-tab=advice]', '#place-0'] },
    { name: 'detection-range', theme: 'shop', press: ['[data-tab="detection range"]'] },
    { name: 'cone', theme: 'shop', press: ['[data-tab="cone or frequency"]'] },
  ],
};
