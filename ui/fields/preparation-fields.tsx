import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import type { Preparation } from '../../core/model/time.ts';
import { CountField, TimeField } from './kind-fields.tsx';
import { Segments } from '../parts/segments.tsx';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';

interface Props {
  preparation: Preparation | undefined;
  onChange: (next: Preparation | undefined, visit: string | null) => void;
  /** Whether it has to be said: then it cannot be left out. */
  needed?: boolean;
}

type Kind = Preparation['kind'] | 'none';

const FIRST: Record<Preparation['kind'], Preparation> = {
  'open-minutes': { kind: 'open-minutes', minutes: 60 },
  'working-days': { kind: 'working-days', days: 1 },
  'cut-off': { kind: 'cut-off', cutoff: '13:00', readyAt: '15:00', days: 0 },
};
const MEANING: Record<Kind, string> = {
  none: t('Ready the same day if ordered in opening hours, otherwise on the next open day.'),
  'open-minutes': t('The minutes are counted only while it is open.'),
  'working-days': t('Ready at opening, that many open days later.'),
  'cut-off': t('Orders are prepared together after the cut-off; later ones wait for the next open day.'),
};

const styles = (inks: Inks) => ({
  note: note(inks),
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 } as const,
  field: { width: 150 },
});

const Figures = ({ preparation, onChange }: { preparation: Preparation; onChange: Props['onChange'] }) => {
  const style = useStyles(styles);
  const count = (label: string, most: number, value: number, set: (value: number) => Preparation) => (
    <CountField
      right
      style={style.field}
      label={label}
      value={value}
      least={0}
      most={most}
      onChange={(next, visit) => onChange(set(next), visit)}
    />
  );
  const time = (label: string, value: string, set: (value: string) => Preparation) => (
    <TimeField
      right
      style={style.field}
      label={label}
      value={value}
      onChange={(next, visit) => onChange(set(next), visit)}
    />
  );
  if (preparation.kind === 'open-minutes') {
    return count(t('Minutes'), 100_000, preparation.minutes, (minutes) => ({ ...preparation, minutes }));
  }
  if (preparation.kind === 'working-days') {
    return count(t('Open days'), 365, preparation.days, (days) => ({ ...preparation, days }));
  }
  return (
    <View style={style.row}>
      {time(t('Cut-off'), preparation.cutoff, (cutoff) => ({ ...preparation, cutoff }))}
      {time(t('Ready at'), preparation.readyAt, (readyAt) => ({ ...preparation, readyAt }))}
      {count(t('Open days later'), 365, preparation.days, (days) => ({ ...preparation, days }))}
    </View>
  );
};

/** When an order is ready to be handed over at a location. */
export const PreparationFields = ({ preparation, onChange, needed = false }: Props) => {
  const kind: Kind = preparation?.kind ?? 'none';
  const style = useStyles(styles);
  return (
    <View style={{ gap: 8 }} role="group" aria-label={t('When orders are ready')}>
      <Segments<Kind>
        label={t('Orders are ready')}
        value={kind}
        onChange={(next) => onChange(next === 'none' ? undefined : FIRST[next], null)}
        options={[
          ...(needed ? [] : [{ value: 'none' as const, label: t('the same day') }]),
          { value: 'open-minutes', label: t('after minutes') },
          { value: 'working-days', label: t('after days') },
          { value: 'cut-off', label: t('by a cut-off') },
        ]}
      />
      <Text style={style.note}>{MEANING[kind]}</Text>
      {preparation ? <Figures preparation={preparation} onChange={onChange} /> : null}
    </View>
  );
};
