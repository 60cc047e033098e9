/** Asked for the first time, and not yet in vain: what would be shown without it may be another in a moment. */
export const isComing = ({ isLoading, failureCount }: { readonly isLoading: boolean; readonly failureCount: number }) =>
  isLoading && failureCount === 0;
