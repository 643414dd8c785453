import { lazy } from 'react';
import { Later } from './later.tsx';

const Marked = lazy(() => import('./marked.tsx'));

/** A text in CommonMark, set as it is meant; nothing in it is run, and pictures and raw HTML are left out. */
export const MarkedText = ({ text }: { text: string }) => (
  <Later>
    <Marked text={text} />
  </Later>
);
