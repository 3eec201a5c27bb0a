import type * as z from 'zod';

/** A way in as it is described: what it takes, what a good answer holds, and how it refuses. */
export interface Door {
  /** The route it is one case of, where that is not its own path. */
  readonly route?: string;
  readonly method: 'get' | 'put' | 'post' | 'delete';
  readonly path: string;
  readonly summary: string;
  readonly query?: z.ZodObject;
  readonly body?: z.ZodType;
  /** What a good answer holds: JSON by its schema, or a file of a media type. */
  readonly answer: z.ZodType | string | null;
  readonly refusals?: readonly number[];
}
