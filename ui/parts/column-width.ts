import { createContext } from 'react';
import type { Width } from './use-width.ts';

/** The width that a column of the page has room for, where it is less than the window's; null elsewhere. */
export const ColumnWidth = createContext<Width | null>(null);
