import { SANS, SANS_STRONG, type Inks } from '../../theme/tokens.ts';

/** The shopfront's own plain look: sans throughout, no heavy rules, on the lighter ground. */
export const shopStyles = (inks: Inks) => ({
  page: { backgroundColor: inks.raised, flexGrow: 1 } as const,
  column: {
    width: '100%',
    maxWidth: 960,
    alignSelf: 'center',
    paddingHorizontal: 20,
    paddingBottom: 64,
  } as const,
  title: { fontFamily: SANS_STRONG, fontSize: 22, lineHeight: 28, marginTop: 24, marginBottom: 12 },
  heading: { fontFamily: SANS_STRONG, fontSize: 17, lineHeight: 24, marginTop: 20, marginBottom: 8 },
  name: { fontFamily: SANS, fontSize: 17, lineHeight: 24 },
  strong: { fontFamily: SANS_STRONG, fontSize: 17, lineHeight: 24 },
  figure: { fontFamily: SANS, fontSize: 17, lineHeight: 24 },
  quiet: { fontFamily: SANS, fontSize: 15, lineHeight: 22, color: inks.quiet },
  row: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: 12 } as const,
  line: { borderBottomWidth: 1, borderBottomColor: inks.hairline, paddingVertical: 12 },
  fault: { fontFamily: SANS, fontSize: 15, lineHeight: 22, color: inks.rubric },
});
