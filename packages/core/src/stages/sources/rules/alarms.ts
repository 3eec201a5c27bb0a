import type { Figure, Plan } from '@grey-keel/model';
import { type AlarmLimits, shallowLimits, type ShallowLimits, voltageLimits } from '../../../alarms/alarm-limits.ts';
import { alarmKinds, alarmsHeld } from '../../../plan/held-by.ts';
import { asShown, depthDisplayOf, upToStepM } from '../../../sources/depth-display.ts';
import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { eachFitted } from '../../../findings/each-fitted.ts';
import { at } from '../../../plan/target.ts';
import { noShallowAlarm, noTimeToAct } from './no-alarm.ts';

/** To the next step of a tenth, so that what is written is not under what was worked out. */
const tenthUp = (value: number): number => Math.ceil(Math.round(value * 1e6) / 1e5) / 10;

interface AlarmKind<L extends AlarmLimits> {
  readonly key: 'shallowM' | 'lowVoltageV';
  readonly quantity: 'depth' | 'voltage';
  readonly limits: (plan: Plan, stationId: string) => L | null;
  /** The next value at or over a limit that the display can be set to. */
  readonly upTo: (plan: Plan, stationId: string, limit: number) => number;
  /** A value as that display writes it. */
  readonly shown: (plan: Plan, stationId: string, value: number) => string | Figure;
  /** What the least rests on, in words. */
  readonly rests: (limits: L) => string;
}
const shallow: AlarmKind<ShallowLimits> = {
  key: 'shallowM',
  quantity: 'depth',
  limits: shallowLimits,
  upTo: (plan, stationId, limit) => upToStepM(limit, depthDisplayOf(plan, stationId)),
  // In the display's own unit, whatever the reader's: that is where it has to be set.
  shown: (plan, stationId, value) => asShown(value, depthDisplayOf(plan, stationId)),
  rests: ({ aground: { lowest } }) =>
    `with what it shows when ${lowest.name} touches, the tolerance and water to act in it has to be`,
};
const lowVoltage: AlarmKind<AlarmLimits> = {
  key: 'lowVoltageV',
  quantity: 'voltage',
  limits: voltageLimits,
  upTo: (_plan, _stationId, limit) => tenthUp(limit),
  shown: (_plan, _stationId, value) => figure(value, 'voltage'),
  rests: () => 'a device on the same battery goes out, or the battery has given what it bears, at',
};

interface AlarmFault extends Pick<Rule, 'id' | 'severity'> {
  readonly title: string;
  /** The limit an alarm set there breaks, or null; `least` is already one the display can be set to. */
  readonly breaks: (setTo: number, limits: Pick<AlarmLimits, 'least' | 'most'>) => number | null;
  /** What that limit is, before its figure; left out where it is the least. */
  readonly why?: string;
}

const alarmRule = <L extends AlarmLimits>(kind: AlarmKind<L>, fault: AlarmFault): Rule<'sources'> => ({
  id: fault.id,
  severity: fault.severity,
  stage: 'sources',
  find: eachFitted(({ id: stationId, plan, station }): Found[] => {
    const setTo = alarmsHeld(plan, stationId)[kind.key] ?? null;
    const limits = kind.limits(plan, stationId);
    if (setTo === null || limits === null) return [];
    const least = kind.upTo(plan, stationId, limits.least);
    const limit = fault.breaks(setTo, { least, most: limits.most });
    if (limit === null) return [];
    return [
      {
        subject: stationId,
        title: fault.title,
        reason: [
          `The alarm of ${station.name} sounds at `,
          kind.shown(plan, stationId, setTo),
          `; ${fault.why ?? kind.rests(limits)} `,
          kind.shown(plan, stationId, limit),
          '.',
        ],
        figure: figure(setTo, kind.quantity),
        working: limits.working,
        fix: {
          label: 'Set it to what is needed',
          target: at('held', stationId, alarmKinds[kind.key], stationId),
        },
      },
    ];
  }),
});

/** Nearer than this two values are written alike. */
const alike = 0.001;
const late: AlarmFault['breaks'] = (setTo, { least }) => (setTo < least - alike ? least : null);
/** Only where there is room between the two: in water that shallow what has to call early calls all day. */
const always: AlarmFault['breaks'] = (setTo, { least, most }) =>
  most !== null && least < most && setTo >= most ? most : null;

export const alarmRules: readonly Rule<'sources'>[] = [
  noShallowAlarm,
  noTimeToAct,
  alarmRule(shallow, {
    id: 'alarm-shallow-late',
    severity: 'stop',
    title: 'The shallow alarm sounds too late',
    breaks: late,
  }),
  alarmRule(shallow, {
    id: 'alarm-shallow-always',
    severity: 'check',
    title: 'The shallow alarm sounds all day',
    breaks: always,
    why: 'the shallowest water of the brief shows as',
  }),
  alarmRule(lowVoltage, {
    id: 'alarm-voltage-late',
    severity: 'check',
    title: 'The voltage alarm sounds too late',
    breaks: late,
  }),
  alarmRule(lowVoltage, {
    id: 'alarm-voltage-always',
    severity: 'check',
    title: 'The voltage alarm sounds all day',
    breaks: always,
    why: 'a full battery gives it no more than',
  }),
];
