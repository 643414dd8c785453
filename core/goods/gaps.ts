import { t } from '../translate/translate.ts';
import type { Good } from '../model/good.ts';

/** What a good lacks that charges may need. */
export type Gap = 'weight' | 'size';

/** What is missing, as people read it. */
export const GAP_NAMES: Record<Gap, string> = { weight: t('weight'), size: t('size') };

/** What is missing of a good that travels. A weight of 0 is no weight: nothing that travels weighs nothing. */
export const gapsOf = ({ fulfilment, weight, size }: Good): Gap[] => {
  if (fulfilment === 'digital') return [];
  const isFlat = size !== undefined && size.length * size.width * size.height === 0;
  return [
    ...(weight === undefined || weight === 0 ? (['weight'] as const) : []),
    ...(size === undefined || isFlat ? (['size'] as const) : []),
  ];
};
