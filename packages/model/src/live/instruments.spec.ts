import { connectionSchema, privateAddressSchema } from './instruments.ts';
import { emptyPlan, planSchema } from '../plan/plan.ts';

describe('addresses that are called', () => {
  it('are of this machine or of a private network (RFC 1918, RFC 3927), never a name or a public one', () => {
    const taken = (address: string): boolean => privateAddressSchema.safeParse(address).success;
    for (const address of ['127.0.0.1', '10.0.0.9', '192.168.255.254', '172.16.0.1', '172.31.9.9', '169.254.1.1'])
      expect(taken(address)).withContext(address).toBeTrue();
    for (const address of [
      '172.15.0.1',
      '172.32.0.1',
      '172.40.0.1',
      '11.0.0.1',
      '192.169.0.1',
      '1.1.1.1',
      '10.0.0.256',
    ])
      expect(taken(address)).withContext(address).toBeFalse();
    for (const address of ['localhost', '10.0.0', '10.0.0.1:80', ' 10.0.0.1', '::1', '0x7f.0.0.1'])
      expect(taken(address)).withContext(address).toBeFalse();
  });

  it('have a port that needs no rights, said in words', () => {
    const said = connectionSchema.safeParse({ by: 'udp', port: 80 });
    expect(said.error?.issues[0]?.message).toBe('A port is a whole number from 1024 to 65535.');
    expect(connectionSchema.safeParse({ by: 'udp', port: 2000 }).success).toBeTrue();
  });
});

describe('a reading of the simulated boat', () => {
  const empty = emptyPlan('Hull');
  const from = (simulated: boolean) => ({
    source: 's',
    simulated,
    at: '2026-05-01T09:30:00Z',
    lastedS: 9,
    samples: 9,
  });
  const ofTemperature = (simulated: boolean): object => ({
    calibrations: {
      ...empty.calibrations,
      temperature: {
        log: {
          setByC: 0,
          toleranceByC: 0.3,
          lagS: 60,
          readings: { r: { referenceC: 9, displayedC: 9, leftOut: false, from: from(simulated) } },
        },
      },
    },
  });
  const ofDepth = (simulated: boolean): object => ({
    depthOffsets: {
      hull: {
        reference: 'waterline',
        offsetSetM: 0,
        soundSpeedAssumedMps: null,
        toleranceM: 0.1,
        displayResolutionM: 0.1,
        readings: { r: { leadLineM: 9, displayedM: 8.6, leftOut: false, from: from(simulated) } },
      },
    },
  });

  for (const [name, withReading] of Object.entries({ temperature: ofTemperature, depth: ofDepth }))
    it(`of the ${name} is of no plan but a practice copy`, () => {
      const holds = (simulated: boolean, practice: object): boolean =>
        planSchema.safeParse({ ...empty, ...practice, ...withReading(simulated) }).success;
      expect([holds(true, { practice: true }), holds(false, {}), holds(true, {})]).toEqual([true, true, false]);
    });
});
