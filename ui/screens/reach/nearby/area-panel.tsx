import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { labelled } from '../../../../core/words/labelled.ts';
import type { DeliveryArea } from '../../../../core/model/delivery.ts';
import type { Location } from '../../../../core/model/location.ts';
import { areaIsFree } from '../../../../core/price/free-area.ts';
import { Check } from '../../../parts/check.tsx';
import { Chooser } from '../../../parts/chooser.tsx';
import { NameField, OptionalMoneyField, WordsField } from '../../../fields/kind-fields.tsx';
import { FieldGroup } from '../../../fields/field-group.tsx';
import { LimitFields } from '../../../fields/limit-fields.tsx';
import { PreparationFields } from '../../../fields/preparation-fields.tsx';
import { SwitchedOff } from '../../../parts/switched-off.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { useAppDispatch } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { SANS_STRONG } from '../../../theme/tokens.ts';
import { PriceEditor, PriceKind } from '../../charges/price-editor.tsx';
import { limitOf } from '../../charges/steps-end.tsx';
import { ClosedDates } from './closed-dates.tsx';
import { CoverageFields } from './coverage-fields.tsx';
import { MethodsFields } from './method-fields.tsx';
import { Actions } from '../../../parts/actions.tsx';
import { MoveActions } from '../../../parts/move-actions.tsx';
import { fieldsOf } from '../../../fields/fields-of.ts';

const styles = () => ({
  panel: { gap: 20, paddingTop: 4, paddingBottom: 24 },
  switch: { alignSelf: 'flex-start', marginLeft: -4 } as const,
  title: { fontFamily: SANS_STRONG },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  half: { flexGrow: 1, flexBasis: 180 },
  field: { width: 148 },
});

type ChangeArea = (changes: Partial<DeliveryArea>, what: string, visit?: string | null) => void;

/** What stands beside the price: least order, free threshold, service fee. */
const ChargeFields = ({ area, set }: { area: DeliveryArea; set: ChangeArea }) => {
  const style = useStyles(styles);
  const { serviceFee: fee } = area;
  const field = (label: string, value: number | undefined, none: string, key: 'freeFrom' | 'minSubtotal') => (
    <OptionalMoneyField
      right
      style={style.field}
      label={label}
      placeholder={none}
      value={value}
      onChange={(next, visit) => set({ [key]: next }, label.toLowerCase(), visit)}
    />
  );
  return (
    <FieldGroup name={t('The charge')}>
      {field(t('Free from a subtotal of'), area.freeFrom, t('never free'), 'freeFrom')}
      {field(t('Minimum order'), area.minSubtotal, t('no minimum'), 'minSubtotal')}
      <OptionalMoneyField
        right
        style={style.field}
        label={t('Service fee, always')}
        placeholder={t('none')}
        value={fee?.amount}
        onChange={(amount, visit) =>
          set(
            {
              serviceFee: amount === undefined ? undefined : { name: fee?.name ?? t('Service fee'), amount },
            },
            t('service fee'),
            visit,
          )
        }
      />
      {fee ? (
        <NameField
          prose
          style={style.half}
          label={t('The fee is called')}
          value={fee.name}
          onChange={(name, visit) => set({ serviceFee: { ...fee, name } }, t('service fee'), visit)}
        />
      ) : null}
    </FieldGroup>
  );
};

const AreaActions = ({ area }: { area: DeliveryArea }) => {
  const dispatch = useAppDispatch();
  const { areas } = useBookParts('areas');
  const at = areas.findIndex(({ id }) => id === area.id);
  const move = (by: number): void =>
    void dispatch(edit('moveArea', { id: area.id, by }, t('Move {area}', { area: area.name })));
  const copy = (): void => {
    dispatch(edit('copyArea', { id: area.id }, t('Copy {area}', { area: area.name })));
    dispatch(undoMessage(t('{area} is copied below it, switched off.', { area: area.name })));
  };
  const remove = (): void => {
    dispatch(edit('removeArea', { id: area.id }, t('Remove {area}', { area: area.name })));
    dispatch(undoMessage(t('Removed {area}.', { area: area.name })));
  };
  return (
    <Actions>
      <MoveActions at={at} count={areas.length} onMove={move} />
      <TextAction label={t('Copy the area')} onPress={copy} />
      <TextAction label={t('Remove the area')} onPress={remove} />
    </Actions>
  );
};

