import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
import type { Zone } from '../../../core/model/place.ts';
import type { Price } from '../../../core/model/price.ts';
import type { Rate, Service } from '../../../core/model/rate.ts';
import { kindOf } from '../../../core/price/kinds.ts';
import { ratePhrase } from '../../../core/price/rate-phrase.ts';
import { Opened } from '../../parts/opened.tsx';
import { SwitchedOff } from '../../parts/switched-off.tsx';
import { StepCurve } from '../../parts/step-curve.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { useSteady } from '../../parts/use-steady.ts';
import { useWidth } from '../../parts/use-width.ts';
import { edit } from '../../state/draft.ts';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { PriceEditor, PriceKind } from './price-editor.tsx';
import { RateActions } from './rate-actions.tsx';
import { RateConditions } from './rate-conditions.tsx';
import { selectTestOrderMark } from './test-order-mark.ts';

interface Props {
  rate: Rate;
  zone: Zone;
  service: Service;
}

const styles = (inks: Inks) => ({
  columns: { flexDirection: 'row', gap: 28, alignItems: 'flex-start' } as const,
  rows: { gap: 12 },
  price: { flex: 6, minWidth: 0 },
  curve: { flex: 5, minWidth: 0 },
  note: note(inks),
  summary: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 } as const,
  words: { ...note(inks), flexShrink: 1 },
});

/** A rate's price and its curve together, then its conditions, then what can be done with the whole. */
export const RateEditor = ({ rate, zone, service }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const display = useAppSelector(selectDisplayFormat);
  const isPhone = useWidth() === 'phone';
  const [conditions, setConditions] = useState(false);
  const label = t('{service} to {zone}', { service: service.name, zone: zone.name });
  const set = (changes: Partial<Rate>, what: string, visit: string | null = null): void => {
    dispatch(edit('setRate', { id: rate.id, changes }, labelled(label, what), visit));
  };
  const change = useSteady(set);
  const setPrice = useSteady((price: Price, visit: string | null) => set({ price }, t('price'), visit));
  const setLimits = useSteady((limits: Rate['limits'], visit: string) => set({ limits }, t('limits'), visit));
  const mark = useAppSelector((state) =>
    selectTestOrderMark(state, kindOf(rate.price).curveBasis(rate.price)),
  );
  const extent = Math.max(mark?.at ?? 0, rate.limits?.weight?.max ?? 0, 1);
  const curve = useMemo(() => kindOf(rate.price).curve(rate.price, extent), [rate.price, extent]);
  const picture = curve ? (
    <StepCurve curve={curve} display={display} mark={mark} title={t('Charge for {label}', { label })} />
  ) : null;
  const notes = ratePhrase(rate, display).notes.filter((words) => !words.startsWith('by '));
  return (
    <View style={{ gap: 12 }}>
      {rate.active ? null : (
        <SwitchedOff
          what={t('This rate')}
          isFree={kindOf(rate.price).chargesNothing(rate.price)}
          onSwitch={() => set({ active: true }, t('switched on'))}
        />
      )}
      <PriceKind price={rate.price} onChange={setPrice} />
      <View style={isPhone ? style.rows : style.columns}>
        {isPhone ? picture : null}
        <View style={isPhone ? null : style.price}>
          <PriceEditor price={rate.price} onChange={setPrice} limits={rate.limits} onLimits={setLimits} />
        </View>
        {isPhone || !picture ? null : <View style={style.curve}>{picture}</View>}
      </View>
      <View style={style.summary}>
        <Text style={style.words}>
          {notes.length > 0 ? notes.join(' · ') : t('No limits, no handling, no free threshold.')}
        </Text>
        <TextAction
          style={{ marginLeft: -4 }}
          label={conditions ? t('Hide') : t('Limits, handling and more')}
          onPress={() => setConditions(!conditions)}
        />
      </View>
      {conditions ? (
        <Opened>
          <RateConditions rate={rate} onChange={change} />
        </Opened>
      ) : null}
      <RateActions rateId={rate.id} active={rate.active} zone={zone} service={service} />
    </View>
  );
};
