import type { Backups } from './database/backups.ts';
import type { Gate } from './database/gate.ts';
import type { RestoreBackup } from './http/backup.ts';
import { patienceMs, type WaitsForExchange } from './http/waits-for-exchange.ts';
import type { Recordings } from './recordings/recordings.ts';

/**
 * Goes back to a backup while the program is used: what is recorded or taken in is ended and told, what is being read is
 * waited for, and what comes meanwhile waits. `restored` is done before anybody reads again.
 */
export const restoreBackup =
  ({
    gate,
    backups,
    recordings,
    waiting,
    restored,
  }: {
    readonly gate: Gate;
    readonly backups: Backups;
    readonly recordings: Recordings;
    readonly waiting: WaitsForExchange;
    readonly restored: () => Promise<void>;
  }): RestoreBackup =>
  async (name) => {
    if (!backups.list().some((one) => one.name === name)) return null;
    const breakOff = setTimeout(waiting.breakOff, patienceMs);
    const first = recordings.close();
    try {
      return await gate.alone(async () => {
        const before = await first;
        // Whatever was begun by a request that was in already.
        const after = await recordings.close();
        const answer = await backups.restore(name);
        if (answer?.ok !== true) return answer;
        await restored();
        const ended = {
          recordings: [...before.recordings, ...after.recordings],
          imports: [...before.imports, ...after.imports],
        };
        return { ok: true as const, ended };
      });
    } finally {
      clearTimeout(breakOff);
    }
  };
