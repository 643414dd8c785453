import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, type ReactNode } from 'react';
import { t } from '../../../../core/translate/translate.ts';
import type { Adjustment } from '../../../../core/model/adjustment.ts';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { SortableList } from '../../../parts/sortable-list.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { useToday } from '../../../time/use-today.ts';
import { edit } from '../../../state/draft.ts';
import { touchesShown } from '../../../state/check.ts';
import { selectBook } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector, useAppStore } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { AdjustmentPanel } from './adjustment-panel.tsx';
import { AdjustmentRow } from './adjustment-row.tsx';
import { usePlaceNames } from '../../../places/use-place-names.ts';
import { selectAdjustmentLines } from './selectors.ts';
import { Opened } from '../../../parts/opened.tsx';

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingVertical: 12 },
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  panel: { paddingLeft: 32 },
});

const NONE_YET = t(
  'A change to a charge under conditions: free for some customers from an amount, a surcharge for heavy products, nothing that freezes sent in winter.',
);
const ORDER = t(
  'Applied from top to bottom: each changes the charge left by those above it, after handling and before free delivery is decided.',
);

/** The adjustments in the order in which they act on a charge. */
const AdjustmentsPart = () => {
  const style = useStyles(styles);
  const router = useRouter();
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const { adjustment: open } = useLocalSearchParams<{ adjustment?: string }>();
  const { adjustments, store: shop } = useBookParts('adjustments', 'store');
  const today = useToday(shop.timeZone);
  const places = usePlaceNames();
  const lines = useAppSelector((state) => selectAdjustmentLines(state, today, places));
  useEffect(() => {
    dispatch(touchesShown(true));
    return () => void dispatch(touchesShown(false));
  }, [dispatch]);
  const go = (id: string | null): void =>
    router.navigate({
      pathname: '/charges',
      params: { part: 'adjustments', ...(id === null ? {} : { adjustment: id }) },
    });
  const add = (): void => {
    dispatch(edit('addAdjustment', { name: t('New adjustment') }, t('New adjustment')));
    go(selectBook(store.getState()).adjustments.at(-1)?.id ?? null);
  };
  const item = (adjustment: Adjustment, handle: ReactNode): ReactNode => {
    const at = adjustments.indexOf(adjustment);
    const line = lines.get(adjustment.id);
    const isOpen = open === adjustment.id;
    if (!line) return null;
    return (
      <View style={style.item}>
        <AdjustmentRow
          {...{ adjustment, at, line, isOpen, handle }}
          onPress={() => go(isOpen ? null : adjustment.id)}
        />
        {isOpen ? (
          <Opened style={style.panel}>
            <AdjustmentPanel adjustment={adjustment} at={at} count={adjustments.length} />
          </Opened>
        ) : null}
      </View>
    );
  };
  return (
    <View>
      <Text style={style.note}>{adjustments.length === 0 ? NONE_YET : ORDER}</Text>
      <SortableList
        label={t('Adjustments')}
        items={adjustments}
        onMove={(id, by) => dispatch(edit('moveAdjustment', { id, by }, t('Move an adjustment')))}
      >
        {item}
      </SortableList>
      <TextAction
        label={t('Add an adjustment')}
        style={{ alignSelf: 'flex-start', marginLeft: -4, marginTop: 4 }}
        onPress={add}
      />
    </View>
  );
};
export default AdjustmentsPart;
