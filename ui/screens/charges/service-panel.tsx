import { useState } from 'react';
import { View } from 'react-native';
import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
import type { Service } from '../../../core/model/rate.ts';
import { NameField, WordsField } from '../../fields/kind-fields.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { edit, visitBegan } from '../../state/draft.ts';
import { undoMessage } from '../../state/session.ts';
import { useAppDispatch } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { RaiseRates } from './raise-rates.tsx';
import { Actions } from '../../parts/actions.tsx';
import { MoveActions } from '../../parts/move-actions.tsx';
import { fieldsOf } from '../../fields/fields-of.ts';

/** What customers read of a service. */
const ServiceNames = ({ service }: { service: Service }) => {
  const dispatch = useAppDispatch();
  const set = (changes: Partial<Service>, what: string, visit: string): void => {
    dispatch(edit('setService', { id: service.id, changes }, labelled(service.name, what), visit));
  };
  return (
    <>
      <NameField
        label={t('Service, as customers see it')}
        prose
        {...fieldsOf(service, set)('name', t('name'))}
      />
      <WordsField
        label={t('A note under it')}
        prose
        placeholder={t('no note')}
        value={service.note ?? ''}
        most={2_000}
        onChange={(note, visit) => set({ note }, t('note'), visit)}
      />
    </>
  );
};

/** A service's name and note, where it stands, and what can be done with all its rates. */
const ServicePanel = ({ service, onGone }: { service: Service; onGone: () => void }) => {
  const dispatch = useAppDispatch();
  const { services, rates } = useBookParts('services', 'rates');
  const isPhone = useWidth() === 'phone';
  const [raising, setRaising] = useState(false);
  const own = rates.filter((rate) => rate.serviceId === service.id);
  const ids = own.map((rate) => rate.id);
  const isOn = own.some((rate) => rate.active);
  const at = services.findIndex((one) => one.id === service.id);
  const switchAll = (): void => {
    dispatch(visitBegan());
    const label = isOn
      ? t('{service}: switched off everywhere', { service: service.name })
      : t('{service}: switched on everywhere', { service: service.name });
    dispatch(edit('switchRates', { ids, active: !isOn }, label));
  };
  const remove = (): void => {
    dispatch(edit('removeService', { id: service.id }, t('Remove {service}', { service: service.name })));
    dispatch(
      undoMessage(
        t('Removed {service} with {count, plural, one {# rate} other {# rates}}.', {
          service: service.name,
          count: ids.length,
        }),
      ),
    );
    onGone();
  };
  const move = (by: number): void =>
    void dispatch(
      edit('moveService', { id: service.id, by }, t('Move {service}', { service: service.name })),
    );
  return (
    <View style={{ gap: 12 }}>
      <ServiceNames service={service} />
      <Actions>
        <MoveActions isSideways={!isPhone} at={at} count={services.length} onMove={move} />
        <TextAction
          label={t('Raise or lower all')}
          disabled={ids.length === 0}
          onPress={() => setRaising(!raising)}
        />
        <TextAction
          label={isOn ? t('Switch off everywhere') : t('Switch on everywhere')}
          disabled={ids.length === 0}
          onPress={switchAll}
        />
        <TextAction label={t('Remove the service')} onPress={remove} />
      </Actions>
      {raising ? <RaiseRates ids={ids} onDone={() => setRaising(false)} /> : null}
    </View>
  );
};

export default ServicePanel;
