import { useDark } from './useDark.ts';

export const LIGHT = {
  paper: '#F4F1E9',
  surface: '#FFFEFA',
  sunken: '#E8E4D8',
  line: '#C7C1B1',
  ink: '#1B1E1B',
  soft: '#4C5048',
  accent: '#165246',
  onaccent: '#FFFFFF',
  heat: '#B05400',
  danger: '#962018',
  good: '#166038',
};
export const DARK: typeof LIGHT = {
  paper: '#141715',
  surface: '#1F2320',
  sunken: '#0C0E0D',
  line: '#474E48',
  ink: '#F4F1E9',
  soft: '#BEC0B6',
  accent: '#89D4B8',
  onaccent: '#0A201A',
  heat: '#FFB25C',
  danger: '#FF9E8C',
  good: '#8CD9A5',
};

export type Colours = typeof LIGHT;

/** The colours of global.css for drawings, which take no class names. */
export const useColours = (): Colours => (useDark() ? DARK : LIGHT);
