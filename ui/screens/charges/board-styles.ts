import { Platform } from 'react-native';
import { aside, figure, note } from '../../theme/text.ts';
import { SANS_STRONG, TOUCH, type Inks } from '../../theme/tokens.ts';

export const ZONE_COLUMN = 168;
export const LEAST_CELL = 116;

const sticky =
  Platform.OS === 'web' ? ({ position: 'sticky', left: 0, zIndex: 1 } as unknown as { zIndex: number }) : {};

/** How the board is set: heavy rule at the open cell, hairlines between rows. */
export const boardStyles = (inks: Inks) => ({
  row: {
    flexDirection: 'row',
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  head: {
    flexDirection: 'row',
    borderBottomWidth: 1,
    borderBottomColor: inks.ink,
    alignItems: 'flex-end',
  } as const,
  zone: { backgroundColor: inks.ground, borderTopWidth: 3, borderTopColor: 'transparent', ...sticky },
  zoneInside: { paddingVertical: 8, paddingRight: 12, minHeight: TOUCH },
  name: { fontFamily: SANS_STRONG, fontSize: 15, lineHeight: 22 },
  cell: { borderTopWidth: 3, borderTopColor: 'transparent' },
  flexed: { flex: 1, minWidth: 0 },
  fixed: { width: LEAST_CELL },
  openCell: { borderTopColor: inks.ink, backgroundColor: inks.raised },
  cellPress: { flexGrow: 1 },
  cellInside: {
    flexDirection: 'row',
    gap: 8,
    paddingVertical: 8,
    paddingHorizontal: 10,
    minHeight: TOUCH,
  } as const,
  words: { flex: 1 },
  figure: { ...figure, lineHeight: 22 },
  note: note(inks),
  rate: { color: inks.ink },
  off: { color: inks.quiet, textDecorationLine: 'line-through' } as const,
  missing: { ...aside, fontSize: 17, color: inks.rubric },
  'left-out': { color: inks.quiet },
  headName: { fontSize: 13, lineHeight: 18, color: inks.quiet, paddingHorizontal: 10, paddingVertical: 8 },
  headOpen: { color: inks.ink, fontFamily: SANS_STRONG },
  corner: { backgroundColor: inks.ground, ...sticky },
});
