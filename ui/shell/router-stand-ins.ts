import type { ReactNode } from 'react';

/*
 * Stands in the export for parts of the router that no page of ours asks for (see metro.config.js): its stack of
 * screens of native programs, which it makes when it is loaded, the tabs among which it looks for pages, what it sets
 * for native screens, and the heads of pages, whose titles are our own.
 */
export const createNativeStackNavigator = (): { Navigator: () => null } => ({ Navigator: () => null });
export const isNativeTabTrigger = (): boolean => false;
export const initScreensFeatureFlags = (): void => undefined;
export const Head = { Provider: ({ children }: { children: ReactNode }): ReactNode => children };
