import { t } from '../../../core/translate/translate.ts';
import type { Zone } from '../../../core/model/place.ts';
import type { Rate } from '../../../core/model/rate.ts';
import type { DisplayFormat } from '../../../core/words/figure.ts';
import { ratePhrase } from '../../../core/price/rate-phrase.ts';

/** What a cell of the board says. */
export interface CellWords {
  kind: 'rate' | 'off' | 'missing' | 'left-out';
  main: string;
  note: string;
}

const MOST_NOTES = 2;

/** A cell in a few words; a missing rate and a service that is left out on purpose read differently. */
export const cellWords = (
  zone: Zone,
  serviceId: string,
  rate: Rate | undefined,
  display: DisplayFormat,
): CellWords => {
  if (!rate) {
    return zone.without?.includes(serviceId)
      ? { kind: 'left-out', main: t('not offered'), note: '' }
      : { kind: 'missing', main: t('no rate'), note: t('cannot be chosen here') };
  }
  const { price, notes } = ratePhrase(rate, display);
  if (!rate.active) return { kind: 'off', main: price, note: t('switched off') };
  return {
    kind: 'rate',
    main: price,
    note: notes
      .filter((words) => !/^longest|working day/.test(words))
      .slice(0, MOST_NOTES)
      .join(', '),
  };
};
