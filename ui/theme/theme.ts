import { configureFonts, MD3DarkTheme, MD3LightTheme, useTheme, type MD3Theme } from 'react-native-paper';
import { LAMP, PAPER, SANS, SANS_STRONG, SERIF, SERIF_STRONG, type Inks } from './tokens.ts';

/** React Native Paper's theme carries the tokens; there is no other source of them. */
export interface AppTheme extends MD3Theme {
  inks: Inks;
}

const face = (fontFamily: string, fontSize: number, lineHeight: number) => ({
  fontFamily,
  fontSize,
  lineHeight,
  letterSpacing: 0,
  fontWeight: 'normal' as const,
});

/** The scale: 13, 15, 17, 22, 30. */
const fonts = configureFonts({
  config: {
    default: face(SANS, 15, 22),
    displaySmall: face(SERIF_STRONG, 30, 36),
    titleLarge: face(SERIF_STRONG, 22, 28),
    titleMedium: face(SERIF_STRONG, 17, 24),
    titleSmall: face(SANS_STRONG, 15, 22),
    bodyLarge: face(SERIF, 17, 24),
    bodyMedium: face(SANS, 15, 22),
    bodySmall: face(SANS, 13, 18),
    labelLarge: face(SANS_STRONG, 15, 20),
    labelMedium: face(SANS_STRONG, 13, 18),
    labelSmall: face(SANS, 13, 18),
  },
});

const coloursOf = (base: MD3Theme, inks: Inks): MD3Theme['colors'] => ({
  ...base.colors,
  primary: inks.ink,
  onPrimary: inks.ground,
  primaryContainer: inks.raised,
  onPrimaryContainer: inks.ink,
  secondary: inks.quiet,
  secondaryContainer: inks.hairline,
  onSecondaryContainer: inks.ink,
  background: inks.ground,
  onBackground: inks.ink,
  surface: inks.raised,
  onSurface: inks.ink,
  surfaceVariant: inks.raised,
  onSurfaceVariant: inks.quiet,
  outline: inks.control,
  outlineVariant: inks.hairline,
  error: inks.rubric,
  onError: inks.ground,
  inverseSurface: inks.ink,
  inverseOnSurface: inks.ground,
  inversePrimary: inks.ground,
  elevation: {
    level0: 'transparent',
    level1: inks.raised,
    level2: inks.raised,
    level3: inks.raised,
    level4: inks.raised,
    level5: inks.raised,
  },
});

const made = (base: MD3Theme, inks: Inks): AppTheme => ({
  ...base,
  roundness: 0.4,
  fonts,
  inks,
  colors: coloursOf(base, inks),
});

export const paperTheme = made(MD3LightTheme, PAPER);
export const lampTheme = made(MD3DarkTheme, LAMP);

/** The inks of the theme in force. */
export const useInks = (): Inks => useTheme<AppTheme>().inks;
