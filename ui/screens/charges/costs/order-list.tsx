import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { words, numbers, type SheetColumn } from '../../../../core/formats/sheet-column.ts';
import { localMoment } from '../../../../core/time/local-moment.ts';
import { moneyFigure, weightFigure } from '../../../../core/words/figure.ts';
import { fileName } from '../../../files/files.ts';
import { dayNow } from '../../../time/now.ts';
import { dayText } from '../../../parts/dates.ts';
import { LongList } from '../../../parts/long-list.tsx';
import { SaveList } from '../../../parts/save-list.tsx';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note, smallFigure } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { ListedOrder } from '../../../workers/costs/listed-order.ts';
import { signedMoney } from './signed-money.ts';
import { Actions } from '../../../parts/actions.tsx';

const COLUMNS: SheetColumn[] = [
  { heading: 'number', ...words(t('The order’s number.')) },
  { heading: 'placed_at', ...words(t('When it was placed, ISO 8601.')) },
  { heading: 'town', ...words(t('Where it went.')) },
  { heading: 'choice', ...words(t('What was chosen at checkout.')) },
  { heading: 'weight', ...numbers(t('Grams of what travels; empty where it is not known.')) },
  { heading: 'subtotal', ...numbers(t('Of the products, minor units.')) },
  { heading: 'charged', ...numbers(t('For getting it there, without the tax in it; minor units.')) },
  { heading: 'cost', ...numbers(t('What it took, minor units; empty where it is not known.')) },
  { heading: 'cost_is', ...words(t('recorded, estimated or unknown.')) },
];

const cellsOf = (order: ListedOrder): string[] => {
  const { number, placedAt, town, name, weight, subtotal, charged, cost, origin } = order;
  return [number, placedAt, town, name, weight, subtotal, charged, cost, origin].map((cell) =>
    cell === null ? '' : String(cell),
  );
};

const styles = (inks: Inks) => ({
  words: { flex: 1, flexShrink: 1, paddingRight: 12 },
  note: note(inks),
  figure: { ...smallFigure, color: inks.ink },
  loss: { ...smallFigure, color: inks.rubric },
  details: { ...note(inks), paddingTop: 8 },
});

/** What an order earned or lost in words: '−3.10', 'no cost'. */
const marginText = ({ charged, cost }: ListedOrder, decimals: number): string =>
  cost === null ? t('no cost') : signedMoney(charged - cost, decimals);

/** When an order was placed, what it weighed, and how its margin comes about. */
const useDetails = (): ((order: ListedOrder) => string) => {
  const { decimals, units } = useAppSelector(selectDisplayFormat);
  const { timeZone } = useBookParts('store').store;
  return ({ number, placedAt, town, weight, subtotal, charged, cost, origin }) =>
    [
      t('Order {number}, {day}{town}', {
        number,
        day: dayText(localMoment(placedAt, timeZone).date),
        town: town === '' ? '' : t(', to {town}', { town }),
      }),
      ...(weight === null ? [] : [weightFigure(weight, units)]),
      ...(subtotal === null ? [] : [t('products {amount}', { amount: moneyFigure(subtotal, decimals) })]),
      t('charged {amount}', { amount: moneyFigure(charged, decimals) }),
      cost === null
        ? t('its cost is not known')
        : `${origin === 'estimated' ? t('would cost about') : 'cost'} ${moneyFigure(cost, decimals)}`,
    ].join('; ');
};

interface Props<T extends ListedOrder> {
  orders: readonly T[];
  /** What they are, and what leads the list. */
  label?: string;
  hint?: string;
  /** What stands at the end of an order's line; its margin if nothing is said. */
  figureOf?: (order: T) => string;
}

/** The orders behind a figure; each is opened for when it was placed and how its margin comes about. */
export const OrderList = <T extends ListedOrder>({
  orders,
  label = t('Orders, the greatest losses first'),
  hint = t('The greatest losses come first.'),
  figureOf,
}: Props<T>) => {
  const style = useStyles(styles);
  const { store } = useBookParts('store');
  const { decimals } = useAppSelector(selectDisplayFormat);
  const text = figureOf ?? ((order: T) => marginText(order, decimals));
  const details = useDetails();
  const [open, setOpen] = useState<number | null>(null);
  const opened = open === null ? undefined : orders[open];
  return (
    <View>
      <LongList
        label={label}
        counted={(count) => t('{count, plural, one {# order} other {# orders}}', { count })}
        items={orders}
        textOf={(order) =>
          `${[order.number, order.name, order.town].filter(Boolean).join(', ')}: ${text(order)}`
        }
        findLabel={t('Find an order')}
        open={open}
        onOpen={(at) => setOpen(at === open ? null : at)}
      >
        {(order) => (
          <>
            <Text style={style.words} numberOfLines={1}>
              {order.number}{' '}
              <Text style={style.note}>{[order.name, order.town].filter(Boolean).join(', ')}</Text>
            </Text>
            <Text
              style={
                !figureOf && order.cost !== null && order.charged < order.cost ? style.loss : style.figure
              }
            >
              {text(order)}
            </Text>
          </>
        )}
      </LongList>
      <Text style={style.details} aria-live="polite">
        {opened ? `${details(opened)}.` : t('{hint} Press an order for its figures.', { hint })}
      </Text>
      <Actions>
        <SaveList
          name={(kind) => fileName(store.name, 'costs', dayNow(store), kind)}
          sheet={t('Costs')}
          columns={() => COLUMNS}
          items={orders}
          cells={cellsOf}
        />
      </Actions>
    </View>
  );
};
