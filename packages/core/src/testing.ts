export { seeded } from './quantity/seeded.ts';

/** A normal error with standard deviation 1 (Box and Muller 1958). */
export const gaussian = (random: () => number): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
