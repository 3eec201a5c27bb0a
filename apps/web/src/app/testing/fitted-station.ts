import { aPage } from '@grey-keel/core/testing';
import type { Plan } from '@grey-keel/model';
import { withHelm } from './plans.ts';

export const fitted = (): Plan => ({ ...withHelm(), pages: { troll: aPage() } });
