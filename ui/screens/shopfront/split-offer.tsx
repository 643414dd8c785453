import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { PastOrder } from '../../../core/model/order.ts';
import { nextNumber, placeOrder } from '../../../core/order/place-order.ts';
import type { Split, SplitPart } from '../../../core/quote/split.ts';
import { slotDays } from '../../../core/time/slot-days.ts';
import type { TimeSlot } from '../../../core/time/times.ts';
import { faultSentence } from '../../../core/words/fault-sentence.ts';
import { moneyFigure } from '../../../core/words/figure.ts';
import { emptied } from '../../state/basket.ts';
import { orderPlaced } from '../../state/orders.ts';
import { selectPastOrders } from '../../state/selectors.ts';
import {
  selectServedBook,
  selectServedCompiled,
  selectServedGoods,
  selectServedSpeech,
} from '../../state/served.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import type { CheckoutValues } from './address-form.ts';
import { shopStyles } from './shop-styles.ts';
import { SlotPicker } from './slot-picker.tsx';

const styles = (inks: Inks) => ({
  ...shopStyles(inks),
  part: { borderWidth: 1, borderColor: inks.hairline, padding: 12, marginBottom: 8, gap: 6 },
  whole: { ...shopStyles(inks).row, paddingVertical: 8 },
});

/** How a kind of choice reaches the customer, after the goods. */
const GOES = { shipping: 'sent by', delivery: 'brought by', pickup: '', 'nothing-to-ship': '' } as const;

interface PartProps {
  part: SplitPart;
  slot: TimeSlot | null;
  onPick: (slot: TimeSlot) => void;
}

const Part = ({ part: { request, choice }, slot, onPick }: PartProps) => {
  const style = useStyles(styles);
  const compiled = useAppSelector(selectServedCompiled);
  const goods = useAppSelector(selectServedGoods);
  const { decimals } = useAppSelector(selectServedSpeech);
  const days = useMemo(
    () => (choice.slots ? slotDays(compiled, choice.id, request) : []),
    [compiled, choice, request],
  );
  const names = request.lines
    .map(({ sku, quantity }) => `${quantity} × ${goods.get(sku)?.name ?? sku}`)
    .join(', ');
  return (
    <View style={style.part} role="listitem">
      <Text style={style.name}>{names}</Text>
      <View style={style.row}>
        <Text style={style.quiet}>{[GOES[choice.kind], choice.name].filter(Boolean).join(' ')}</Text>
        <Text style={style.figure}>
          {choice.charge === 0 ? 'free' : moneyFigure(choice.charge, decimals)}
        </Text>
      </View>
      {days.length > 0 ? <SlotPicker days={days} slot={slot} released={null} onPick={onPick} /> : null}
    </View>
  );
};

/** Each part as an order of its own, one number after the other; a fault of any keeps all of them from being placed. */
const usePlaceParts = (
  { parts }: Split,
  slots: readonly (TimeSlot | null)[],
  form: UseFormReturn<CheckoutValues>,
) => {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const compiled = useAppSelector(selectServedCompiled);
  const orders = useAppSelector(selectPastOrders);
  const [faults, setFaults] = useState<string[]>([]);
  const place = form.handleSubmit(({ ship }) => {
    const placed: PastOrder[] = [];
    for (const [at, { request, choice }] of parts.entries()) {
      const slot = slots[at];
      const made = placeOrder(compiled, {
        request: { ...request, placedAt: new Date().toISOString() },
        choiceId: choice.id,
        shown: choice.charge,
        number: nextNumber([...orders, ...placed]),
        recipient: ship.name.trim(),
        ...(choice.payments[0] === undefined ? {} : { payment: choice.payments[0] }),
        ...(slot ? { slot: { start: slot.start, end: slot.end } } : {}),
      });
      if (!made.ok) {
        setFaults(made.faults.map((fault) => `${choice.name}: ${faultSentence(fault)}`));
        return;
      }
      placed.push(made.value);
    }
    for (const order of placed) dispatch(orderPlaced(order));
    dispatch(emptied());
    const numbers = placed.map(({ number }) => number);
    router.navigate({
      pathname: '/shop/order',
      params: { number: numbers[0] ?? '', others: numbers.slice(1).join(',') },
    });
  });
  return { place: () => void place(), faults };
};

/** A basket that no one way takes, in the fewest parts that can be had: which goods go how, what each costs, and the whole. */
export const SplitOffer = ({ split, form }: { split: Split; form: UseFormReturn<CheckoutValues> }) => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectServedSpeech);
  const { currency } = useAppSelector(selectServedBook).store;
  const [picked, setPicked] = useState<Readonly<Record<string, TimeSlot>>>({});
  const keyOf = ({ choice, request }: SplitPart): string =>
    `${choice.id} ${request.lines.map(({ sku }) => sku).join()}`;
  const slots = split.parts.map((part) => picked[keyOf(part)] ?? null);
  const { place, faults } = usePlaceParts(split, slots, form);
  return (
    <View role="region" aria-label="In parts">
      <Text style={style.strong}>
        No one way takes all of it, but in {split.parts.length} parts you can have it.
      </Text>
      <View role="list" aria-label="The parts" style={{ marginTop: 8 }}>
        {split.parts.map((part, at) => (
          <Part
            key={keyOf(part)}
            part={part}
            slot={slots[at] ?? null}
            onPick={(slot) => setPicked({ ...picked, [keyOf(part)]: slot })}
          />
        ))}
      </View>
      <View style={style.whole}>
        <Text style={style.strong}>For getting all of it to you, {currency}</Text>
        <Text style={style.figure}>{moneyFigure(split.charge, decimals)}</Text>
      </View>
      {faults.map((text) => (
        <Text key={text} style={style.fault} role="alert">
          {text}
        </Text>
      ))}
      <Button mode="contained" onPress={place}>
        Order in {split.parts.length} parts
      </Button>
    </View>
  );
};
