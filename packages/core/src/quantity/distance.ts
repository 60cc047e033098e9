/** Kilometres to the international mile (1959). */
export const KM_PER_MILE = 1.609344;
