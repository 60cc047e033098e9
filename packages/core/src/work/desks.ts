/** Once what holds the oil is closed, and everything else done. */
export const LAST: readonly string[] = ['fill', 'afterwards'];
/** Measured over the whole, with everything between in its place. */
export const ON_THE_WHOLE: readonly string[] = ['rimPlay', 'timing'];
/** Desks whose work needs no place within reach: those, and what is tightened as it is closed. */
export const ANYWHERE: readonly string[] = [...LAST, ...ON_THE_WHOLE, 'torque'];
