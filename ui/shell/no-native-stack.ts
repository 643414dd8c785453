/**
 * Stands in the export for the router's stack of native screens (see metro.config.js), which it makes when it is loaded
 * and which no page of ours asks for.
 */
export const createNativeStackNavigator = (): { Navigator: () => null } => ({ Navigator: () => null });
