import type { Type } from '@angular/core';
import type { Plan, Stage, Target } from '@grey-keel/model';

/** Something of a stage that can be found by its name. */
export interface Found {
  readonly kind:
    'transducer' | 'station' | 'water' | 'page' | 'sought' | 'setting' | 'field' | 'number' | 'equipment' | 'key';
  readonly name: string;
  readonly target: Target;
}

/** One stage as the interface has it. */
export interface WebStage {
  readonly stage: Stage;
  readonly title: string;
  /** What is decided here, in one sentence. */
  readonly decides: string;
  /** In six lines, with the schools where practitioners disagree. */
  readonly help: readonly string[];
  /** Its page, which is loaded when it is first opened. */
  readonly page: () => Promise<Type<unknown>>;
  /** What of a boat can be found here by its name, in the order it is offered. */
  readonly found: (plan: Plan) => readonly Found[];
}
