export { FAMILIES, familyIds, findFamily } from './families.ts';
export { operations } from './operations.ts';
