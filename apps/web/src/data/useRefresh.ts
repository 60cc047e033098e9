import { useQueryClient } from '@tanstack/react-query';

/** Reads these anew, as something that they show was just changed. */
export function useRefresh() {
  const client = useQueryClient();
  return async (...names: readonly string[]): Promise<void> => {
    await Promise.all(names.map((name) => client.invalidateQueries({ queryKey: [name] })));
  };
}
