import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { labelled } from '../../core/words/labelled.ts';
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

/** One product of the basket: how many, and taking it out. */
const BasketLine = ({
  line,
  isOnly,
  onCount,
  onRemove,
}: {
  line: Line;
  isOnly: boolean;
  onCount: (quantity: number, visit: string | null) => void;
  onRemove: () => void;
}) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const good = useAppSelector(selectGoods).get(line.sku);
  const name = line.name ?? good?.name ?? line.sku;
  const weight = line.weight ?? good?.weight;
  return (
    <View style={style.line} role="listitem">
      <View style={style.words}>
        <Text numberOfLines={1}>{name}</Text>
        <Text style={style.note}>
          {moneyFigure(line.price ?? good?.price ?? 0, display.decimals)} ·{' '}
          {weight === undefined ? t('weight not known') : weightFigure(weight, display.units)}
        </Text>
      </View>
      <CountField
        hideLabel
        right
        style={{ width: 64 }}
        label={t('How many: {name}', { name })}
        value={line.quantity}
        least={1}
        most={99_999}
        onChange={onCount}
      />
      <IconAction
        icon="close"
        size={18}
        style={style.button}
        disabled={isOnly}
        accessibilityLabel={t('Remove {name}', { name })}
        onPress={onRemove}
      />
    </View>
  );
};

/** A product added to the basket, by name or stock number. */
const AddProduct = ({ onAdd }: { onAdd: (sku: string) => void }) => {
  const { decimals } = useAppSelector(selectDisplayFormat);
  const { goods } = useAppSelector(selectCatalogue);
  return (
    <Chooser
      label={t('Add a product')}
      chosen=""
      placeholder={t('Name or stock number')}
      options={goods.map(({ sku, name, price }) => ({ id: sku, name, note: moneyFigure(price, decimals) }))}
      onChoose={onAdd}
    />
  );
};

/** The products of the test order's order: quantities, what is added and taken out, and the discount. */
export const BasketEditor = ({ testOrder: { id, name, request } }: { testOrder: TestOrder }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { lines, discount } = request;
  const change = (changes: Partial<TestOrder['request']>, what: string, visit: string | null): void =>
    void dispatch(edit('setRequest', { id, changes }, labelled(name, what), visit));
  const set = (next: Line[], visit: string | null = null): void =>
    change({ lines: next }, t('basket'), visit);
  const count = (at: number, quantity: number, visit: string | null = null): void =>
    set(
      lines.map((line, which) => (which === at ? { ...line, quantity } : line)),
      visit,
    );
  const add = (sku: string): void => {
    const at = lines.findIndex((line) => line.sku === sku);
    const known = lines[at];
    if (known) count(at, known.quantity + 1);
    else set([...lines, { sku, quantity: 1 }]);
  };
  return (
    <View style={{ gap: 8 }}>
      <View role="list" aria-label={t('Basket')}>
        {lines.map((line, at) => (
          <BasketLine
            key={`${line.sku}-${at}`}
            line={line}
            isOnly={lines.length === 1}
            onCount={(quantity, visit) => count(at, quantity, visit)}
            onRemove={() => set(lines.filter((_, which) => which !== at))}
          />
        ))}
      </View>
      <View style={style.last}>
        <AddProduct onAdd={add} />
        <OptionalMoneyField
          style={style.discount}
          label={t('Discount')}
          right
          value={discount}
          onChange={(amount, visit) => change({ discount: amount }, t('discount'), visit)}
        />
      </View>
    </View>
  );
};
