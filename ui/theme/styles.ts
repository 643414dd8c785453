import { useMemo } from 'react';
import { StyleSheet, type TextStyle, type ViewStyle } from 'react-native';
import type { Inks } from './tokens.ts';
import { useInks } from './theme.ts';

/** Styles of one component as a function of the inks, made once for each theme. */
export const useStyles = <S extends Record<string, ViewStyle | TextStyle>>(make: (inks: Inks) => S): S => {
  const inks = useInks();
  return useMemo(() => StyleSheet.create(make(inks)) as S, [inks, make]);
};
