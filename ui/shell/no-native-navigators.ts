/**
 * Stands in the export for what the router has of native programs (see metro.config.js): its stack of screens, which it
 * makes when it is loaded and which no page of ours asks for, and the tabs among which it looks for pages.
 */
export const createNativeStackNavigator = (): { Navigator: () => null } => ({ Navigator: () => null });
export const isNativeTabTrigger = (): boolean => false;
