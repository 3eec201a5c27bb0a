/**
 * Plan version 12 to 13: what is in each device stood in seven places, here it is brought into one. Plain JSON in and out:
 * the schemas of then are gone, and none of this may be changed afterwards.
 */
type Raw = Readonly<Record<string, unknown>>;

const isObject = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);
const part = (of: unknown, key: string): Raw => {
  const found = isObject(of) ? of[key] : undefined;
  return isObject(found) ? found : {};
};
const figure = (of: unknown, key: string): number | null => {
  const found = isObject(of) ? of[key] : undefined;
  return typeof found === 'number' ? found : null;
};
const text = (of: unknown, key: string): string | null => {
  const found = isObject(of) ? of[key] : undefined;
  return typeof found === 'string' && found !== '' ? found : null;
};
const inOrder = (record: Raw): [string, Raw][] =>
  Object.entries(record)
    .filter((entry): entry is [string, Raw] => isObject(entry[1]))
    .sort(([a], [b]) => (a < b ? -1 : 1));

interface Line {
  asFound: Raw | null;
  asLeft: Raw | null;
}

const looksAside = ['side-scan', 'forward-facing', 'sector'];
export const ticks: Readonly<Record<string, readonly [kind: string, value: string]>> = {
  'nuisance alarms off': ['nuisance-alarms', 'off'],
  'menus that hide off': ['hiding-menus', 'off'],
  'unused pages hidden': ['unused-pages', 'hidden'],
  'brightness set': ['brightness', 'set'],
  'blank card in': ['blank-card', 'in'],
  'chart card in': ['chart-card', 'in'],
};
export const alarmKinds: Readonly<Record<string, string>> = {
  shallowM: 'shallow-alarm',
  lowVoltageV: 'low-voltage-alarm',
  engineTemperatureC: 'engine-alarm',
};
/** What was set while readings were taken, by kind; what is kept in the sensor itself. */
const inSensor = { speed: 'setFactor', temperature: 'setByC', heading: 'setDeg', pointing: 'setDeg' };

/** The display a transducer's depth is read on: the first it feeds, else its cable's end, else the only one, else itself. */
const readOn = (plan: Raw, transducerId: string): string => {
  const displays = part(plan, 'displays');
  const fed = inOrder(part(plan, 'feeds')).find(([id, { depth }]) => {
    const of = isObject(depth) ? [depth['sourceId'], depth['fallbackId']] : [];
    return id in displays && of.includes(transducerId);
  });
  if (fed) return fed[0];
  const linked = text(part(part(plan, 'network'), 'links')[transducerId], 'to');
  if (linked !== null && linked in displays) return linked;
  const [only, another] = Object.keys(displays);
  return another === undefined ? (only ?? transducerId) : transducerId;
};

export const untimed = (value: unknown, at: unknown = null): Raw => ({ value, at, by: null });
export const leftUntimed = (value: unknown): Raw => ({ ...untimed(value), seenAgainAt: null });

/** An entry of then, as it was left. */
export const leftAs = (value: unknown, of: string, entered: Raw, half95: unknown): Raw => ({
  value,
  at: entered['at'] ?? null,
  by: text(entered, 'by'),
  seenAgainAt: entered['seenAgainAt'] ?? null,
  ...(entered['reason'] === undefined ? {} : { reason: entered['reason'] }),
  measured: {
    of,
    fingerprint: entered['fingerprint'],
    parts: {},
    half95,
    standardError: figure(entered, 'standardErrorM'),
    inputs: entered['inputs'] ?? null,
  },
});

const setApart = (setNow: number | null, entered: Raw, name: string): boolean => {
  const then = figure(entered['inputs'], name);
  return setNow !== null && then !== null && Math.abs(then - setNow) > 1e-6;
};

