/**
 * How a long list draws the rows that come into sight: few at a time and often, so that no frame of a scroll waits for
 * a screenful of them on a slow phone. Props of React Native's `FlatList`.
 */
export const FEW_AT_A_TIME = {
  maxToRenderPerBatch: 6,
  updateCellsBatchingPeriod: 25,
  windowSize: 5,
} as const;
