import { Injectable } from '@angular/core';
import { patchSchema, planVersion } from '@grey-keel/model';
import * as z from 'zod';
import type { PlanState } from './plan.state.ts';

const stepSchema = z.strictObject({ label: z.string(), patches: z.array(patchSchema) });
const rememberedSchema = z.strictObject({
  /** Steps lead to places of the plan: of an older shape they are let go. */
  planVersion: z.literal(planVersion),
  boatId: z.string(),
  /** The last change they stand on: on anything else they could take back what another made. */
  tip: z.string().nullable(),
  undo: z.array(stepSchema),
  redo: z.array(stepSchema),
});
export type RememberedSteps = Pick<z.output<typeof rememberedSchema>, 'undo' | 'redo'>;

const key = 'grey-keel-undo';

/** The last change a plan shows: the last that waits here, else the last that is saved. */
const tipOf = ({ unsent, revisionId }: PlanState): string | null => unsent.at(-1)?.revisionId ?? revisionId;

/** What can be undone in this window, so that a reload takes none of it. It lives as long as the window does. */
@Injectable({ providedIn: 'root' })
export class UndoMemory {
  write(state: PlanState): void {
    const { boatId, undo, redo } = state;
    if (boatId === null || undo.length + redo.length === 0) return;
    try {
      sessionStorage.setItem(key, JSON.stringify({ planVersion, boatId, tip: tipOf(state), undo, redo }));
    } catch {
      // No room for so many steps: what is forgotten is undo alone, and nothing of the boat.
      sessionStorage.removeItem(key);
    }
  }

  /** The steps that stand on just what this boat shows now; null where there are none. */
  read(state: PlanState): RememberedSteps | null {
    try {
      const parsed = rememberedSchema.safeParse(JSON.parse(sessionStorage.getItem(key) ?? 'null'));
      if (!parsed.success) return null;
      const { boatId, tip, undo, redo } = parsed.data;
      return boatId === state.boatId && tip === tipOf(state) ? { undo, redo } : null;
    } catch {
      return null;
    }
  }
}
