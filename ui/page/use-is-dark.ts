import { useTheme } from 'react-native-paper';

/** Whether the lamp is on: the dark theme. */
export const useIsDark = (): boolean => useTheme().dark;
