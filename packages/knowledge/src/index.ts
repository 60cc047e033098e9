export { FAMILIES, familyIds, findFamily } from './families.ts';
export { operations } from './operations.ts';
export { SCENARIO, scenarioEntryPayload, type Scenario } from './scenario.ts';
