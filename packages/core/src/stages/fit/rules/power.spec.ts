import type { Battery, Circuit, Edit } from '@grey-keel/model';
import { findingsOf } from '../../../findings/rule.ts';
import { helm, house } from '../../../testing/fault-edits.ts';
import { edited, seeded } from '../../../testing/sample-plan.ts';
import { soundBoat } from '../../../testing/sound-boat.ts';
import { backboneVolts } from './backbone.ts';
import { packChargedOver } from './batteries.ts';
import { fuseOverWire } from './circuits.ts';

describe('a fuse that its wire does not bear with every insulation', () => {
  // ISO 10133: 8.4 mm2 counts as 6 mm2, 60 A with insulation for 105 degrees and 40 A for 60.
  const severity = (insulationC: Circuit['insulationC']): string | undefined => {
    const plan = edited(
      soundBoat(seeded(3)),
      helm({ gauge: 'AWG 8', temperatureC: 20, fuseA: 50, ...(insulationC === undefined ? {} : { insulationC }) }),
    );
    return findingsOf(fuseOverWire, plan)[0]?.severity;
  };

  it('is a question while nobody said which it is, and a stop once it is said to be too weak', () => {
    expect(severity(undefined)).toBe('check');
    expect(severity(60)).toBe('stop');
    expect(severity(105)).toBeUndefined();
  });
});

describe('what is known of a pack and of a backbone', () => {
  const boat = soundBoat(seeded(3));

  it('makes a stop of charging over what sheet or cell count allow, and a question of what is guessed', () => {
    const severity = (changes: Partial<Battery>): string | undefined =>
      findingsOf(packChargedOver, edited(boat, house({ chemistry: 'lithium', curve: 'sloping', ...changes })))[0]
        ?.severity;
    expect(severity({ chargingV: 14.4 })).toBe('check');
    expect(severity({ chargingV: 14.4, cells: 3 })).toBe('stop');
    expect(severity({ chargingV: 14.4, highestChargingV: 14.2 })).toBe('stop');
    expect(severity({ chargingV: 14.4, cells: 4 })).toBeUndefined();
    // Lead-acid gases from 2.5 V a cell on, and is over what it bears at 2.67.
    const lead = { chemistry: 'lead-acid' as const, cells: 6 };
    expect([severity({ ...lead, chargingV: 15.5 }), severity({ ...lead, chargingV: 16.1 })]).toEqual(['check', 'stop']);
  });

  it('makes a stop of too little voltage where supply and tees have their places, and a question where they have not', () => {
    // 2 A at the end of 30 m of light cable, there and back 0.057 ohm a metre: 6.8 V are lost of 12.
    const at = (teeAtM: number | null): Edit[] => [
      { type: 'describeDevice', id: 'bow', changes: { onBackbone: false } },
      { type: 'describeDevice', id: 'helm', changes: { onBackbone: true, loads: 40, teeAtM } },
      { type: 'describeBackbone', changes: { lengthM: 30, supplyAtM: teeAtM === null ? null : 0 } },
    ];
    const found = (teeAtM: number | null) => findingsOf(backboneVolts, edited(boat, ...at(teeAtM)))[0];
    expect([found(30)?.severity, found(null)?.severity]).toEqual(['stop', 'check']);
    expect(found(1)).toBeUndefined();
    expect(found(null)?.fix.label).toContain('where the supply stands');
  });
});
