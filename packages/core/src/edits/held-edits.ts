import { heldEditSchemas, type AsLeft, type Plan, type SettingKind } from '@grey-keel/model';
import { pruneEmpty } from './by-leaf.ts';
import { has, putOrDelete } from './collection.ts';
import { EditRefused } from './edit-refused.ts';
import { editRows } from './edit-row.ts';

interface Line {
  asFound: object | null;
  asLeft: (AsLeft & { seenAgainAt: string | null }) | null;
}
interface Where {
  readonly deviceId: string;
  readonly kind: SettingKind;
  readonly ofId: string;
}

/** What can be keyed into, and what a setting can be of. */
const knows = (plan: Plan, id: string): boolean =>
  [plan.displays, plan.transducers, plan.equipment].some((record) => has(record, id));

const linesOf = (plan: Plan, { deviceId, kind, ofId }: Where): Record<string, Line> => {
  for (const id of [deviceId, ofId])
    if (!knows(plan, id))
      throw new EditRefused('gone', `held.${deviceId}.${kind}.${ofId}`, `There is no "${id}" any more.`);
  const device = (plan.held[deviceId] ??= {}) as Record<string, Record<string, Line>>;
  return (device[kind] ??= {});
};
const lineOf = (plan: Plan, where: Where): Line =>
  (linesOf(plan, where)[where.ofId] ??= { asFound: null, asLeft: null });

export const heldEdits = editRows(heldEditSchemas, {
  readAsFound: (plan, { asFound, ...where }) => {
    lineOf(plan, where).asFound = asFound;
  },
  enterSetting: (plan, { asLeft, ...where }) => {
    lineOf(plan, where).asLeft = asLeft;
  },
  seeAgain: (plan, { at, ...where }) => {
    const { asLeft } = lineOf(plan, where);
    if (!asLeft)
      throw new EditRefused(
        'gone',
        `held.${where.deviceId}.${where.kind}.${where.ofId}`,
        'Nothing is entered for it any more.',
      );
    asLeft.seenAgainAt = at;
  },
  forgetSetting: (plan, where) => {
    delete linesOf(plan, where)[where.ofId];
    pruneEmpty(plan, ['held', where.deviceId]);
  },
  resetDevice: (plan, { deviceId, id, reset }) => {
    if (!knows(plan, deviceId))
      throw new EditRefused('gone', `resets.${deviceId}`, `There is no "${deviceId}" any more.`);
    (plan.resets[deviceId] ??= {})[id] = reset;
  },
  chooseSetting: (plan, { kind, line, value }) => {
    if (line === null) {
      putOrDelete<unknown>(plan.chosen.boat, kind, value);
      return;
    }
    const { deviceId, ofId } = line;
    if (!knows(plan, deviceId))
      throw new EditRefused('gone', `chosen.devices.${deviceId}`, `There is no "${deviceId}" any more.`);
    const device = (plan.chosen.devices[deviceId] ??= {}) as Record<string, Record<string, unknown>>;
    putOrDelete<unknown>((device[kind] ??= {}), ofId, value);
    pruneEmpty(plan, ['chosen', 'devices', deviceId]);
  },
});
