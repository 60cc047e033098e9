export * from './families.ts';
export * from './instruments.ts';
export * from './jobs.ts';
export * from './machines.ts';
export * from './parts.ts';
export * from './people.ts';
export * from './photos.ts';
export * from './problem.ts';
