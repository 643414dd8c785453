import { StyleSheet, type TextStyle, type ViewStyle } from 'react-native';
import type { Inks } from './tokens.ts';
import { useInks } from './theme.ts';

type Sheet = Record<string, ViewStyle | TextStyle>;

/** The sheets that were made, by what makes them and for which inks: a thousand rows share one. */
const made = new WeakMap<object, WeakMap<Inks, Sheet>>();

/** Styles of one component as a function of the inks, made once for each theme. */
export const useStyles = <S extends Sheet>(make: (inks: Inks) => S): S => {
  const inks = useInks();
  const sheets = made.get(make) ?? new WeakMap<Inks, Sheet>();
  made.set(make, sheets);
  const sheet = sheets.get(inks) ?? StyleSheet.create(make(inks));
  sheets.set(inks, sheet);
  return sheet as S;
};
