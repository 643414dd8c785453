import { createSelector } from '@reduxjs/toolkit';
import { t } from '../../../core/translate/translate.ts';
import type { Measure } from '../../../core/model/price.ts';
import { measureBasket } from '../../../core/basket/basket.ts';
import { measureFigure } from '../../../core/words/figure.ts';
import { selectBook, selectGoods, selectDisplayFormat, selectTestOrder } from '../../state/selectors.ts';
import type { RootState } from '../../state/store.ts';

const selectBasket = createSelector(
  [selectTestOrder, selectGoods, (state: RootState) => selectBook(state).store.defaultWeight],
  ({ testOrder }, goods, defaultWeight) =>
    testOrder ? measureBasket(goods, defaultWeight, testOrder.request).basket : null,
);

/** Where the test order's basket stands on a measure of prices, with the words for it; null where it is not known. */
export const selectTestOrderMark = createSelector(
  [selectBasket, selectDisplayFormat, (_: RootState, basis: Measure) => basis],
  (basket, display, basis): { at: number; text: string } | null => {
    if (!basket || basis === 'distance' || basket.chargeable.length === 0) return null;
    const { charged, subtotal } = basket;
    if ((basis === 'weight' || basis === 'volume') && charged[basis].unknown.length > 0) return null;
    const at = basis === 'subtotal' ? subtotal : basis === 'units' ? charged.units : charged[basis].value;
    return { at, text: t('this test order, {figure}', { figure: measureFigure(basis, at, display) }) };
  },
);
