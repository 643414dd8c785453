import { useEffect, useState } from 'react';
import { SANS, SANS_STRONG, SERIF, SERIF_ITALIC, SERIF_STRONG } from './tokens.ts';

/* eslint-disable @typescript-eslint/no-require-imports -- the bundler takes files as assets by require */
const FONTS: Record<string, string> = {
  [SERIF]: require('@fontsource/source-serif-4/files/source-serif-4-latin-400-normal.woff2'),
  [SERIF_ITALIC]: require('@fontsource/source-serif-4/files/source-serif-4-latin-400-italic.woff2'),
  [SERIF_STRONG]: require('@fontsource/source-serif-4/files/source-serif-4-latin-600-normal.woff2'),
  [SANS]: require('@fontsource/public-sans/files/public-sans-latin-400-normal.woff2'),
  [SANS_STRONG]: require('@fontsource/public-sans/files/public-sans-latin-600-normal.woff2'),
};

/** A font that has not come by then does not hold the program up: it is drawn with it as soon as it comes. */
const LONGEST_WAIT_MS = 3_000;

/** Hands the shipped fonts to the browser; settled when each has come or cannot be had, or has been waited for. */
const fetchFonts = async (): Promise<void> => {
  const faces = Object.entries(FONTS).map(([family, file]) => new FontFace(family, `url("${file}")`));
  for (const face of faces) document.fonts.add(face);
  const waited = new Promise((resolve) => setTimeout(resolve, LONGEST_WAIT_MS));
  await Promise.race([Promise.allSettled(faces.map((face) => face.load())), waited]);
};

/** Fetched while the rest of the program is still read. */
const fetched = typeof FontFace === 'undefined' ? Promise.resolve() : fetchFonts();

/** Whether the shipped fonts are ready; a font that cannot be had does not hold the program up. */
export const useShippedFonts = (): boolean => {
  const [areReady, setReady] = useState(false);
  useEffect(() => void fetched.then(() => setReady(true)), []);
  return areReady;
};
