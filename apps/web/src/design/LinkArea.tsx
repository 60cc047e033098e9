import { Pressable, type PressableProps } from 'react-native';

type Props = Omit<PressableProps, 'onPress' | 'role'> & { readonly onPress: () => void };

/**
 * Something that leads elsewhere. It is a link by role and no native one, so Enter, which a browser
 * gives to native links alone, is heard here.
 */
export function LinkArea({ onPress, ...rest }: Props) {
  const keys = { onKeyDownCapture: ({ key }: { key: string }) => key === 'Enter' && onPress() };
  return <Pressable role="link" onPress={onPress} {...rest} {...keys} />;
}