export const toHeld = (plan: Record<string, unknown>): Record<string, unknown> => {
  const held: Record<string, Record<string, Record<string, Line>>> = {};
  const lineAt = (deviceId: string, kind: string, ofId: string): Line =>
    (((held[deviceId] ??= {})[kind] ??= {})[ofId] ??= { asFound: null, asLeft: null });
  const found = (deviceId: string, kind: string, ofId: string, value: unknown, at: unknown = null): void => {
    lineAt(deviceId, kind, ofId).asFound = untimed(value, at);
  };
  /** The later of two entries is as left, the other as found. */
  const left = (deviceId: string, kind: string, ofId: string, asLeft: Raw): void => {
    const line = lineAt(deviceId, kind, ofId);
    const [before, at] = [line.asLeft, text(asLeft, 'at') ?? ''];
    const older = before && (text(before, 'at') ?? '') > at ? asLeft : before;
    if (older) line.asFound = { value: older['value'], at: older['at'], by: older['by'] };
    if (older !== asLeft) line.asLeft = asLeft;
  };

  const transducers = inOrder(part(plan, 'transducers'));
  const calibrations = part(plan, 'calibrations');
  const units = inOrder(part(plan, 'units'));

  for (const [id, unit] of units) {
    const ownMps = figure(unit, 'ownSoundSpeedMps');
    const waterType = text(unit, 'waterType');
    if (ownMps !== null) found(id, 'sound', id, { soundSpeedMps: ownMps });
    else if (waterType !== null) found(id, 'sound', id, { waterType });
    const depthUnit = text(unit, 'depthUnit');
    if (depthUnit !== null) found(id, 'depth-display', id, { unit: depthUnit, step: figure(unit, 'depthStep') ?? 0.1 });
    const north = text(unit, 'north');
    if (north !== null) found(id, 'north', id, north);
    const sides = text(unit, 'sidesRight');
    if (sides === 'right' || sides === 'swapped')
      for (const [transducerId, { kind }] of transducers)
        if (looksAside.includes(String(kind))) found(id, 'sides', transducerId, sides);
    if (unit['antennaOffsetSet'] === true) left(id, 'antenna-offset', id, leftUntimed(null));
    for (const [key, kind] of Object.entries(alarmKinds)) {
      const set = isObject(unit['alarms']) ? unit['alarms'][key] : undefined;
      if (set !== undefined) left(id, kind, id, leftUntimed(set ?? 'off'));
    }
    for (const item of Object.keys(part(unit, 'done'))) {
      const tick = ticks[item];
      if (tick) left(id, tick[0], id, leftUntimed(tick[1]));
    }
  }

  for (const [id, offset] of inOrder(part(plan, 'depthOffsets'))) {
    const [displayId, reference, setM] = [readOn(plan, id), offset['reference'], figure(offset, 'offsetSetM')];
    const entered = offset['entered'];
    if (!isObject(entered)) {
      found(displayId, 'depth-offset', id, { offsetM: setM, reference });
      continue;
    }
    const then = text(entered['inputs'], 'reference') ?? reference;
    left(
      displayId,
      'depth-offset',
      id,
      leftAs({ offsetM: entered['offsetM'], reference: then }, 'depth', entered, null),
    );
    // Something else was set while new readings were taken: that is what it held last.
    if (setApart(setM, entered, 'offsetSetM'))
      found(displayId, 'depth-offset', id, { offsetM: setM, reference }, entered['at']);
  }

  const enteredOf = (kind: string): [string, Raw, Raw | null, number[]][] =>
    inOrder(part(calibrations, kind)).map(([id, one]) => {
      const entered = isObject(one['entered']) ? one['entered'] : null;
      return [id, one, entered, (entered?.['values'] ?? []) as number[]];
    });
  const half = (entered: Raw): number | null => figure(entered, 'halfInterval95');

  for (const [id, , entered, [offsetM]] of enteredOf('step'))
    if (entered && offsetM !== undefined) {
      const reference = part(part(plan, 'depthOffsets'), id)['reference'] ?? 'waterline';
      left(readOn(plan, id), 'depth-offset', id, leftAs({ offsetM, reference }, 'step', entered, half(entered)));
    }
  for (const [id, , entered, [soundSpeedMps]] of enteredOf('sound speed'))
    if (entered && soundSpeedMps !== undefined)
      left(id, 'sound', id, leftAs({ soundSpeedMps }, 'sound speed', entered, half(entered)));
  for (const [kind, name] of Object.entries(inSensor))
    for (const [id, one, entered, [value]] of enteredOf(kind)) {
      const setNow = figure(one, name);
      if (entered && value !== undefined) left(id, kind, id, leftAs(value, kind, entered, half(entered)));
      if (!entered || setApart(setNow, entered, name)) found(id, kind, id, setNow, entered?.['at'] ?? null);
    }
  for (const [id, one, entered, [forwardM, starboardM]] of enteredOf('antenna')) {
    const set = { forwardM: figure(one, 'setForwardM') ?? 0, starboardM: figure(one, 'setStarboardM') ?? 0 };
    if (entered && forwardM !== undefined)
      left(
        id,
        'antenna-offset',
        id,
        leftAs({ forwardM, starboardM: starboardM ?? 0 }, 'antenna', entered, half(entered)),
      );
    else if (set.forwardM !== 0 || set.starboardM !== 0) found(id, 'antenna-offset', id, set);
  }
  for (const [id, , entered, [value]] of enteredOf('sides'))
    if (entered && value !== undefined && value !== 0)
      left(readOn(plan, id), 'sides', id, leftAs(value > 0 ? 'right' : 'swapped', 'sides', entered, null));

  const ofTransducer = new Set(transducers.map(([id]) => id));
  for (const [id, source] of inOrder(part(plan, 'sources'))) {
    const deviceId = ofTransducer.has(id) ? readOn(plan, id) : id;
    const [selected, name] = [text(source, 'selected'), text(source, 'name')];
    if (selected !== null) left(deviceId, 'type', id, leftUntimed(selected));
    if (name !== null) left(deviceId, 'name', id, leftUntimed(name));
  }

  const norths = units.flatMap(([, unit]) => text(unit, 'north') ?? []);
  const trues = norths.filter((north) => north === 'true').length;
  const boat =
    trues * 2 === norths.length ? {} : { north: trues * 2 > norths.length ? ('true' as const) : ('magnetic' as const) };
  const devices = Object.fromEntries(
    units.flatMap(([id]) => {
      const of = held[id] ?? {};
      const wanted = ['depth-display', 'shallow-alarm', 'low-voltage-alarm', 'engine-alarm'].flatMap((kind) => {
        const line = of[kind]?.[id];
        const value = line?.asLeft?.['value'] ?? line?.asFound?.['value'];
        return value == null ? [] : [[kind, { [id]: value }] as const];
      });
      return wanted.length ? [[id, Object.fromEntries(wanted)] as const] : [];
    }),
  );

  const without = (record: unknown, ...keys: string[]): unknown =>
    isObject(record) ? Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key))) : record;
  const each = (record: Raw, ...keys: string[]): Raw =>
    Object.fromEntries(Object.entries(record).map(([id, one]) => [id, without(one, ...keys)]));
  const noted = ['deviation', 'range', 'tilt', 'battery', 'noise'];
  const notedWithout = (record: Raw): Raw =>
    Object.fromEntries(
      Object.entries(record).map(([id, one]) => [
        id,
        isObject(one) ? { ...one, entered: without(one['entered'], 'seenAgainAt') } : one,
      ]),
    );
  const { units: _units, ...rest } = plan;
  return {
    ...rest,
    depthOffsets: each(part(plan, 'depthOffsets'), 'entered'),
    calibrations: Object.fromEntries(
      Object.entries(calibrations).map(([kind, ofKind]) => [
        kind,
        noted.includes(kind) ? notedWithout(ofKind as Raw) : each(ofKind as Raw, 'entered'),
      ]),
    ),
    sources: each(part(plan, 'sources'), 'selected'),
    timeToActS: Object.fromEntries(
      units.flatMap(([id, unit]) => {
        const actInS = figure(unit['alarms'], 'actInS');
        return actInS === null ? [] : [[id, actInS]];
      }),
    ),
    held,
    resets: {},
    chosen: { boat, devices },
  };
};
