/** What is done on the day of a follow-up. */
export const FOLLOW_UP_WORDS = { call: 'Call the owner', look: 'Look again' } as const;
