import type { Path, Target } from '@grey-keel/model';

/** A place of the plan, as where a fix leads to. */
export const at = (...path: Path): Target => ({ path });

/** Something to look at or to choose, as where a fix leads to. */
export const act = (action: Extract<Target, { action: string }>['action'], ...of: string[]): Target => ({ action, of });
