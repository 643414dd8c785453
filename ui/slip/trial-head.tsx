import { useRouter } from 'expo-router';
import { lazy } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { DraftField } from '../parts/draft-field.tsx';
import { readName } from '../parts/readers.ts';
import { TextAction } from '../parts/text-action.tsx';
import { Later } from '../shell/later.tsx';
import { edit } from '../state/draft.ts';
import { slipOpened, messageShown, trialChosen, trialEditing } from '../state/session.ts';
import { selectBook, selectCatalogue, selectTrial, selectTrials } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { note, smallFigure } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { selectTrialFacts } from './trial-facts.ts';
import { IconAction } from '../parts/icon-action.tsx';
import { Opened } from '../parts/opened.tsx';

const TrialEditors = lazy(() => import('./trial-editors.tsx'));

const styles = (inks: Inks) => ({
  walk: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', height: 32 } as const,
  arrows: { flexDirection: 'row', marginRight: -8 } as const,
  arrow: { margin: 0 },
  note: note(inks),
  facts: { ...smallFigure, color: inks.ink },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginLeft: -4, marginTop: 2 } as const,
  begin: { alignSelf: 'flex-start' } as const,
  editor: { gap: 16, paddingTop: 8, paddingBottom: 12 },
});

/** The trials one after another, round at the ends. */
const Walk = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const trials = useAppSelector(selectTrials);
  const { at, count } = useAppSelector(selectTrial);
  const go = (by: number): void => void dispatch(trialChosen(trials[(at + by + count) % count]?.id ?? null));
  return (
    <View style={style.walk}>
      <Text style={style.note}>
        Test order {at + 1} of {count}
      </Text>
      <View style={style.arrows}>
        <IconAction
          icon="chevron-left"
          size={20}
          style={style.arrow}
          accessibilityLabel="Last test order"
          onPress={() => go(-1)}
        />
        <IconAction
          icon="chevron-right"
          size={20}
          style={style.arrow}
          accessibilityLabel="Next test order"
          onPress={() => go(1)}
        />
      </View>
    </View>
  );
};

const Actions = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const editing = useAppSelector((state) => state.session.editingTrial);
  const { trial } = useAppSelector(selectTrial);
  const trials = useAppSelector(selectTrials);
  if (!trial) return null;
  const keep = (): void => {
    const before = new Set(trials.map((one) => one.id));
    const name = `${trial.name}, again`.slice(0, 120);
    dispatch((act, getState) => {
      act(edit('copyTrial', { id: trial.id, name }, `New test order from ${trial.name}`));
      act(trialChosen(selectTrials(getState()).find((one) => !before.has(one.id))?.id ?? null));
      act(trialEditing(true));
    });
  };
  const remove = (): void => {
    dispatch(edit('removeTrial', { id: trial.id }, `Remove test order ${trial.name}`));
    dispatch(messageShown({ text: `Removed the test order “${trial.name}”.`, undo: true }));
  };
  return (
    <View style={style.actions}>
      <TextAction
        label={editing ? 'Done' : 'Change the test order'}
        onPress={() => dispatch(trialEditing(!editing))}
      />
      <TextAction label="Keep as a new test order" onPress={keep} />
      {editing ? <TextAction label="Remove" onPress={remove} /> : null}
    </View>
  );
};

/** Where there is no trial yet: what belongs here, and the first one. */
const FirstTrial = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const router = useRouter();
  const [good] = useAppSelector(selectCatalogue).goods;
  const { locations, store } = useAppSelector(selectBook);
  const country = locations[0]?.address.country ?? store.sellsTo.countries[0] ?? 'CA';
  const begin = (sku: string): void => {
    const request = {
      destination: { country },
      lines: [{ sku, quantity: 1 }],
      placedAt: new Date().toISOString(),
    };
    dispatch(
      edit('addTrial', { trial: { name: 'First test order', request, expects: [] } }, 'First test order'),
    );
    dispatch(trialEditing(true));
  };
  return (
    <View style={{ gap: 8, paddingTop: 8 }}>
      <Text variant="titleMedium">No test order yet</Text>
      <Text style={style.note}>
        A test order is a saved test order. What its customer would be offered stands here, with how each
        charge came about.
      </Text>
      {good ? (
        <Button mode="outlined" style={style.begin} onPress={() => begin(good.sku)}>
          Make a first test order
        </Button>
      ) : (
        <Button
          mode="outlined"
          style={style.begin}
          onPress={() => {
            dispatch(slipOpened(false));
            router.navigate('/goods');
          }}
        >
          Add a good first
        </Button>
      )}
    </View>
  );
};

/** The trial whose slip this is: its place, basket and moment, edited in place. */
export const TrialHead = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { trial } = useAppSelector(selectTrial);
  const facts = useAppSelector(selectTrialFacts);
  const editing = useAppSelector((state) => state.session.editingTrial);
  if (!trial || !facts) return <FirstTrial />;
  return (
    <View>
      <Walk />
      {editing ? (
        <Opened style={style.editor}>
          <DraftField
            label="Test order"
            prose
            text={trial.name}
            read={readName}
            onChange={(name, visit) =>
              dispatch(edit('renameTrial', { id: trial.id, name }, `${trial.name}: name`, visit))
            }
          />
          <Later>
            <TrialEditors trial={trial} />
          </Later>
        </Opened>
      ) : (
        <>
          <Text variant="titleMedium" role="heading" aria-level={2}>
            {trial.name}
          </Text>
          <Text style={style.facts}>
            {facts.place} · {facts.basket}
          </Text>
          <Text style={style.note}>{facts.moment}</Text>
        </>
      )}
      <Actions />
    </View>
  );
};
