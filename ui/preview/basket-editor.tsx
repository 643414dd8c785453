import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Line } from '../../core/model/request.ts';
import type { TestOrder } from '../../core/model/test-order.ts';
import { moneyFigure, weightFigure } from '../../core/words/figure.ts';
import { Chooser } from '../parts/chooser.tsx';
import { CountField, OptionalMoneyField } from '../fields/kind-fields.tsx';
import { edit } from '../state/draft.ts';
import { selectCatalogue, selectGoods, selectDisplayFormat } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { IconAction } from '../parts/icon-action.tsx';

const styles = (inks: Inks) => ({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  words: { flex: 1, paddingVertical: 6 },
  note: note(inks),
  button: { margin: 0 },
  discount: { width: 104 },
  last: { flexDirection: 'row', gap: 12 } as const,
});

/** The products of the test order's order: quantities, what is added and taken out, and the discount. */
export const BasketEditor = ({ testOrder }: { testOrder: TestOrder }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const display = useAppSelector(selectDisplayFormat);
  const goods = useAppSelector(selectGoods);
  const { goods: listed } = useAppSelector(selectCatalogue);
  const { lines, discount } = testOrder.request;
  const set = (next: Line[], visit: string | null = null): void => {
    dispatch(
      edit('setRequest', { id: testOrder.id, changes: { lines: next } }, `${testOrder.name}: basket`, visit),
    );
  };
  const add = (sku: string): void => {
    const known = lines.some((line) => line.sku === sku);
    set(
      known
        ? lines.map((line) => (line.sku === sku ? { ...line, quantity: line.quantity + 1 } : line))
        : [...lines, { sku, quantity: 1 }],
    );
  };
  return (
    <View style={{ gap: 8 }}>
      <View role="list" aria-label="Basket">
        {lines.map((line, at) => {
          const good = goods.get(line.sku);
          const name = line.name ?? good?.name ?? line.sku;
          const weight = line.weight ?? good?.weight;
          return (
            <View style={style.line} role="listitem" key={`${line.sku}-${at}`}>
              <View style={style.words}>
                <Text numberOfLines={1}>{name}</Text>
                <Text style={style.note}>
                  {moneyFigure(line.price ?? good?.price ?? 0, display.decimals)} ·{' '}
                  {weight === undefined ? 'weight not known' : weightFigure(weight, display.units)}
                </Text>
              </View>
              <CountField
                hideLabel
                right
                style={{ width: 64 }}
                label={`How many: ${name}`}
                value={line.quantity}
                least={1}
                most={99_999}
                onChange={(quantity, visit) =>
                  set(
                    lines.map((one, i) => (i === at ? { ...one, quantity } : one)),
                    visit,
                  )
                }
              />
              <IconAction
                icon="close"
                size={18}
                style={style.button}
                disabled={lines.length === 1}
                accessibilityLabel={`Remove ${name}`}
                onPress={() => set(lines.filter((_, i) => i !== at))}
              />
            </View>
          );
        })}
      </View>
      <View style={style.last}>
        <Chooser
          label="Add a product"
          chosen=""
          placeholder="Name or stock number"
          options={listed.map(({ sku, name, price }) => ({
            id: sku,
            name,
            note: moneyFigure(price, display.decimals),
          }))}
          onChoose={add}
        />
        <OptionalMoneyField
          style={style.discount}
          label="Discount"
          right
          value={discount}
          onChange={(amount, visit) =>
            dispatch(
              edit(
                'setRequest',
                { id: testOrder.id, changes: { discount: amount } },
                `${testOrder.name}: discount`,
                visit,
              ),
            )
          }
        />
      </View>
    </View>
  );
};
