import type { SettingKind, Stage, Target } from '@grey-keel/model';
import { depthOffsetSetting, sidesSetting } from '../../../calibration/offset-rows.ts';
import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import type { Setting } from '../../../plan/define-setting.ts';
import { recordsApart } from '../../../plan/held-by.ts';
import { at } from '../../../plan/target.ts';
import { soundSetting } from '../../../sources/display-rows.ts';

interface Twice {
  readonly setting: Pick<Setting, 'word' | 'inWords'>;
  readonly stage: Stage;
  readonly said: (deviceId: string, ofId: string) => Target;
}

const twice = <K extends SettingKind>(setting: Setting<K>, stage: Stage, said: Twice['said']): Twice => ({
  setting: setting as unknown as Setting,
  stage,
  said,
});

/** What two places told of once, and where it is said now. */
const toldTwice: Readonly<Partial<Record<SettingKind, Twice>>> = {
  sound: twice(soundSetting, 'sources', (deviceId) => at('held', deviceId, 'sound', deviceId)),
  sides: twice(sidesSetting, 'sources', (deviceId) => at('held', deviceId, 'sides')),
  'depth-offset': twice(depthOffsetSetting, 'calibrate', (_, ofId) => at('depthOffsets', ofId, 'offsetSetM')),
};

/** One thing was typed here and another there, while there were two places for it and nobody was told. */
export const oldRecordsApart: Rule<'sources'> = {
  id: 'old-records-apart',
  stage: 'sources',
  severity: 'check',
  find: (plan) =>
    recordsApart(plan).flatMap(({ deviceId, kind, ofId, undated, dated }): Found[] => {
      const told = toldTwice[kind];
      if (!told) return [];
      const { setting, stage, said } = told;
      return [
        {
          subject: `${deviceId}-${kind}-${ofId}`,
          of: [deviceId, ofId],
          title: 'Two old records differ',
          reason: [
            `${plan.stations[deviceId]?.name ?? deviceId}, ${setting.word}: of `,
            figure(2, 'count'),
            ' records the one without a date says ',
            ...setting.inWords(undated),
            `, the one of ${dated.at.slice(0, 10)} says `,
            ...setting.inWords(dated.value),
            '. Look at the display.',
          ],
          figure: figure(2, 'count'),
          fix: { label: 'Say what it holds', stage, target: said(deviceId, ofId) },
        },
      ];
    }),
};
