import { Injectable } from '@angular/core';
import * as z from 'zod';

/** What a field says that has its text back after a reload. */
const notSavedYet = 'Typed and not saved yet: Enter saves it, Escape takes it back.';

const key = 'grey-keel-typed';
const draftsSchema = z.record(z.string(), z.strictObject({ text: z.string(), on: z.string() }));
type Drafts = z.output<typeof draftsSchema>;
/** More than anybody leaves half written; the oldest goes first. */
const most = 100;

/**
 * What stands in a field of the open boat and is not saved yet, so that a reload loses none of it. It lives as long as the
 * window does. A text belongs to what it was typed over, value and unit: over anything else it would mean something else.
 */
@Injectable({ providedIn: 'root' })
export class TypedDrafts {
  /** Nothing else writes the window's own storage. */
  private drafts = read();

  note(fieldId: string, text: string, on: string): void {
    const name = this.nameOf(fieldId);
    if (name === null) return;
    const { [name]: _before, ...others } = this.drafts;
    const oldest = Object.keys(others).slice(0, Math.max(0, Object.keys(others).length + 1 - most));
    const rest = Object.fromEntries(Object.entries(others).filter(([other]) => !oldest.includes(other)));
    this.write({ ...rest, [name]: { text, on } });
  }

  forget(fieldId: string): void {
    const name = this.nameOf(fieldId);
    if (name === null || !(name in this.drafts)) return;
    const { [name]: _gone, ...others } = this.drafts;
    this.write(others);
  }

  /** Puts what was typed back into a field, with the word that it is not saved; nothing where the field has changed since. */
  restore(fieldId: string, on: string, put: (typed: string, problem: string) => void): void {
    const draft = this.drafts[this.nameOf(fieldId) ?? ''];
    if (draft?.on === on) put(draft.text, notSavedYet);
  }

  /** The boat whose page is open, by its address. */
  protected boat(): string | null {
    return /^\/boats\/([^/]+)/.exec(location.pathname)?.[1] ?? null;
  }

  private nameOf(fieldId: string): string | null {
    const boat = this.boat();
    return boat === null ? null : `${boat} ${fieldId}`;
  }

  private write(drafts: Drafts): void {
    this.drafts = drafts;
    try {
      sessionStorage.setItem(key, JSON.stringify(drafts));
    } catch {
      // The window has no room left: a reload would lose what is half written, as it always did.
      sessionStorage.removeItem(key);
    }
  }
}

const read = (): Drafts => {
  try {
    const parsed = draftsSchema.safeParse(JSON.parse(sessionStorage.getItem(key) ?? '{}'));
    return parsed.success ? parsed.data : {};
  } catch {
    return {};
  }
};
