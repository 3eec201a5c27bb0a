import type { Rule } from '../../../findings/rule.ts';
import { alarmRules } from './alarms.ts';
import { sidesSwapped, travelsConflict, twoNorths, waterType } from './display-settings.ts';
import { fallbackReference, feedGone, feedPoor } from './feeds.ts';
import { oldRecordsApart } from './old-records.ts';
import { sourceFactoryName, sourceTwice, typeWrong } from './names.ts';

export const sourceRules: readonly Rule<'sources'>[] = [
  typeWrong,
  feedGone,
  sidesSwapped,
  sourceTwice,
  sourceFactoryName,
  feedPoor,
  waterType,
  fallbackReference,
  twoNorths,
  travelsConflict,
  oldRecordsApart,
  ...alarmRules,
];
