import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
import type { AnyNoneSome, HandlingGroup } from '../../../core/model/good.ts';
import { Check } from '../../parts/check.tsx';
import { NameField } from '../../fields/kind-fields.tsx';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { edit } from '../../state/draft.ts';
import { undoMessage } from '../../state/session.ts';
import { useAppDispatch } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { Actions } from '../../parts/actions.tsx';
import { fieldsOf } from '../../fields/fields-of.ts';

type Changes = Partial<Omit<HandlingGroup, 'id'>>;
type Carried = 'any' | 'some' | 'none';
type Goes = 'every' | 'only' | 'never';

const toggled = (ids: readonly string[], id: string): string[] =>
  ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id];

interface PartProps {
  group: HandlingGroup;
  onChange: (changes: Changes, what: string) => void;
}

interface AllowedProps {
  title: string;
  /** What is said of all, of some and of none. */
  labels: Record<Carried, string>;
  allowed: AnyNoneSome;
  all: readonly { id: string; name: string }[];
  onChange: (next: AnyNoneSome) => void;
}

/** Everything of a kind, nothing of it, or those that are ticked. */
const Allowed = ({ title, labels, allowed, all, onChange }: AllowedProps) => (
  <View style={{ gap: 6 }} role="group" aria-label={title}>
    <Text>{title}</Text>
    <Segments<Carried>
      hideLabel
      label={t('{title}: all or some', { title })}
      value={typeof allowed === 'string' ? allowed : 'some'}
      onChange={(next) => onChange(next === 'some' ? all.map(({ id }) => id) : next)}
      options={[
        { value: 'any', label: labels.any },
        { value: 'some', label: labels.some },
        { value: 'none', label: labels.none },
      ]}
    />
    {typeof allowed === 'string'
      ? null
      : all.map(({ id, name }) => (
          <Check
            key={id}
            label={name}
            on={allowed.includes(id)}
            onPress={() => onChange(toggled(allowed, id))}
          />
        ))}
  </View>
);

/** Which services carry the group, which areas deliver it, and where it is collected. */
const GoesBy = ({ group, onChange }: PartProps) => {
  const { services, areas, pickups } = useBookParts('services', 'areas', 'pickups');
  return (
    <>
      <Allowed
        title={t('Carried by')}
        labels={{ any: t('any service'), some: t('some services'), none: t('no service') }}
        allowed={group.shipping}
        all={services}
        onChange={(shipping) => onChange({ shipping }, t('what carries it'))}
      />
      <Allowed
        title={t('Delivered in')}
        labels={{ any: t('every area'), some: t('some areas'), none: t('no area') }}
        allowed={group.delivery}
        all={areas}
        onChange={(delivery) => onChange({ delivery }, t('local delivery'))}
      />
      <Allowed
        title={t('Collected at')}
        labels={{ any: t('every point'), some: t('some points'), none: t('no point') }}
        allowed={group.pickup}
        all={pickups}
        onChange={(pickup) => onChange({ pickup }, t('collecting'))}
      />
    </>
  );
};

const GoesTo = ({ group: { onlyZones, neverZones }, onChange }: PartProps) => {
  const { zones } = useBookParts('zones');
  const goes: Goes = onlyZones ? 'only' : neverZones ? 'never' : 'every';
  const chosen = onlyZones ?? neverZones ?? [];
  const choose = (next: Goes, ids: string[]): void =>
    onChange(
      { onlyZones: next === 'only' ? ids : undefined, neverZones: next === 'never' ? ids : undefined },
      t('where it goes'),
    );
  return (
    <View style={{ gap: 6 }} role="group" aria-label={t('Goes to')}>
      <Text>{t('Goes to')}</Text>
      <Segments<Goes>
        hideLabel
        label={t('Which zones it goes to')}
        value={goes}
        onChange={(next) => choose(next, next === 'only' ? zones.map(({ id }) => id) : [])}
        options={[
          { value: 'every', label: t('every zone') },
          { value: 'only', label: t('only some') },
          { value: 'never', label: t('all except some') },
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

/** A handling group's name, what may carry, deliver and hand it over, and where it goes. */
export const GroupPanel = ({ group, goods }: { group: HandlingGroup; goods: number }) => {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const { id, name } = group;
  const set = (changes: Changes, what: string, visit: string | null = null): void => {
    dispatch(edit('setGroup', { id, changes }, labelled(name, what), visit));
  };
  const field = fieldsOf(group, set);
  const remove = (): void => {
    dispatch(edit('removeGroup', { id }, t('Remove {name}', { name })));
    dispatch(
      undoMessage(t('Removed {name}. Its products, {goods}, travel by anything now.', { name, goods })),
    );
  };
  return (
    <View style={{ gap: 16, paddingTop: 4, paddingBottom: 20 }}>
      <NameField label={t('Handling group')} prose {...field('name')} />
      <GoesBy group={group} onChange={set} />
      <GoesTo group={group} onChange={set} />
      <Actions>
        <TextAction
          label={
            goods === 0
              ? t('Choose its products')
              : t('See its {goods, plural, one {# product} other {# products}}', { goods })
          }
          onPress={() => router.navigate({ pathname: '/goods', params: goods === 0 ? {} : { in: id } })}
        />
        <TextAction label={t('Remove the group')} onPress={remove} />
      </Actions>
    </View>
  );
};
