import { useRouter } from 'expo-router';
import type { PastOrder } from '../../core/model/order.ts';
import type { Line } from '../../core/model/request.ts';
import { edit } from '../state/draft.ts';
import { slipOpened, messageShown, trialChosen } from '../state/session.ts';
import { selectGoods, selectTrials } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';

/** Keeps an order as a trial that should give the charge that was taken, and shows its slip. */
export const useKeepAsTrial = (): ((order: PastOrder) => void) => {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const goods = useAppSelector(selectGoods);
  return ({ number, request, chosen }) => {
    const asNow = (line: Line): Line =>
      goods.has(line.sku) ? { sku: line.sku, quantity: line.quantity } : line;
    const trial = {
      name: `Order ${number}`,
      request: { ...request, lines: request.lines.map(asNow) },
      expects: [{ kind: 'offered' as const, choiceId: chosen.id, charge: chosen.charge }],
    };
    dispatch((act, getState) => {
      act(edit('addTrial', { trial }, `New test order from order ${number}`));
      act(trialChosen(selectTrials(getState()).at(-1)?.id ?? null));
      act(slipOpened(true));
      act(messageShown({ text: `Order ${number} is kept as a test order.`, undo: true }));
    });
    router.navigate('/charges');
  };
};
