export { FAMILIES, familyIds, findFamily } from './families.ts';
export { SNAGS, snagsFor } from './snags.ts';
