import type { DemoBoat } from './demo-boat.ts';
import { oldMarl } from './old-marl.ts';
import { pewterSkua } from './pewter-skua.ts';
import { sableWren } from './sable-wren.ts';

/** The revision at which Old Marl was commissioned, before its transducer was replaced. */
export const oldMarlCommissionedAt = 3;

export const demoFleet = (now: Date): readonly DemoBoat[] => [sableWren(now), pewterSkua(now), oldMarl(now)];
