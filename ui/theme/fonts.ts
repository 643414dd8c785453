import { useFonts } from 'expo-font';
import { SANS, SANS_STRONG, SERIF, SERIF_ITALIC, SERIF_STRONG } from './tokens.ts';

/* eslint-disable @typescript-eslint/no-require-imports -- the bundler takes files as assets by require */
const FONTS = {
  [SERIF]: require('@fontsource/source-serif-4/files/source-serif-4-latin-400-normal.woff2'),
  [SERIF_ITALIC]: require('@fontsource/source-serif-4/files/source-serif-4-latin-400-italic.woff2'),
  [SERIF_STRONG]: require('@fontsource/source-serif-4/files/source-serif-4-latin-600-normal.woff2'),
  [SANS]: require('@fontsource/public-sans/files/public-sans-latin-400-normal.woff2'),
  [SANS_STRONG]: require('@fontsource/public-sans/files/public-sans-latin-600-normal.woff2'),
};

/** Whether the shipped fonts are ready; a font that cannot be had does not hold the program up. */
export const useShippedFonts = (): boolean => {
  const [loaded, error] = useFonts(FONTS);
  return loaded || error !== null;
};
