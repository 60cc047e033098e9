/** What went wrong, in the words that it came with. */
export const messageOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));
