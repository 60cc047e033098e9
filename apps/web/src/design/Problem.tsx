import { Text } from './Text.tsx';

/** What went wrong, announced to who cannot see it; nothing where nothing did. */
export const Problem = ({ text, id }: { readonly text: string | null | undefined; readonly id?: string }) =>
  text ? (
    <Text variant="danger" role="alert" nativeID={id}>
      {text}
    </Text>
  ) : null;
