import { applyEdits } from '@grey-keel/core';
import type { BoatNews, SavedRevision, OpenedBoat, Plan, Revision, RevisionRequest } from '@grey-keel/model';
import { defer, type Observable } from 'rxjs';
import { RequestFailed } from '../../apps/web/src/app/api/problem.ts';
import { aPlan } from '../../apps/web/src/app/testing/plans.ts';

const at = '2026-05-01T09:00:00.000Z';

/** Fails as the server's doors do. */
const fail = (status: number, body: unknown = null): never => {
  throw new RequestFailed({ status, detail: `The server answered ${status}.`, body });
};

/** A server as the boat store is, in memory: it can be down, lose its answers and be put back to an earlier state. */
export class ModelServer {
  readonly plans: Plan[] = [aPlan()];
  readonly revisions: Revision[] = [];
  down = false;
  /** The next that is sent is kept, and its answer lost. */
  losesNext = false;
  tell: (news: BoatNews) => void = () => undefined;

  constructor(
    private readonly random: () => number,
    private readonly id: string,
  ) {}

  get plan(): Plan {
    return this.plans[this.plans.length - 1] ?? aPlan();
  }

  readonly open = (): Observable<OpenedBoat> =>
    this.answered(() => ({
      id: this.id,
      number: this.revisions.length,
      revisionId: this.revisions.at(-1)?.revisionId ?? null,
      keptAt: at,
      plan: this.plan,
    }));

  readonly revisionsSince = (_id: string, number: number): Observable<Revision[]> =>
    this.answered(() => this.revisions.slice(number));

  readonly send = (_id: string, request: RevisionRequest): Observable<SavedRevision> =>
    this.answered(() => {
      const kept = this.append(request);
      if (this.losesNext) {
        this.losesNext = false;
        return fail(0);
      }
      return kept;
    });

  append({ revisionId, base, baseId, edits }: RevisionRequest): SavedRevision {
    const number = this.revisions.length;
    const before = this.revisions.find((one) => one.revisionId === revisionId);
    if (before) return { revisionId, number: before.number, keptAt: at };
    if (base > number || (baseId ?? null) !== (this.revisions[base - 1]?.revisionId ?? null))
      fail(409, { otherHistory: true });
    if (base < number) fail(412, { detail: 'behind', missing: this.revisions.slice(base) });
    const applied = applyEdits(this.plan, edits);
    if (!applied.ok) return fail(422, { detail: applied.errors[0]?.message });
    this.plans.push(applied.plan);
    this.revisions.push({
      number: number + 1,
      revisionId,
      keptAt: at,
      edits,
      paths: applied.patches.map(({ path }) => path),
    });
    this.tell({ boatId: this.id, number: number + 1, revisionId, removed: false });
    return { revisionId, number: number + 1, keptAt: at };
  }

  /** After a few turns of the loop, so that answers overtake what is done meanwhile. */
  private answered<T>(work: () => T): Observable<T> {
    return defer(async () => {
      for (let turns = Math.floor(6 * this.random()); turns > 0; turns--)
        await new Promise((resolve) => setImmediate(resolve));
      if (this.down) fail(0);
      const answer = work();
      for (let turns = Math.floor(6 * this.random()); turns > 0; turns--)
        await new Promise((resolve) => setImmediate(resolve));
      return answer;
    });
  }
}