/** Whether an area is offered, what it is called, and where its orders leave from. */
const AreaHead = ({ area, location, set }: { area: DeliveryArea; location: Location; set: ChangeArea }) => {
  const field = fieldsOf(area, set);
  const style = useStyles(styles);
  const { locations } = useBookParts('locations');
  return (
    <>
      {area.active ? (
        <TextAction
          style={style.switch}
          label={t('Switch off')}
          onPress={() => set({ active: false }, t('switched off'))}
        />
      ) : (
        <SwitchedOff
          what={t('This area')}
          isFree={areaIsFree(area)}
          onSwitch={() => set({ active: true }, t('switched on'))}
        />
      )}
      <View style={style.row}>
        <NameField prose style={style.half} label={t('Delivery area')} {...field('name')} />
        <View style={[style.half, { flexDirection: 'row' }]}>
          <Chooser
            label={t('Leaves from')}
            chosen={location.name}
            options={locations.map(({ id, name }) => ({ id, name, note: '' }))}
            onChoose={(locationId) => set({ locationId }, t('location'))}
          />
        </View>
      </View>
    </>
  );
};

/** What an area charges before its methods add to it. */
const PriceFields = ({ area, set }: { area: DeliveryArea; set: ChangeArea }) => {
  const style = useStyles(styles);
  return (
    <View style={{ gap: 12 }} role="group" aria-label={t('Price')}>
      <Text style={style.title}>{t('Price')}</Text>
      <PriceKind nearby price={area.price} onChange={(price, visit) => set({ price }, t('price'), visit)} />
      <PriceEditor
        price={area.price}
        onChange={(price, visit) => set({ price }, t('price'), visit)}
        limits={area.limits}
        onLimits={(limits, visit) => set({ limits }, t('limits'), visit)}
      />
    </View>
  );
};

/** Everything about a delivery area: where, what it costs, when it is ready, how it comes. */
export const AreaPanel = ({ area }: { area: DeliveryArea }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { locations } = useBookParts('locations');
  const location = locations.find(({ id }) => id === area.locationId) ?? locations[0];
  const set: ChangeArea = (changes, what, visit = null) =>
    void dispatch(edit('setArea', { id: area.id, changes }, labelled(area.name, what), visit));
  if (!location) return null;
  return (
    <View style={style.panel} role="group" aria-label={area.name}>
      <AreaHead area={area} location={location} set={set} />
      <CoverageFields
        area={area}
        location={location}
        onChange={(covers, visit) => set({ covers }, t('where'), visit)}
      />
      <PriceFields area={area} set={set} />
      <ChargeFields area={area} set={set} />
      <PreparationFields
        needed
        preparation={area.preparation}
        onChange={(preparation, visit) =>
          preparation ? set({ preparation }, t('preparation'), visit) : undefined
        }
      />
      <ClosedDates
        dates={area.closedDates}
        location={location.name}
        onChange={(closedDates, visit) => set({ closedDates }, t('closed dates'), visit)}
      />
      <MethodsFields area={area} hours={location.hours} />
      <LimitFields
        but={limitOf(area.price)}
        limits={area.limits}
        onChange={(limits, visit) => set({ limits }, t('limits'), visit)}
      />
      <WordsField
        prose
        multiline
        label={t('Note to customers at checkout')}
        placeholder={t('nothing')}
        value={area.instructions ?? ''}
        most={2_000}
        onChange={(text, visit) =>
          set({ instructions: text === '' ? undefined : text }, t('instructions'), visit)
        }
      />
      <Check
        label={t('Taxed like other charges at the destination')}
        on={area.taxable}
        onPress={() => set({ taxable: !area.taxable }, t('tax'))}
      />
      <AreaActions area={area} />
    </View>
  );
};
