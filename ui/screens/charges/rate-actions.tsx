import { useRouter } from 'expo-router';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { Button } from 'react-native-paper';
import type { Zone } from '../../../core/model/place.ts';
import type { Rate, Service } from '../../../core/model/rate.ts';
import { countFigure } from '../../../core/words/figure.ts';
import { Check } from '../../parts/check.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { edit, visitBegan } from '../../state/draft.ts';
import { messageShown } from '../../state/session.ts';
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
        `${service.name} to ${zone.name}: copied to ${countFigure(cells.length, 'zone')}`,
      ),
    );
    dispatch(messageShown({ text: `Copied to ${countFigure(cells.length, 'zone')}.`, undo: true }));
    onDone();
  };
  return (
    <View role="group" aria-label="Copy to other zones">
      {zones
        .filter((one) => one.id !== zone.id)
        .map((one) => (
          <Check
            key={one.id}
            label={`${one.name}${rates.has(`${service.id}/${one.id}`) ? ', replacing the rate there' : ''}`}
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
        {`Copy to ${countFigure(chosen.size, 'zone')}`}
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
  const label = `${service.name} to ${zone.name}`;
  const toggle = (what: 'raise' | 'copy') => () => setDoing(doing === what ? null : what);
  const leave = (name: 'removeRate' | 'leaveOut', text: string): void => {
    dispatch(edit(name, { cell }, `${label}: ${text}`));
    dispatch(messageShown({ text: `${label}: ${text}.`, undo: true }));
  };
  return (
    <View style={style.rule}>
      <Actions>
        {active ? (
          <TextAction
            label="Switch off"
            onPress={() =>
              dispatch(edit('setRate', { id: rateId, changes: { active: false } }, `${label}: switched off`))
            }
          />
        ) : null}
        <TextAction label="Raise or lower" onPress={toggle('raise')} />
        <TextAction label="Copy to other zones" onPress={toggle('copy')} />
        <TextAction
          label="What past orders cost"
          onPress={() =>
            router.navigate({
              pathname: '/charges',
              params: { part: 'costs', view: 'what-if', rate: rateId },
            })
          }
        />
        <TextAction
          label="Not offered here, on purpose"
          onPress={() => leave('leaveOut', 'not offered, on purpose')}
        />
        <TextAction label="Remove the rate" onPress={() => leave('removeRate', 'rate removed')} />
      </Actions>
      {doing === 'raise' ? <RaiseRates ids={[rateId]} onDone={() => setDoing(null)} /> : null}
      {doing === 'copy' ? (
        <CopyForm rateId={rateId} zone={zone} service={service} onDone={() => setDoing(null)} />
      ) : null}
    </View>
  );
});
