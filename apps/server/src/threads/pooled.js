import { workerData } from 'piscina';
import { register } from 'tsx/esm/api';

// A thread starts without the loader of its parent: TypeScript has to be introduced again.
register();
const { work } = await import(workerData.module);
export default work;
