// A thread does not take over the loader of TypeScript from the process that starts it.
import { register } from 'tsx/esm/api';

register();
await import('./import-worker.ts');
