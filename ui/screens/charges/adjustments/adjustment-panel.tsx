import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { labelled } from '../../../../core/words/labelled.ts';
import type { Adjustment, Condition } from '../../../../core/model/adjustment.ts';
import { Check } from '../../../parts/check.tsx';
import { Chooser } from '../../../parts/chooser.tsx';
import { NameField } from '../../../fields/kind-fields.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { useShown } from '../../../parts/use-shown.ts';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { useAppDispatch } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../../theme/tokens.ts';
import { ConditionFields, CONDITIONS } from './condition-fields.tsx';
import { EffectFields } from './effect-fields.tsx';
import { SubjectFields } from './subject-fields.tsx';
import { IconAction } from '../../../parts/icon-action.tsx';
import { Actions } from '../../../parts/actions.tsx';
import { MoveActions } from '../../../parts/move-actions.tsx';
import { fieldsOf } from '../../../fields/fields-of.ts';

type Changes = Partial<Omit<Adjustment, 'id'>>;

const styles = (inks: Inks) => ({
  all: { gap: 16, paddingTop: 4, paddingBottom: 20 },
  part: { gap: 8 },
  title: { fontFamily: SANS_STRONG, fontSize: 13, lineHeight: 18 },
  note: note(inks),
  condition: {
    flexDirection: 'row',
    alignItems: 'flex-start',
    gap: 8,
    borderLeftWidth: 1,
    borderLeftColor: inks.hairline,
    paddingLeft: 12,
  } as const,
});

const Part = ({ title, children }: { title: string; children: ReactNode }) => {
  const style = useStyles(styles);
  return (
    <View style={style.part} role="group" aria-label={title}>
      <Text style={style.title}>{title}</Text>
      {children}
    </View>
  );
};

const Conditions = ({
  when,
  onChange,
}: {
  when: Condition[];
  onChange: (when: Condition[], visit: string | null) => void;
}) => {
  const style = useStyles(styles);
  return (
    <Part title={t('When all of these hold')}>
      {when.length === 0 ? <Text style={style.note}>{t('No condition: it always applies.')}</Text> : null}
      {when.map((condition, at) => (
        <View style={style.condition} key={`${condition.test}-${at}`}>
          <View style={{ flex: 1, gap: 4 }}>
            <Text style={style.note}>{CONDITIONS[condition.test].name}</Text>
            <ConditionFields
              condition={condition}
              onChange={(next, visit) =>
                onChange(
                  when.map((one, i) => (i === at ? next : one)),
                  visit,
                )
              }
            />
          </View>
          <IconAction
            icon="close"
            size={18}
            accessibilityLabel={t('Remove the condition: {condition}', {
              condition: CONDITIONS[condition.test].name,
            })}
            onPress={() =>
              onChange(
                when.filter((_, i) => i !== at),
                null,
              )
            }
          />
        </View>
      ))}
      <View style={{ flexDirection: 'row', maxWidth: 320 }}>
        <Chooser
          hideLabel
          label={t('Add a condition')}
          placeholder={t('Add a condition')}
          chosen=""
          options={Object.entries(CONDITIONS).map(([id, { name }]) => ({ id, name, note: '' }))}
          onChoose={(id) => onChange([...when, CONDITIONS[id as Condition['test']].first], null)}
        />
      </View>
    </Part>
  );
};

/** An adjustment: what it does, when, and to what; with its place in the order. */
export const AdjustmentPanel = ({
  adjustment,
  at,
  count,
}: {
  adjustment: Adjustment;
  at: number;
  count: number;
}) => {
  const style = useStyles(styles);
  const shown = useShown(true);
  const dispatch = useAppDispatch();
  const { id, name, active, when, to, effect, last } = adjustment;
  const set = (changes: Changes, what: string, visit: string | null = null): void => {
    dispatch(edit('setAdjustment', { id, changes }, labelled(name, what), visit));
  };
  const field = fieldsOf(adjustment, set);
  const move = (by: number): void =>
    void dispatch(edit('moveAdjustment', { id, by }, t('Move {name}', { name })));
  const remove = (): void => {
    dispatch(edit('removeAdjustment', { id }, t('Remove {name}', { name })));
    dispatch(undoMessage(t('Removed {name}.', { name })));
  };
  return (
    <View style={style.all} ref={shown}>
      <NameField label={t('Adjustment')} prose {...field('name')} />
      <Part title={t('What it does')}>
        <EffectFields effect={effect} onChange={(next, visit) => set({ effect: next }, t('effect'), visit)} />
      </Part>
      <Conditions when={when} onChange={(next, visit) => set({ when: next }, t('conditions'), visit)} />
      <Part title={t('To these choices')}>
        <SubjectFields to={to} onChange={(next) => set({ to: next }, t('what it is for'))} />
      </Part>
      <View>
        <Check
          label={t('Active')}
          on={active}
          onPress={() => set({ active: !active }, active ? t('switched off') : t('switched on'))}
        />
        <Check
          label={t('Skip later adjustments')}
          on={last === true}
          onPress={() => set({ last: last ? undefined : true }, t('last'))}
        />
      </View>
      <Actions>
        <MoveActions at={at} count={count} onMove={move} />
        <TextAction
          label={t('Copy')}
          onPress={() => dispatch(edit('copyAdjustment', { id }, t('Copy {name}', { name })))}
        />
        <TextAction label={t('Remove the adjustment')} onPress={remove} />
      </Actions>
    </View>
  );
};
