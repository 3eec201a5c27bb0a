import { inject, Injectable, signal } from '@angular/core';
import { backTo } from '@grey-keel/core';
import type { RestorePoint } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { problemOf } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { newId, OpenPlan } from './open-plan.ts';
import { selectBoatId, selectNumber, selectPlan, selectUnsent } from './plan.selectors.ts';
import { whenSent } from './when-sent.ts';

/** States of the open boat that were given a name, and the way back to them: as one step, which can itself be undone. */
@Injectable({ providedIn: 'root' })
export class RestorePoints {
  private readonly store = inject(Store);
  private readonly api = inject(ServerApi);
  private readonly open = inject(OpenPlan);
  private readonly plan = this.store.selectSignal(selectPlan);
  private readonly boatId = this.store.selectSignal(selectBoatId);
  private readonly number = this.store.selectSignal(selectNumber);
  readonly message = signal('');

  /** Whether it was named: the server must have what is typed, since it is the server that knows the state later on. */
  async name(name: string): Promise<boolean> {
    this.message.set('');
    if (!(await whenSent(this.store.select(selectUnsent)))) {
      this.message.set(
        'The newest changes have not reached the server: name this state when they have. Nothing is lost.',
      );
      return false;
    }
    const point = { name, number: this.number(), at: new Date().toISOString() };
    this.open.edit(`name this state "${name}"`, { type: 'putRestorePoint', id: newId(), point });
    return true;
  }

  /** Whether it went back; where not, the message says why. */
  async goBack({ name, number }: RestorePoint): Promise<boolean> {
    const boatId = this.boatId();
    this.message.set('');
    if (boatId === null) return false;
    try {
      const then = await firstValueFrom(this.api.planAt(boatId, number));
      const now = this.plan();
      const edit = now && this.boatId() === boatId ? backTo(now, then) : null;
      if (edit) this.open.edit(`back to "${name}"`, edit);
      else this.message.set(`The boat is as it was at "${name}".`);
      return edit !== null;
    } catch (error) {
      this.message.set(problemOf(error).detail);
      return false;
    }
  }

  forget(id: string): void {
    this.open.edit('delete a named state', { type: 'putRestorePoint', id, point: null });
  }
}
