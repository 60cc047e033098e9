/** What a gear is counted at in practice, in hundredths of the shop's money: a guide, for nothing is bought. */
export const PART_MINOR = 3000;
