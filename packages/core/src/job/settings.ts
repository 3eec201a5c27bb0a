import type { SettingKind } from '@grey-keel/model';
import { alarmSettings } from '../alarms/alarm-rows.ts';
import { antennaSetting, depthOffsetSetting, sensorSettings, sidesSetting } from '../calibration/offset-rows.ts';
import type { Setting } from '../plan/define-setting.ts';
import {
  depthDisplaySetting,
  nameSetting,
  northSetting,
  seenToOnce,
  soundSetting,
  typeSetting,
} from '../sources/display-rows.ts';

/** Every kind of setting, in the order in which they are keyed into a device. One that is missing does not compile. */
export const settings: { readonly [K in SettingKind]: Setting<K> } = {
  'depth-display': depthDisplaySetting,
  sound: soundSetting,
  north: northSetting,
  type: typeSetting,
  name: nameSetting,
  'depth-offset': depthOffsetSetting,
  ...sensorSettings,
  sides: sidesSetting,
  'antenna-offset': antennaSetting,
  ...alarmSettings,
  ...seenToOnce,
};
