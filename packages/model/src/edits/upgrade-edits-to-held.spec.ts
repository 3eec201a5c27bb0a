import { editSchema } from './edit.ts';
import { upgradeEdits } from './upgrade-edits.ts';

const at = '2026-05-01T08:00:00Z';
const unit = (changes: object) => ({ type: 'describeUnit', stationId: 'helm', changes });
const nothing = { at: null, by: null };
const line = (kind: string) => ({ kind, deviceId: 'helm', ofId: 'helm' });
const found = (kind: string, value: unknown) => ({
  type: 'readAsFound',
  ...line(kind),
  asFound: { value, ...nothing },
});
const entered = (kind: string, value: unknown) => ({
  type: 'enterSetting',
  ...line(kind),
  asLeft: { value, ...nothing, seenAgainAt: null },
});
const forgotten = (kind: string) => ({ type: 'forgetSetting', ...line(kind) });
const chosen = (kind: string, value: unknown) => ({
  type: 'chooseSetting',
  kind,
  line: { deviceId: 'helm', ofId: 'helm' },
  value,
});
const calibrated = (of: string, values: number[]) => ({
  type: 'enterCalibration',
  of,
  sensorId: 'helm',
  entered: {
    values,
    halfInterval95: 0.02,
    at,
    by: 'Somebody',
    seenAgainAt: null,
    fingerprint: 'a'.repeat(64),
    inputs: {},
  },
});
const seen = (of: string) => ({ type: 'seeCalibrationAgain', of, sensorId: 'helm', at });
const restored = (...patches: object[]) => ({ type: 'restore', patches });

describe('edits of plan version 12', () => {
  const upgraded = (edit: object): unknown => upgradeEdits([edit], 12);

  it('of what a display holds are edits of its lines', () => {
    const cases: [object, object[]][] = [
      [{ waterType: 'salt' }, [found('sound', { waterType: 'salt' })]],
      [{ waterType: null, ownSoundSpeedMps: 1480 }, [found('sound', { soundSpeedMps: 1480 })]],
      [{ waterType: null }, [forgotten('sound')]],
      [{ depthUnit: 'ft', depthStep: 0.5 }, [found('depth-display', { unit: 'ft', step: 0.5 })]],
      [{ depthUnit: 'm' }, [found('depth-display', { unit: 'm', step: 0.1 })]],
      [{ north: 'true' }, [found('north', 'true')]],
      [{ north: null }, [forgotten('north')]],
      [{ antennaOffsetSet: true }, [entered('antenna-offset', null)]],
      [{ antennaOffsetSet: false }, [forgotten('antenna-offset')]],
      [{ sidesRight: 'not looked at' }, []],
      [
        { alarms: { shallowM: 1.5, lowVoltageV: null, actInS: 20 } },
        [
          entered('shallow-alarm', 1.5),
          chosen('shallow-alarm', 1.5),
          entered('low-voltage-alarm', 'off'),
          chosen('low-voltage-alarm', 'off'),
          { type: 'setTimeToAct', stationId: 'helm', actInS: 20 },
        ],
      ],
      [
        { done: { 'brightness set': true, 'blank card in': true } },
        [
          forgotten('nuisance-alarms'),
          forgotten('hiding-menus'),
          forgotten('unused-pages'),
          entered('brightness', 'set'),
          entered('blank-card', 'in'),
          forgotten('chart-card'),
        ],
      ],
    ];
    for (const [changes, edits] of cases) {
      expect(upgraded(unit(changes)))
        .withContext(JSON.stringify(changes))
        .toEqual(edits);
      for (const edit of edits)
        expect(editSchema.safeParse(edit).error).withContext(JSON.stringify(edit)).toBeUndefined();
    }
  });

  it('of a calibration enter its figure where the sensor keeps it, or note it where nothing does', () => {
    for (const [of, values, kind, value] of [
      ['speed', [1.08], 'speed', 1.08],
      ['sound speed', [1473], 'sound', { soundSpeedMps: 1473 }],
      ['antenna', [3, -0.5], 'antenna-offset', { forwardM: 3, starboardM: -0.5 }],
    ] as const) {
      const [edit] = upgraded(calibrated(of, [...values])) as { readonly asLeft: object }[];
      expect(edit).toEqual(jasmine.objectContaining({ type: 'enterSetting', ...line(kind) }));
      expect(edit?.asLeft).toEqual(
        jasmine.objectContaining({
          value,
          at,
          by: 'Somebody',
          measured: jasmine.objectContaining({ of, half95: 0.02 }),
        }),
      );
      expect(editSchema.safeParse(edit).error).toBeUndefined();
      expect(upgraded(seen(of))).toEqual([{ type: 'seeAgain', ...line(kind), at }]);
    }
    const [noted] = upgraded(calibrated('tilt', [2])) as object[];
    expect(noted).toEqual(jasmine.objectContaining({ type: 'noteCalibration', of: 'tilt' }));
    expect(editSchema.safeParse(noted).error).toBeUndefined();
    expect(upgraded(seen('tilt'))).toEqual([]);
  });

  it('have none where the plan would have to say which display was meant: the edit is put aside whole', () => {
    for (const edit of [
      unit({ sidesRight: 'right' }),
      unit({ depthStep: 0.5 }),
      calibrated('step', [0.4]),
      calibrated('sides', [1]),
      seen('sides'),
      { type: 'enterDepthOffset', transducerId: 'wide', entered: {} },
      { type: 'seeOffsetAgain', transducerId: 'wide', at },
      { type: 'describeSource', id: 'wide', changes: { selected: 'T 1' } },
      restored({ op: 'remove', path: ['units', 'helm'] }),
      restored({ op: 'add', path: ['depthOffsets', 'wide'], value: { entered: null } }),
      restored({ op: 'replace', path: ['sources', 'wide', 'selected'], value: 'T 1' }),
    ])
      expect(upgradeEdits([{ type: 'workAtDepth', depthM: 9 }, edit], 12))
        .withContext(JSON.stringify(edit))
        .toBeNull();
  });

  it('of anything else are as they were', () => {
    const patch = { op: 'replace', path: ['sources', 'wide', 'name'], value: 'Wide' };
    for (const edit of [{ type: 'workAtDepth', depthM: 9 }, restored(patch)]) expect(upgraded(edit)).toEqual([edit]);
    const named = { type: 'describeSource', id: 'wide', changes: { name: 'Wide' } };
    expect(upgraded({ ...named, changes: { name: 'Wide', selected: '' } })).toEqual([named]);
  });
});
