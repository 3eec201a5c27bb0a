import type { EntityState } from '@ngrx/entity';

/** A list of the server's, and how far the asking for it has come. */
export interface ListState<T> extends EntityState<T> {
  readonly status: 'not asked' | 'loading' | 'ready' | 'failed';
  readonly problem: string | null;
}

export const notAsked = <T>(entities: EntityState<T>): ListState<T> => ({
  ...entities,
  status: 'not asked',
  problem: null,
});

type Asked = Pick<ListState<unknown>, 'status' | 'problem'>;

/** A list that is there stays on the screen while it is asked for again. */
export const asking = <S extends Asked>(state: S): S => ({
  ...state,
  status: state.status === 'ready' ? state.status : 'loading',
});

/** So does it where it cannot be fetched anew, beside why. */
export const notLoaded = <S extends Asked>(state: S, detail: string): S => ({
  ...state,
  status: state.status === 'ready' ? state.status : 'failed',
  problem: detail,
});
