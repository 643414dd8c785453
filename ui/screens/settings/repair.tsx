import { useState } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Fault } from '../../../core/model/fault.ts';
import { canBeGiven, placeOf, valueAt, type Repair as Done } from '../../../core/formats/repair.ts';
import type { Shop, ShopFile } from '../../../core/formats/shop-file.ts';
import { faultSentence } from '../../../core/words/fault-sentence.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { useStyles } from '../../theme/styles.ts';
import { note, raisedPanel } from '../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';
import { useRepair } from './use-repair.ts';

interface Props {
  /** What is repaired: a file's name, or what was set aside. */
  name: string;
  value: unknown;
  here: Shop;
  /** What of its text could not be read at all. */
  broken: readonly Fault[];
  onOpen: (file: ShopFile) => void;
  onClose: () => void;
}

const styles = (inks: Inks) => ({
  panel: { ...raisedPanel(inks), padding: 16, gap: 12 },
  row: { gap: 4, borderTopWidth: 1, borderTopColor: inks.hairline, paddingVertical: 10 },
  place: { fontFamily: SANS_STRONG },
  fault: { color: inks.rubric },
  note: note(inks),
  fields: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 } as const,
  field: { flexGrow: 1, flexBasis: 160, maxWidth: 320 } as const,
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 } as const,
});

const MOST_SHOWN = 20;

const DID: Record<Done['did'], string> = {
  set: t('Changed'),
  cut: t('Cut short'),
  'left-out': t('Left out'),
};

interface RowProps {
  place: string;
  fault: Fault;
  present: unknown;
  isStuck: boolean;
  onGive: (text: string) => void;
  onLeaveOut: () => void;
}

/** One fault: where it is, what is wrong, the value to correct where there is one, and the way to leave it out. */
const FaultRow = ({ place, fault, present, isStuck, onGive, onLeaveOut }: RowProps) => {
  const style = useStyles(styles);
  const former = present === undefined ? '' : String(present);
  const [text, setText] = useState(former);
  const isField = canBeGiven(present, fault);
  return (
    <View style={style.row} role="listitem">
      <Text style={style.place}>{place === '' ? t('The file') : place}</Text>
      <Text style={style.fault}>{faultSentence(fault)}</Text>
      {isStuck ? <Text style={style.fault}>{t('The shop needs this: it cannot be left out.')}</Text> : null}
      <View style={style.fields}>
        {isField ? (
          <View style={style.field}>
            <TextLine
              hideLabel
              label={t('Right value of {place}', { place })}
              value={text}
              onChange={setText}
              onSubmit={() => onGive(text)}
            />
          </View>
        ) : null}
        {isField ? (
          <TextAction
            label={t('Set')}
            accessibilityLabel={t('Set {place}', { place })}
            disabled={text === former}
            onPress={() => onGive(text)}
          />
        ) : null}
        <TextAction
          label={t('Leave out')}
          accessibilityLabel={t('Leave out {place}', { place })}
          disabled={isStuck}
          onPress={onLeaveOut}
        />
      </View>
    </View>
  );
};

/** What was done so far, with the way back. */
const DoneList = ({ repairs, onUndo }: { repairs: readonly Done[]; onUndo: () => void }) => {
  const style = useStyles(styles);
  if (repairs.length === 0) return null;
  return (
    <View role="list" aria-label={t('Repaired so far')}>
      {repairs.slice(-MOST_SHOWN).map(({ did, place }, at) => (
        <Text key={`${place}-${at}`} role="listitem" style={style.note}>
          {DID[did]}: {place}
        </Text>
      ))}
      {repairs.length > MOST_SHOWN ? (
        <Text style={style.note}>
          {t('and {count, plural, one {# repair} other {# repairs}} before', {
            count: repairs.length - MOST_SHOWN,
          })}
        </Text>
      ) : null}
      <View style={style.buttons}>
        <TextAction label={t('Take the last repair back')} onPress={onUndo} />
      </View>
    </View>
  );
};

/** What state the text was in, and what is to be done about it. */
const Explanation = ({ isBroken, isMended }: { isBroken: boolean; isMended: boolean }) => {
  const style = useStyles(styles);
  return (
    <>
      {isBroken ? (
        <Text style={style.fault}>
          {t('Its text broke off or was changed by hand. This is what could be read of it.')}
        </Text>
      ) : null}
      {isMended ? null : (
        <Text style={style.note}>
          {t(
            'Correct a value, or leave out what is faulty. Nothing here changes until you open the repaired shop.',
          )}
        </Text>
      )}
    </>
  );
};

/** A shop that cannot be read as it is, fault by fault; what is here stays as it is until the repaired shop is opened. */
export const Repair = ({ name, value, here, broken, onOpen, onClose }: Props) => {
  const style = useStyles(styles);
  const mending = useRepair(value, here);
  const { faults, file, repairs, isBusy, stuck } = mending;
  const shown = faults.slice(0, MOST_SHOWN);
  return (
    <View style={style.panel} role="region" aria-label={t('Repair {name}', { name })}>
      <Text variant="titleMedium">
        {file
          ? t('{name} can be read now', { name })
          : t('{name}: {count, plural, one {# fault} other {# faults}} to repair', {
              name,
              count: faults.length,
            })}
      </Text>
      <Explanation isBroken={broken.length > 0} isMended={file !== null} />
      <View role="list" aria-label={t('What is wrong')}>
        {shown.map((fault, at) => (
          <FaultRow
            key={`${fault.path} ${repairs.length} ${at}`}
            place={placeOf(mending.value, fault)}
            fault={fault}
            present={valueAt(mending.value, fault.path)}
            isStuck={stuck?.path === fault.path}
            onGive={(text) => mending.give(fault, text)}
            onLeaveOut={() => mending.leaveOut(fault)}
          />
        ))}
      </View>
      {faults.length > MOST_SHOWN ? (
        <Text style={style.note}>
          {t('and {count, plural, one {# more fault} other {# more faults}}', {
            count: faults.length - MOST_SHOWN,
          })}
        </Text>
      ) : null}
      <DoneList repairs={repairs} onUndo={mending.undo} />
      <View style={style.buttons}>
        {file ? (
          <Button mode="contained" onPress={() => onOpen(file)}>
            {t('Open the repaired shop')}
          </Button>
        ) : (
          <Button mode="outlined" onPress={isBusy ? mending.stop : mending.leaveOutAll}>
            {isBusy ? t('Stop') : t('Leave out all that is faulty')}
          </Button>
        )}
        <TextAction label={t('Cancel')} onPress={onClose} />
      </View>
    </View>
  );
};
