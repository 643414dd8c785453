import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { HandlingGroup } from '../../../core/model/good.ts';
import { Check } from '../../parts/check.tsx';
import { DraftField } from '../../parts/draft-field.tsx';
import { readName } from '../../parts/readers.ts';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { edit } from '../../state/draft.ts';
import { told } from '../../state/session.ts';
import { selectBook } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';

type Changes = Partial<Omit<HandlingGroup, 'id'>>;
type Carried = 'any' | 'some' | 'none';
type Goes = 'every' | 'only' | 'never';

const toggled = (ids: readonly string[], id: string): string[] =>
  ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id];

interface PartProps {
  group: HandlingGroup;
  onChange: (changes: Changes, what: string) => void;
}

const CarriedBy = ({ group: { shipping }, onChange }: PartProps) => {
  const { services } = useAppSelector(selectBook);
  const carried: Carried = typeof shipping === 'string' ? shipping : 'some';
  const all = services.map(({ id }) => id);
  return (
    <View style={{ gap: 6 }} role="group" aria-label="Carried by">
      <Text>Carried by</Text>
      <Segments<Carried>
        value={carried}
        onChange={(next) => onChange({ shipping: next === 'some' ? all : next }, 'what carries it')}
        options={[
          { value: 'any', label: 'any service' },
          { value: 'some', label: 'some' },
          { value: 'none', label: 'none' },
        ]}
      />
      {typeof shipping === 'string'
        ? null
        : services.map(({ id, name }) => (
            <Check
              key={id}
              label={name}
              on={shipping.includes(id)}
              onPress={() => onChange({ shipping: toggled(shipping, id) }, 'what carries it')}
            />
          ))}
    </View>
  );
};

const GoesTo = ({ group: { onlyZones, neverZones }, onChange }: PartProps) => {
  const { zones } = useAppSelector(selectBook);
  const goes: Goes = onlyZones ? 'only' : neverZones ? 'never' : 'every';
  const chosen = onlyZones ?? neverZones ?? [];
  const choose = (next: Goes, ids: string[]): void =>
    onChange(
      { onlyZones: next === 'only' ? ids : undefined, neverZones: next === 'never' ? ids : undefined },
      'where it goes',
    );
  return (
    <View style={{ gap: 6 }} role="group" aria-label="Goes to">
      <Text>Goes to</Text>
      <Segments<Goes>
        value={goes}
        onChange={(next) => choose(next, next === 'only' ? zones.map(({ id }) => id) : [])}
        options={[
          { value: 'every', label: 'every zone' },
          { value: 'only', label: 'only' },
          { value: 'never', label: 'all but' },
        ]}
      />
      {goes === 'every'
        ? null
        : zones.map(({ id, name }) => (
            <Check
              key={id}
              label={name}
              on={chosen.includes(id)}
              onPress={() => choose(goes, toggled(chosen, id))}
            />
          ))}
    </View>
  );
};

/** A handling group's name, what may carry it and where it goes. */
export const GroupPanel = ({ group, goods }: { group: HandlingGroup; goods: number }) => {
  const dispatch = useAppDispatch();
  const { id, name } = group;
  const set = (changes: Changes, what: string, visit: string | null = null): void => {
    dispatch(edit('setGroup', { id, changes }, `${name}: ${what}`, visit));
  };
  const remove = (): void => {
    dispatch(edit('removeGroup', { id }, `Remove ${name}`));
    dispatch(told({ text: `Removed ${name}. Its goods, ${goods}, travel by anything now.`, undo: true }));
  };
  return (
    <View style={{ gap: 16, paddingTop: 4, paddingBottom: 20 }}>
      <DraftField
        label="Handling group"
        prose
        text={name}
        read={readName}
        onChange={(next, visit) => set({ name: next }, 'name', visit)}
      />
      <CarriedBy group={group} onChange={set} />
      <GoesTo group={group} onChange={set} />
      <View role="group" aria-label="Nearby">
        <Check
          label="Goes out by local delivery"
          on={group.delivery}
          onPress={() => set({ delivery: !group.delivery }, 'local delivery')}
        />
        <Check
          label="Can be collected"
          on={group.pickup}
          onPress={() => set({ pickup: !group.pickup }, 'collecting')}
        />
      </View>
      <TextAction
        label="Remove the group"
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
        onPress={remove}
      />
    </View>
  );
};
