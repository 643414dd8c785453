import { useState } from 'react';
import { View } from 'react-native';
import { Button, HelperText, Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
import type { Good } from '../../../core/model/good.ts';
import { Later } from '../../parts/later.tsx';
import { RaiseForm } from '../../page/later-forms.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { edit, visitBegan } from '../../state/draft.ts';
import { undoMessage } from '../../state/session.ts';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { raisedPanel } from '../../theme/text.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { readCellText, TITLES } from './goods-columns.ts';

interface Props {
  skus: readonly string[];
  onDone: () => void;
}

const styles = (inks: Inks) => ({
  bar: {
    ...raisedPanel(inks),
    padding: 12,
    gap: 8,
    marginBottom: 8,
  },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 } as const,
  field: { width: 200 },
});

type Doing = 'price' | 'weight' | 'size' | 'kind' | 'group' | null;
type Changes = Partial<Omit<Good, 'sku'>>;

const KINDS: readonly [label: string, changes: Changes][] = [
  [t('they pack alone'), { packsAlone: true }],
  [t('they pack together'), { packsAlone: undefined }],
  [t('kept upright'), { keepUpright: true }],
  [t('any way up'), { keepUpright: undefined }],
  [t('they ship free'), { chargeFree: true }],
  [t('they are charged for'), { chargeFree: undefined }],
  [t('they travel'), { fulfilment: 'physical' }],
  [t('they are digital'), { fulfilment: 'digital' }],
];

/** Weight or size of many goods, typed once. */
const SetFigure = ({ column, onSet }: { column: 'weight' | 'size'; onSet: (changes: Changes) => void }) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const set = (): void => {
    const read = readCellText(column, display)(text);
    if (!read.ok) setFault(read.text);
    else if (text.trim() === '') setFault(t('Write the {column} that each of them has.', { column }));
    else onSet(read.value);
  };
  return (
    <View style={[style.row, { alignItems: 'flex-end' }]}>
      <View style={style.field}>
        <TextLine
          label={t('{figure} of each', { figure: TITLES[column] })}
          value={text}
          onChange={setText}
          onSubmit={set}
        />
        {fault ? (
          <HelperText type="error" padding="none" role="alert">
            {fault}
          </HelperText>
        ) : null}
      </View>
      <Button mode="outlined" onPress={set}>
        {t('Set it')}
      </Button>
    </View>
  );
};

/** The groups that products can be put into. */
const GroupChoice = ({
  onGroup,
  onNone,
}: {
  onGroup: (id: string, name: string) => void;
  onNone: () => void;
}) => {
  const style = useStyles(styles);
  const { groups } = useBookParts('groups');
  return (
    <View style={style.row}>
      {groups.map(({ id, name }) => (
        <TextAction key={id} label={name} onPress={() => onGroup(id, name)} />
      ))}
      <TextAction label={t('no group')} onPress={onNone} />
    </View>
  );
};

/** What is asked before it is done with the chosen products. */
const Form = ({ doing, skus, onDone }: Props & { doing: NonNullable<Doing> }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const goods = t('{count, plural, one {# product} other {# products}}', { count: skus.length });
  const set = (changes: Changes, what: string): void => {
    dispatch(visitBegan());
    dispatch(edit('setGoods', { skus: [...skus], changes }, labelled(goods, what)));
    dispatch(undoMessage(`${labelled(goods, what)}.`));
    onDone();
  };
  const group = (id: string, isIn: boolean, what: string): void => {
    dispatch(edit('setInGroup', { skus: [...skus], id, isIn }, labelled(goods, what)));
    dispatch(undoMessage(`${labelled(goods, what)}.`));
    onDone();
  };
  switch (doing) {
    case 'price':
      return (
        <Later>
          <RaiseForm
            what={goods}
            disabled={false}
            onRaise={(raise, label) => {
              dispatch(edit('raisePrices', { skus: [...skus], raise }, label));
              onDone();
            }}
          />
        </Later>
      );
    case 'weight':
    case 'size':
      return (
        <SetFigure
          key={doing}
          column={doing}
          onSet={(changes) => set(changes, t('{doing} set', { doing }))}
        />
      );
    case 'group':
      return (
        <GroupChoice
          onGroup={(id, name) => group(id, true, t('put into {name}', { name }))}
          onNone={() => set({ groupIds: undefined }, t('taken out of every group'))}
        />
      );
    case 'kind':
      return (
        <View style={style.row}>
          {KINDS.map(([label, changes]) => (
            <TextAction key={label} label={label} onPress={() => set(changes, label)} />
          ))}
        </View>
      );
  }
};

/** What can be done with the goods that are chosen. */
export const ManyGoods = ({ skus, onDone }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const [doing, setDoing] = useState<Doing>(null);
  const { groups } = useBookParts('groups');
  const goods = t('{count, plural, one {# product} other {# products}}', { count: skus.length });
  const remove = (): void => {
    dispatch(edit('removeGoods', { skus: [...skus] }, t('Remove {goods}', { goods })));
    dispatch(undoMessage(t('Removed {goods}. Test orders that name them cannot be used now.', { goods })));
    onDone();
  };
  const action = (name: Doing, label: string) => (
    <TextAction label={label} onPress={() => setDoing(doing === name ? null : name)} />
  );
  return (
    <View style={style.bar} role="region" aria-label={t('Chosen products')}>
      <View style={style.row}>
        <Text variant="titleSmall">{t('{goods} chosen', { goods })}</Text>
        {action('price', t('Prices'))}
        {action('weight', t('Weight'))}
        {action('size', t('Size'))}
        {action('kind', t('How they travel'))}
        {groups.length > 0 ? action('group', t('Group')) : null}
        <TextAction label={t('Remove')} onPress={remove} />
        <TextAction label={t('Deselect all')} onPress={onDone} />
      </View>
      {doing === null ? null : <Form doing={doing} skus={skus} onDone={() => setDoing(null)} />}
    </View>
  );
};
