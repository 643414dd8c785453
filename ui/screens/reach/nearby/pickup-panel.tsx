import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { labelled } from '../../../../core/words/labelled.ts';
import type { PickupPoint } from '../../../../core/model/delivery.ts';
import { Check } from '../../../parts/check.tsx';
import { Chooser } from '../../../parts/chooser.tsx';
import {
  MoneyField,
  NameField,
  OptionalMeasureField,
  OptionalMoneyField,
  WordsField,
} from '../../../fields/kind-fields.tsx';
import { FieldGroup } from '../../../fields/field-group.tsx';
import { LimitFields } from '../../../fields/limit-fields.tsx';
import { MarkedText } from '../../../parts/marked-text.tsx';
import { PreparationFields } from '../../../fields/preparation-fields.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { TimingFields } from '../../../fields/timing-fields.tsx';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { useAppDispatch } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { aside } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { ClosedDates } from './closed-dates.tsx';
import { WeekStrip } from './week-strip.tsx';
import { Actions } from '../../../parts/actions.tsx';
import { MoveActions } from '../../../parts/move-actions.tsx';
import { SwitchAction } from '../../../parts/switch-action.tsx';
import { fieldsOf } from '../../../fields/fields-of.ts';

const styles = (inks: Inks) => ({
  panel: { gap: 20, paddingTop: 4, paddingBottom: 24 },
  off: { ...aside, color: inks.doubt },
  offRow: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 } as const,
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  half: { flexGrow: 1, flexBasis: 180 },
  field: { width: 160 },
  seen: { borderLeftWidth: 3, borderLeftColor: inks.hairline, paddingLeft: 12 },
});

type ChangePoint = (changes: Partial<PickupPoint>, what: string, visit?: string | null) => void;

const ChargeFields = ({ point, set }: { point: PickupPoint; set: ChangePoint }) => {
  const field = fieldsOf(point, set);
  const style = useStyles(styles);
  return (
    <FieldGroup name={t('What it costs, and for whom')}>
      <MoneyField right style={style.field} label={t('Charge for collecting')} {...field('charge')} />
      <OptionalMoneyField
        right
        style={style.field}
        label={t('Minimum order')}
        placeholder={t('no minimum')}
        {...field('minSubtotal', t('least order'))}
      />
      <OptionalMeasureField
        right
        style={style.field}
        label={t('Customers up to')}
        placeholder={t('any distance')}
        {...field('maxDistance', t('greatest distance'))}
        measure="distance"
      />
    </FieldGroup>
  );
};

const Instructions = ({ point, set }: { point: PickupPoint; set: ChangePoint }) => {
  const style = useStyles(styles);
  const { instructions = '' } = point;
  return (
    <View style={{ gap: 8 }}>
      <WordsField
        prose
        multiline
        label={t('How to collect; *italic*, **bold**, lists and links (Markdown)')}
        placeholder={t('nothing')}
        value={instructions}
        most={2_000}
        onChange={(text, visit) =>
          set({ instructions: text === '' ? undefined : text }, t('instructions'), visit)
        }
      />
      {instructions === '' ? null : (
        <View style={style.seen} role="group" aria-label={t('As customers see it')}>
          <MarkedText text={instructions} />
        </View>
      )}
    </View>
  );
};

const PointActions = ({ point }: { point: PickupPoint }) => {
  const dispatch = useAppDispatch();
  const { pickups } = useBookParts('pickups');
  const at = pickups.findIndex(({ id }) => id === point.id);
  const move = (by: number): void =>
    void dispatch(edit('movePickup', { id: point.id, by }, t('Move {point}', { point: point.name })));
  const copy = (): void => {
    dispatch(edit('copyPickup', { id: point.id }, t('Copy {point}', { point: point.name })));
    dispatch(undoMessage(t('{point} is copied below it, switched off.', { point: point.name })));
  };
  const remove = (): void => {
    dispatch(edit('removePickup', { id: point.id }, t('Remove {point}', { point: point.name })));
    dispatch(undoMessage(t('Removed {point}.', { point: point.name })));
  };
  return (
    <Actions>
      <MoveActions at={at} count={pickups.length} onMove={move} />
      <TextAction label={t('Copy the pickup point')} onPress={copy} />
      <TextAction label={t('Remove the pickup point')} onPress={remove} />
    </Actions>
  );
};

/** Whether a pickup point is offered, what it is called, and where it is. */
const PointHead = ({ point, set }: { point: PickupPoint; set: ChangePoint }) => {
  const style = useStyles(styles);
  const { locations } = useBookParts('locations');
  const location = locations.find(({ id }) => id === point.locationId);
  const field = fieldsOf(point, set);
  return (
    <>
      <View style={style.offRow}>
        {point.active ? null : <Text style={style.off}>{t('Switched off: customers do not see it.')}</Text>}
        <SwitchAction
          on={point.active}
          onSwitch={(active) => set({ active }, active ? t('switched on') : t('switched off'))}
        />
      </View>
      <View style={style.row}>
        <NameField
          prose
          style={style.half}
          label={t('Pickup point, as customers see it')}
          {...field('name')}
        />
        <View style={[style.half, { flexDirection: 'row' }]}>
          <Chooser
            label={t('Is at')}
            chosen={location?.name ?? ''}
            options={locations.map(({ id, name }) => ({ id, name, note: '' }))}
            onChoose={(locationId) => set({ locationId }, t('location'))}
          />
        </View>
      </View>
    </>
  );
};

/** Everything about a pickup point: where, what it costs, when it is ready, how it is collected. */
export const PickupPanel = ({ point }: { point: PickupPoint }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { locations } = useBookParts('locations');
  const location = locations.find(({ id }) => id === point.locationId) ?? locations[0];
  const set: ChangePoint = (changes, what, visit = null) =>
    void dispatch(edit('setPickup', { id: point.id, changes }, labelled(point.name, what), visit));
  return (
    <View style={style.panel} role="group" aria-label={point.name}>
      <PointHead point={point} set={set} />
      <ChargeFields point={point} set={set} />
      <PreparationFields
        needed
        preparation={point.preparation}
        onChange={(preparation, visit) =>
          preparation ? set({ preparation }, t('preparation'), visit) : undefined
        }
      />
      <TimingFields
        timing={point.timing}
        hours={location?.hours ?? []}
        onChange={(timing, visit) => set({ timing }, t('time'), visit)}
      />
      <ClosedDates
        dates={point.closedDates}
        location={location?.name ?? ''}
        onChange={(closedDates, visit) => set({ closedDates }, t('closed dates'), visit)}
      />
      <WeekStrip id={point.id} />
      <LimitFields limits={point.limits} onChange={(limits, visit) => set({ limits }, t('limits'), visit)} />
      <Instructions point={point} set={set} />
      <View>
        <Check
          label={t('Kerbside: the order is brought out to the customer’s car')}
          on={point.kerbside}
          onPress={() => set({ kerbside: !point.kerbside }, t('kerbside'))}
        />
        <Check
          label={t('Taxed like other charges here')}
          on={point.taxable}
          onPress={() => set({ taxable: !point.taxable }, t('tax'))}
        />
      </View>
      <PointActions point={point} />
    </View>
  );
};
