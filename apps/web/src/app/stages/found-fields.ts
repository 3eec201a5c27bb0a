import { wordsOf, type Path } from '@grey-keel/model';
import type * as z from 'zod';
import type { Found } from './web-stage.ts';

/** Fields of one thing of the plan, each to be found by the name its schema gives it and by whose it is. */
export const foundFields = (
  shape: Readonly<Record<string, z.ZodType>>,
  names: readonly string[],
  at: Path,
  of: string,
): Found[] =>
  names.flatMap((name) => {
    const label = shape[name] && wordsOf(shape[name])?.label;
    return label ? [{ kind: 'field' as const, name: `${label}, ${of}`, target: { path: [...at, name] } }] : [];
  });
