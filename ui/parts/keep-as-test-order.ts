import { useRouter } from 'expo-router';
import { t } from '../../core/translate/translate.ts';
import type { PastOrder } from '../../core/model/order.ts';
import type { Line } from '../../core/model/request.ts';
import { edit } from '../state/draft.ts';
import { previewOpened, undoMessage, testOrderChosen } from '../state/session.ts';
import { selectGoods, selectTestOrders } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';

/** Keeps an order as a test order that should give the charge that was taken, and shows its preview. */
export const useKeepAsTestOrder = (): ((order: PastOrder) => void) => {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const goods = useAppSelector(selectGoods);
  return ({ number, request, chosen }) => {
    const asNow = (line: Line): Line =>
      goods.has(line.sku) ? { sku: line.sku, quantity: line.quantity } : line;
    const testOrder = {
      name: t('Order {number}', { number }),
      request: { ...request, lines: request.lines.map(asNow) },
      expects: [{ kind: 'offered' as const, choiceId: chosen.id, charge: chosen.charge }],
    };
    dispatch((act, getState) => {
      act(edit('addTestOrder', { testOrder }, t('New test order from order {number}', { number })));
      act(testOrderChosen(selectTestOrders(getState()).at(-1)?.id ?? null));
      act(previewOpened(true));
      act(undoMessage(t('Order {number} is kept as a test order.', { number })));
    });
    router.navigate('/charges');
  };
};
