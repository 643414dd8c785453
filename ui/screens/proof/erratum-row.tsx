import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Erratum } from '../../../core/model/erratum.ts';
import { askedValue } from '../../../core/repair/asked-value.ts';
import { Press } from '../../parts/press.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { edit } from '../../state/draft.ts';
import { slipOpened, told, trialChosen } from '../../state/session.ts';
import { selectCompiled, selectTrials } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, SERIF, TOUCH, type Inks } from '../../theme/tokens.ts';
import type { ErratumLine } from './errata-selectors.ts';
import { MendField } from './mend-field.tsx';
import { RepairList } from './repair-list.tsx';
import { useRepairs } from './use-repairs.ts';

interface Props {
  line: ErratumLine;
  isOpen: boolean;
  onPress: () => void;
}

const styles = (inks: Inks) => ({
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: { paddingVertical: 10, minHeight: TOUCH, justifyContent: 'center' } as const,
  text: { fontFamily: SERIF, fontSize: 15, lineHeight: 22 },
  accepted: { color: inks.quiet },
  note: note(inks),
  fresh: { ...note(inks), fontFamily: SANS_STRONG, color: inks.doubt },
  panel: { gap: 8, paddingBottom: 12 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginLeft: -4 } as const,
});

/** Asks why the erratum is meant; without a note it is not accepted. */
const AcceptForm = ({ line, onDone }: { line: ErratumLine; onDone: () => void }) => {
  const dispatch = useAppDispatch();
  const [why, setWhy] = useState('');
  const accept = (): void => {
    const accepted = { ...line.acceptance, note: why.trim() };
    dispatch(edit('acceptErratum', { accepted }, 'Accept an erratum'));
    dispatch(told({ text: 'Accepted. It comes back when its rules change or it reaches more.', undo: true }));
    onDone();
  };
  return (
    <View style={{ gap: 8 }}>
      <TextLine
        autoFocus
        label="Why it is meant"
        placeholder="Larger orders are asked for by telephone"
        value={why}
        onChange={setWhy}
        onSubmit={why.trim() === '' ? undefined : accept}
      />
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button mode="outlined" disabled={why.trim() === ''} onPress={accept}>
          Accept it
        </Button>
        <TextAction label="Cancel" onPress={onDone} />
      </View>
    </View>
  );
};

const Actions = ({ line, onAccept }: { line: ErratumLine; onAccept: () => void }) => {
  const style = useStyles(styles);
  const router = useRouter();
  const dispatch = useAppDispatch();
  const { erratum, rules, accepted, acceptance } = line;
  const { example } = erratum;
  const show = (): void => {
    if (!example) return;
    const trial = { name: `Shows: ${erratum.text}`.slice(0, 120), request: example, expects: [] };
    dispatch((act, getState) => {
      act(edit('addTrial', { trial }, 'New trial from an erratum'));
      act(trialChosen(selectTrials(getState()).at(-1)?.id ?? null));
      act(slipOpened(true));
      act(told({ text: 'The order is on the slip, kept as a trial.', undo: true }));
    });
  };
  return (
    <View style={style.actions}>
      {example ? <TextAction label="Show an order" onPress={show} /> : null}
      {rules.map(({ name, link }, at) =>
        link ? (
          <TextAction key={`${name}-${at}`} label={`To ${name}`} onPress={() => router.navigate(link)} />
        ) : null,
      )}
      {accepted ? (
        <TextAction
          label="Take the acceptance back"
          onPress={() => dispatch(edit('takeBackAcceptance', acceptance, 'No longer accepted'))}
        />
      ) : (
        <TextAction label="It is meant: accept it" onPress={onAccept} />
      )}
    </View>
  );
};

const Repairs = ({ erratum }: { erratum: Erratum }) => {
  const style = useStyles(styles);
  const repairs = useRepairs(erratum);
  if (repairs === null) return <Text style={style.note}>Trying what would mend it …</Text>;
  return <RepairList repairs={repairs} />;
};

/** One erratum: what is wrong, for whom, the order that shows it, and the rules to open. */
export const ErratumRow = ({ line, isOpen, onPress }: Props) => {
  const style = useStyles(styles);
  const [accepting, setAccepting] = useState(false);
  const { erratum, accepted, newSince } = line;
  const compiled = useAppSelector(selectCompiled);
  const asked = useMemo(
    () => (accepted ? null : askedValue({ erratum, compiled })),
    [accepted, erratum, compiled],
  );
  return (
    <View style={style.item} role="listitem">
      <Press role="button" aria-expanded={isOpen} onPress={onPress}>
        <View style={style.row}>
          <Text style={[style.text, accepted ? style.accepted : null]}>{erratum.text}</Text>
          {newSince === null ? null : <Text style={style.fresh}>New since edition {newSince}</Text>}
          {erratum.reach ? <Text style={style.note}>{erratum.reach}</Text> : null}
          {accepted ? <Text style={style.note}>Accepted: {accepted.note}</Text> : null}
        </View>
      </Press>
      {asked && (isOpen || asked.now === undefined) ? <MendField asked={asked} /> : null}
      {isOpen ? (
        <View style={style.panel}>
          {accepting ? (
            <AcceptForm line={line} onDone={() => setAccepting(false)} />
          ) : (
            <>
              {accepted ? null : <Repairs erratum={erratum} />}
              <Actions line={line} onAccept={() => setAccepting(true)} />
            </>
          )}
        </View>
      ) : null}
    </View>
  );
};
