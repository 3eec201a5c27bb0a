import { inject } from '@angular/core';
import type { Edit, SettingKind, SettingValue } from '@grey-keel/model';
import { EnteredBy } from './entered-by.ts';

type KeyIn = <K extends SettingKind>(
  deviceId: string,
  kind: K,
  value: SettingValue<K> | 'not noted',
  ofId?: string,
) => Edit;

/** How a component says what has been keyed into a device: now, and by whoever said so last. */
export const keyingIn = (): KeyIn => {
  const by = inject(EnteredBy).name;
  return (deviceId, kind, value, ofId = deviceId) =>
    ({
      type: 'enterSetting',
      deviceId,
      kind,
      ofId,
      asLeft: {
        value: value === 'not noted' ? null : value,
        at: new Date().toISOString(),
        by: by() || null,
        seenAgainAt: null,
      },
    }) as Edit;
};

/** Nothing is known of the line any more. */
export const forgetting = (deviceId: string, kind: SettingKind, ofId = deviceId): Edit => ({
  type: 'forgetSetting',
  deviceId,
  kind,
  ofId,
});
