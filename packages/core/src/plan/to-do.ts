import type { Stage, Target } from '@grey-keel/model';

/** Something a stage still waits for, and where it is done. */
export interface ToDo {
  readonly what: string;
  readonly target: Target;
  /** Where it is done on another stage than the one that waits for it. */
  readonly stage?: Stage;
}
