import { t } from '@patient-badger/wording/design';
import { scheme } from '../preferences/preferences.ts';
import { useMedia } from './useMedia.ts';

/** Dark where the person chose it, or the device asks for it. */
export function useDark(): boolean {
  const chosen = scheme.use();
  const device = useMedia(t.prefersColorSchemeDark);
  return chosen === 'device' ? device : chosen === 'dark';
}
