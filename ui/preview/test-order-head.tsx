import { useRouter } from 'expo-router';
import { lazy, memo } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { NameField } from '../fields/kind-fields.tsx';
import { TextAction } from '../parts/text-action.tsx';
import { Later } from '../parts/later.tsx';
import { edit } from '../state/draft.ts';
import { previewOpened, undoMessage, testOrderChosen, testOrderEditing } from '../state/session.ts';
import { selectCatalogue, selectTestOrder, selectTestOrders } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useBookParts } from '../state/use-book-parts.ts';
import { useStyles } from '../theme/styles.ts';
import { note, smallFigure } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { selectTestOrderFacts } from './test-order-facts.ts';
import { IconAction } from '../parts/icon-action.tsx';
import { Opened } from '../parts/opened.tsx';
import { momentNow } from '../time/now.ts';
import { Actions } from '../parts/actions.tsx';

const TestOrderEditors = lazy(() => import('./test-order-editors.tsx'));

const styles = (inks: Inks) => ({
  walk: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', height: 32 } as const,
  arrows: { flexDirection: 'row', marginRight: -8 } as const,
  arrow: { margin: 0 },
  note: note(inks),
  facts: { ...smallFigure, color: inks.ink },
  actions: { marginTop: 2 },
  begin: { alignSelf: 'flex-start' } as const,
  editor: { gap: 16, paddingTop: 8, paddingBottom: 12 },
});

/** The test orders one after another, round at the ends. */
const Walk = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const testOrders = useAppSelector(selectTestOrders);
  const { at, count } = useAppSelector(selectTestOrder);
  const go = (by: number): void =>
    void dispatch(testOrderChosen(testOrders[(at + by + count) % count]?.id ?? null));
  return (
    <View style={style.walk}>
      <Text style={style.note}>{t('Test order {number} of {all}', { number: at + 1, all: count })}</Text>
      <View style={style.arrows}>
        <IconAction
          icon="chevron-left"
          size={20}
          style={style.arrow}
          accessibilityLabel={t('Last test order')}
          onPress={() => go(-1)}
        />
        <IconAction
          icon="chevron-right"
          size={20}
          style={style.arrow}
          accessibilityLabel={t('Next test order')}
          onPress={() => go(1)}
        />
      </View>
    </View>
  );
};

const TestOrderActions = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const editing = useAppSelector((state) => state.session.editingTestOrder);
  const { testOrder } = useAppSelector(selectTestOrder);
  const testOrders = useAppSelector(selectTestOrders);
  if (!testOrder) return null;
  const keep = (): void => {
    const before = new Set(testOrders.map((one) => one.id));
    const name = t('{testOrder}, again', { testOrder: testOrder.name }).slice(0, 120);
    dispatch((act, getState) => {
      act(
        edit(
          'copyTestOrder',
          { id: testOrder.id, name },
          t('New test order from {testOrder}', { testOrder: testOrder.name }),
        ),
      );
      act(testOrderChosen(selectTestOrders(getState()).find((one) => !before.has(one.id))?.id ?? null));
      act(testOrderEditing(true));
    });
  };
  const remove = (): void => {
    dispatch(
      edit(
        'removeTestOrder',
        { id: testOrder.id },
        t('Remove test order {testOrder}', { testOrder: testOrder.name }),
      ),
    );
    dispatch(undoMessage(t('Removed the test order “{testOrder}”.', { testOrder: testOrder.name })));
  };
  return (
    <Actions style={style.actions}>
      <TextAction
        label={editing ? t('Done') : t('Change the test order')}
        onPress={() => dispatch(testOrderEditing(!editing))}
      />
      <TextAction label={t('Keep as a new test order')} onPress={keep} />
      {editing ? <TextAction label={t('Remove')} onPress={remove} /> : null}
    </Actions>
  );
};

/** Where there is no test order yet: what belongs here, and the first one. */
const FirstTestOrder = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const router = useRouter();
  const [good] = useAppSelector(selectCatalogue).goods;
  const { locations, store } = useBookParts('locations', 'store');
  const country = locations[0]?.address.country ?? store.sellsTo.countries[0] ?? 'CA';
  const begin = (sku: string): void => {
    const request = {
      destination: { country },
      lines: [{ sku, quantity: 1 }],
      placedAt: momentNow(),
    };
    dispatch(
      edit(
        'addTestOrder',
        { testOrder: { name: t('First test order'), request, expects: [] } },
        t('First test order'),
      ),
    );
    dispatch(testOrderEditing(true));
  };
  return (
    <View style={{ gap: 8, paddingTop: 8 }}>
      <Text variant="titleMedium">{t('No test order yet')}</Text>
      <Text style={style.note}>
        {t(
          'A test order is a saved order with what it should give. Here you see what its customer would be offered, and how each charge adds up.',
        )}
      </Text>
      {good ? (
        <Button mode="outlined" style={style.begin} onPress={() => begin(good.sku)}>
          {t('Make a first test order')}
        </Button>
      ) : (
        <Button
          mode="outlined"
          style={style.begin}
          onPress={() => {
            dispatch(previewOpened(false));
            router.navigate('/goods');
          }}
        >
          {t('Add a product first')}
        </Button>
      )}
    </View>
  );
};

/** The test order whose preview this is: its place, basket and moment, edited in place. */
export const TestOrderHead = memo(function TestOrderHead() {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { testOrder } = useAppSelector(selectTestOrder);
  const facts = useAppSelector(selectTestOrderFacts);
  const editing = useAppSelector((state) => state.session.editingTestOrder);
  if (!testOrder || !facts) return <FirstTestOrder />;
  return (
    <View>
      <Walk />
      {editing ? (
        <Opened style={style.editor}>
          <NameField
            label={t('Test order')}
            prose
            value={testOrder.name}
            onChange={(name, visit) =>
              dispatch(
                edit(
                  'renameTestOrder',
                  { id: testOrder.id, name },
                  t('{testOrder}: name', { testOrder: testOrder.name }),
                  visit,
                ),
              )
            }
          />
          <Later>
            <TestOrderEditors testOrder={testOrder} />
          </Later>
        </Opened>
      ) : (
        <>
          <Text variant="titleMedium" role="heading" aria-level={2}>
            {testOrder.name}
          </Text>
          <Text style={style.facts}>{facts.place}</Text>
          <Text style={style.note}>
            {facts.basket} · {facts.moment}
          </Text>
        </>
      )}
      <TestOrderActions />
    </View>
  );
});
