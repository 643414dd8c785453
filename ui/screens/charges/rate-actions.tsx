import { useRouter } from 'expo-router';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { Button } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
import type { Zone } from '../../../core/model/place.ts';
import type { Rate, Service } from '../../../core/model/rate.ts';
import { Check } from '../../parts/check.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { edit, visitBegan } from '../../state/draft.ts';
import { undoMessage } from '../../state/session.ts';
import { selectRatesByCell } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { RaiseRates } from './raise-rates.tsx';
import { Actions } from '../../parts/actions.tsx';

interface Props {
  rateId: Rate['id'];
  active: boolean;
  zone: Zone;
  service: Service;
}

const styles = (inks: Inks) => ({
  rule: { borderTopWidth: 1, borderTopColor: inks.hairline, paddingTop: 4, gap: 8 },
});

/** The whole rate into other zones of the same service, over what is there. */
const CopyForm = ({ rateId, zone, service, onDone }: Omit<Props, 'active'> & { onDone: () => void }) => {
  const dispatch = useAppDispatch();
  const { zones } = useBookParts('zones');
  const rates = useAppSelector(selectRatesByCell);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const toggle = (id: string): void => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  const copy = (): void => {
    const cells = [...chosen].map((zoneId) => ({ serviceId: service.id, zoneId }));
    dispatch(visitBegan());
    dispatch(
      edit(
        'copyRate',
        { id: rateId, cells },
        t('{service} to {zone}: copied to {count, plural, one {# zone} other {# zones}}', {
          service: service.name,
          zone: zone.name,
          count: cells.length,
        }),
      ),
    );
    dispatch(
      undoMessage(t('Copied to {count, plural, one {# zone} other {# zones}}.', { count: cells.length })),
    );
    onDone();
  };
  return (
    <View role="group" aria-label={t('Copy to other zones')}>
      {zones
        .filter((one) => one.id !== zone.id)
        .map((one) => (
          <Check
            key={one.id}
            label={`${one.name}${rates.has(`${service.id}/${one.id}`) ? t(', replacing the rate there') : ''}`}
            on={chosen.has(one.id)}
            onPress={() => toggle(one.id)}
          />
        ))}
      <Button
        mode="outlined"
        disabled={chosen.size === 0}
        onPress={copy}
        style={{ alignSelf: 'flex-start', borderRadius: 2 }}
      >
        {t('Copy to {count, plural, one {# zone} other {# zones}}', { count: chosen.size })}
      </Button>
    </View>
  );
};

/** What can be done with a rate as a whole. */
export const RateActions = memo(function RateActions({ rateId, active, zone, service }: Props) {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const router = useRouter();
  const [doing, setDoing] = useState<'raise' | 'copy' | null>(null);
  const cell = { serviceId: service.id, zoneId: zone.id };
  const label = t('{service} to {zone}', { service: service.name, zone: zone.name });
  const toggle = (what: 'raise' | 'copy') => () => setDoing(doing === what ? null : what);
  const leave = (name: 'removeRate' | 'leaveOut', text: string): void => {
    dispatch(edit(name, { cell }, labelled(label, text)));
    dispatch(undoMessage(`${labelled(label, text)}.`));
  };
  return (
    <View style={style.rule}>
      <Actions>
        {active ? (
          <TextAction
            label={t('Switch off')}
            onPress={() =>
              dispatch(
                edit(
                  'setRate',
                  { id: rateId, changes: { active: false } },
                  t('{label}: switched off', { label }),
                ),
              )
            }
          />
        ) : null}
        <TextAction label={t('Raise or lower')} onPress={toggle('raise')} />
        <TextAction label={t('Copy to other zones')} onPress={toggle('copy')} />
        <TextAction
          label={t('What past orders cost')}
          onPress={() =>
            router.navigate({
              pathname: '/charges',
              params: { part: 'costs', view: 'what-if', rate: rateId },
            })
          }
        />
        <TextAction
          label={t('Not offered here, on purpose')}
          onPress={() => leave('leaveOut', t('not offered, on purpose'))}
        />
        <TextAction label={t('Remove the rate')} onPress={() => leave('removeRate', t('rate removed'))} />
      </Actions>
      {doing === 'raise' ? <RaiseRates ids={[rateId]} onDone={() => setDoing(null)} /> : null}
      {doing === 'copy' ? (
        <CopyForm rateId={rateId} zone={zone} service={service} onDone={() => setDoing(null)} />
      ) : null}
    </View>
  );
});
