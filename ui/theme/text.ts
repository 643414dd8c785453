import type { TextStyle, ViewStyle } from 'react-native';
import { SANS, SERIF, SERIF_ITALIC, SERIF_STRONG, type Inks } from './tokens.ts';

/** Figures stand in columns: tabular numerals, to the right. */
export const figure: TextStyle = {
  fontFamily: SERIF,
  fontSize: 17,
  lineHeight: 24,
  fontVariant: ['tabular-nums'],
};
/** What is typed in a field: phones zoom in on a field with smaller letters when it is entered. */
export const fieldText = { fontFamily: SANS, fontSize: 16, paddingHorizontal: 8 } as const;
export const smallFigure: TextStyle = { ...figure, fontSize: 15, lineHeight: 20 };
export const strongFigure: TextStyle = { ...figure, fontFamily: SERIF_STRONG };
export const note = (inks: Inks): TextStyle => ({ color: inks.quiet, fontSize: 13, lineHeight: 18 });
export const aside: TextStyle = { fontFamily: SERIF_ITALIC, fontSize: 15, lineHeight: 22 };

/** The corners of what can be typed in. */
export const FIELD_OUTLINE: ViewStyle = { borderRadius: 2 };

/** What is opened over the page to be decided on: raised, under a heavy rule. */
export const raisedPanel = (inks: Inks): ViewStyle => ({
  borderWidth: 1,
  borderColor: inks.hairline,
  borderTopWidth: 3,
  borderTopColor: inks.ink,
  backgroundColor: inks.raised,
});
