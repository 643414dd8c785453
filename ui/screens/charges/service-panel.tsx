import { useState } from 'react';
import { View } from 'react-native';
import type { Service } from '../../../core/model/rate.ts';
import { countFigure } from '../../../core/words/figure.ts';
import { NameField, WordsField } from '../../fields/kind-fields.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { edit, visitBegan } from '../../state/draft.ts';
import { messageShown } from '../../state/session.ts';
import { useAppDispatch } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { RaiseRates } from './raise-rates.tsx';
import { Actions } from '../../parts/actions.tsx';
import { MoveActions } from '../../parts/move-actions.tsx';
import { fieldsOf } from '../../fields/fields-of.ts';

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
  const set = (changes: Partial<Service>, what: string, visit: string): void => {
    dispatch(edit('setService', { id: service.id, changes }, `${service.name}: ${what}`, visit));
  };
  const field = fieldsOf(service, set);
  const switchAll = (): void => {
    dispatch(visitBegan());
    const label = `${service.name}: switched ${isOn ? 'off' : 'on'} everywhere`;
    dispatch(edit('switchRates', { ids, active: !isOn }, label));
  };
  const remove = (): void => {
    dispatch(edit('removeService', { id: service.id }, `Remove ${service.name}`));
    dispatch(
      messageShown({ text: `Removed ${service.name} with ${countFigure(ids.length, 'rate')}.`, undo: true }),
    );
    onGone();
  };
  const move = (by: number): void =>
    void dispatch(edit('moveService', { id: service.id, by }, `Move ${service.name}`));
  return (
    <View style={{ gap: 12 }}>
      <NameField label="Service, as customers see it" prose {...field('name')} />
      <WordsField
        label="A note under it"
        prose
        placeholder="no note"
        value={service.note ?? ''}
        most={2_000}
        onChange={(note, visit) => set({ note }, 'note', visit)}
      />
      <Actions>
        <MoveActions isSideways={!isPhone} at={at} count={services.length} onMove={move} />
        <TextAction
          label="Raise or lower all"
          disabled={ids.length === 0}
          onPress={() => setRaising(!raising)}
        />
        <TextAction
          label={isOn ? 'Switch off everywhere' : 'Switch on everywhere'}
          disabled={ids.length === 0}
          onPress={switchAll}
        />
        <TextAction label="Remove the service" onPress={remove} />
      </Actions>
      {raising ? <RaiseRates ids={ids} onDone={() => setRaising(false)} /> : null}
    </View>
  );
};

export default ServicePanel;
