import type { WorkingStep } from '@grey-keel/model';
import { evaluate } from 'mathjs';

/** A step's expression evaluated again from the inputs beside it. */
export const evaluated = (step: WorkingStep): number =>
  Number(evaluate(step.expression ?? '', Object.fromEntries(step.inputs.map(({ symbol, value }) => [symbol, value]))));

/** Expects each step with an expression to evaluate to its own value, and each to name its source. */
export const expectWorkingHolds = (working: readonly WorkingStep[], context: string): void => {
  expect(working.length).withContext(context).toBeGreaterThan(0);
  for (const step of working) {
    expect(step.source).withContext(step.says).not.toBe('');
    expect((step.expression === null) === (step.method !== null))
      .withContext(step.says)
      .toBeTrue();
    if (step.expression !== null) expect(evaluated(step)).withContext(step.says).toBeCloseTo(step.value, 9);
  }
};
