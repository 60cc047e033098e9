import { register } from 'tsx/esm/api';

// A thread starts without the loader of its parent: TypeScript has to be introduced again.
register();
await import('./importOnThread.ts');
