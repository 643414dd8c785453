import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
import type { Good } from '../../../core/model/good.ts';
import { Check } from '../../parts/check.tsx';
import { OptionalMoneyField, WordsField } from '../../fields/kind-fields.tsx';
import { DraftField, type Read } from '../../fields/draft-field.tsx';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { edit } from '../../state/draft.ts';
import { undoMessage } from '../../state/session.ts';
import { selectGoods, selectDisplayFormat, selectTestOrders } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { cellText, COLUMNS, readCellText, TITLES } from './goods-columns.ts';

interface Props {
  good: Good;
  onGone: () => void;
  onRenumbered: (sku: string) => void;
}

const styles = (inks: Inks) => ({
  all: { gap: 12, paddingVertical: 12, paddingHorizontal: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 } as const,
  flags: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 20, maxWidth: '100%' } as const,
  wide: { minWidth: 240, flex: 2 },
  sku: { width: 240 },
  field: { minWidth: 120, flex: 1 },
  note: note(inks),
  over: { ...note(inks), width: '100%' } as const,
});

type Change = (changes: Partial<Omit<Good, 'sku'>>, what: string, visit?: string | null) => void;

const useChange = (good: Good): Change => {
  const dispatch = useAppDispatch();
  return (changes, what, visit = null) =>
    dispatch(edit('setGood', { sku: good.sku, changes }, labelled(good.name, what), visit));
};

/** The handling groups that the good travels with. */
const GroupField = ({ good }: { good: Good }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { groups } = useBookParts('groups');
  if (groups.length === 0) return null;
  return (
    <View style={style.flags} role="group" aria-label={t('Handling groups')}>
      <Text style={style.over}>{t('Handling groups')}</Text>
      {groups.map(({ id, name }) => {
        const isIn = good.groupIds?.includes(id) ?? false;
        return (
          <Check
            key={id}
            label={name}
            on={isIn}
            onPress={() =>
              dispatch(
                edit(
                  'setInGroup',
                  { skus: [good.sku], id, isIn: !isIn },
                  t('{good}: groups', { good: good.name }),
                ),
              )
            }
          />
        );
      })}
    </View>
  );
};

/** The stock number: it must be nobody else's, and test orders follow it. */
const SkuField = ({ good, onRenumbered }: Pick<Props, 'good' | 'onRenumbered'>) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const goods = useAppSelector(selectGoods);
  const read = (text: string): Read<string> => {
    const sku = text.trim();
    if (sku === '' || sku.length > 120)
      return { ok: false, text: t('A stock number has 1 to 120 characters.') };
    const name = sku === good.sku ? undefined : goods.get(sku)?.name;
    if (name !== undefined) return { ok: false, text: t('{name} has this number.', { name }) };
    return { ok: true, value: sku };
  };
  return (
    <DraftField
      style={style.sku}
      label={t('Stock number')}
      text={good.sku}
      read={read}
      onChange={(to, visit) => {
        dispatch(
          edit('renumberGood', { sku: good.sku, to }, t('{good}: stock number', { good: good.name }), visit),
        );
        onRenumbered(to);
      }}
    />
  );
};

const FLAGS = [
  ['chargeFree', t('Ships free; still counts towards limits')],
  ['packsAlone', t('Packs alone')],
  ['keepUpright', t('Keep upright')],
] as const;

const Travels = ({ good, change }: { good: Good; change: Change }) => {
  const style = useStyles(styles);
  return (
    <>
      <View style={style.flags}>
        {FLAGS.map(([field, label]) => (
          <Check
            key={field}
            label={label}
            on={good[field] === true}
            onPress={() => change({ [field]: good[field] ? undefined : true }, label.split(',')[0] ?? label)}
          />
        ))}
      </View>
      <View style={style.row}>
        <OptionalMoneyField
          right
          style={style.field}
          label={t('Own price for sending')}
          placeholder={t('none')}
          value={good.shippingPrice}
          onChange={(shippingPrice, visit) => change({ shippingPrice }, t('price for sending'), visit)}
        />
        <OptionalMoneyField
          style={style.field}
          label={t('Extra fee per order line')}
          placeholder={t('none')}
          value={good.onceFee}
          onChange={(onceFee, visit) => change({ onceFee }, t('fee'), visit)}
        />
        <GroupField good={good} />
        <WordsField
          style={style.field}
          label={t('HS code')}
          value={good.hsCode ?? ''}
          most={20}
          onChange={(code, visit) => change({ hsCode: code.trim() || undefined }, t('HS code'), visit)}
        />
        <WordsField
          style={style.field}
          label={t('Made in')}
          prose
          value={good.madeIn ?? ''}
          most={60}
          onChange={(place, visit) => change({ madeIn: place.trim() || undefined }, t('made in'), visit)}
        />
      </View>
    </>
  );
};

/** That a product is gone, and what cannot be used without it. */
const removedWords = (good: string, naming: number): string =>
  naming === 0
    ? t('Removed {good}.', { good })
    : t(
        'Removed {good}. {naming, plural, one {# test order} other {# test orders}} named it and cannot be used now.',
        { good, naming },
      );

/** All that is known of one good. */
export const GoodPanel = ({ good, onGone, onRenumbered }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const display = useAppSelector(selectDisplayFormat);
  const testOrders = useAppSelector(selectTestOrders);
  const change = useChange(good);
  const naming = testOrders.filter(({ request }) => request.lines.some(({ sku }) => sku === good.sku)).length;
  const remove = (): void => {
    dispatch(edit('removeGoods', { skus: [good.sku] }, t('Remove {good}', { good: good.name })));
    dispatch(undoMessage(removedWords(good.name, naming)));
    onGone();
  };
  return (
    <View style={style.all} role="region" aria-label={good.name}>
      <View style={style.row}>
        {COLUMNS.filter(
          (column) => good.fulfilment === 'physical' || column === 'name' || column === 'price',
        ).map((column) => (
          <DraftField
            key={column}
            right={column === 'price' || column === 'weight'}
            prose={column === 'name'}
            style={column === 'name' ? style.wide : style.field}
            label={TITLES[column]}
            placeholder={column === 'name' ? undefined : t('not known')}
            text={cellText(good, column, display)}
            read={readCellText(column, display, cellText(good, column, display))}
            onChange={(changes, visit) => change(changes, TITLES[column].toLowerCase(), visit)}
          />
        ))}
      </View>
      <View style={style.row}>
        <SkuField good={good} onRenumbered={onRenumbered} />
        <Segments
          label={t('Kind of product')}
          width={220}
          value={good.fulfilment}
          onChange={(fulfilment) => change({ fulfilment }, t('fulfilment'))}
          options={[
            { value: 'physical', label: t('physical') },
            { value: 'digital', label: t('digital') },
          ]}
        />
      </View>
      {good.fulfilment === 'physical' ? <Travels good={good} change={change} /> : null}
      <View style={style.row}>
        <Text style={[style.note, { alignSelf: 'center' }]}>
          {naming === 0
            ? t('In no test order.')
            : t('In {naming, plural, one {# test order} other {# test orders}}.', { naming })}
        </Text>
        <TextAction label={t('Remove {good}', { good: good.name })} onPress={remove} />
      </View>
    </View>
  );
};
