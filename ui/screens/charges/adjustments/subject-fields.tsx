import { createSelector } from '@reduxjs/toolkit';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { Adjustment } from '../../../../core/model/adjustment.ts';
import { Check } from '../../../parts/check.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { selectBook } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';

type To = Adjustment['to'];

interface Props {
  to: To;
  onChange: (to: To) => void;
}

interface PartProps extends Props {
  name: string;
  field: 'serviceIds' | 'zoneIds' | 'areaIds' | 'pickupIds' | 'carrierCodes';
  all: readonly { id: string; name: string }[];
}

const toggled = (ids: readonly string[], id: string): string[] =>
  ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id];

const Some = ({ name, field, all, to, onChange }: PartProps) => {
  const chosen = to[field];
  const put = (ids: string[] | undefined): void => {
    const { [field]: _, ...rest } = to;
    onChange(ids === undefined ? rest : { ...rest, [field]: ids });
  };
  return (
    <View style={{ gap: 4, flexGrow: 1, flexBasis: 200 }} role="group" aria-label={name}>
      <Text>{name}</Text>
      <Segments<'every' | 'some'>
        hideLabel
        label={t('{name}: all or some', { name })}
        value={chosen ? 'some' : 'every'}
        onChange={(next) => put(next === 'some' ? [] : undefined)}
        options={[
          { value: 'every', label: t('all') },
          { value: 'some', label: t('some') },
        ]}
      />
      {chosen
        ? all.map(({ id, name: label }) => (
            <Check key={id} label={label} on={chosen.includes(id)} onPress={() => put(toggled(chosen, id))} />
          ))
        : null}
    </View>
  );
};

/** The carriers' services that some rate offers, by their codes. */
const selectCarrierServices = createSelector([selectBook], ({ rates }) => {
  const offered = rates.flatMap(({ price }) => (price.kind === 'carrier' ? price.services : []));
  return [...new Map(offered.map(({ code, label }) => [code, { id: code, name: label ?? code }])).values()];
});

/** The delivery methods an adjustment aims at: every one, or some by their area. */
const SomeMethods = ({ to, onChange }: Props) => {
  const { areas } = useBookParts('areas');
  const { methods: chosen, ...rest } = to;
  const isChosen = (areaId: string, methodId: string): boolean =>
    chosen?.some((one) => one.areaId === areaId && one.methodId === methodId) === true;
  const toggle = (areaId: string, methodId: string): void => {
    const others = (chosen ?? []).filter((one) => one.areaId !== areaId || one.methodId !== methodId);
    onChange({
      ...rest,
      methods: isChosen(areaId, methodId) ? others : [...others, { areaId, methodId }],
    });
  };
  return (
    <View style={{ gap: 4, flexGrow: 1, flexBasis: 200 }} role="group" aria-label={t('Delivery methods')}>
      <Text>{t('Delivery methods')}</Text>
      <Segments<'every' | 'some'>
        hideLabel
        label={t('Delivery methods: all or some')}
        value={chosen ? 'some' : 'every'}
        onChange={(next) => onChange(next === 'some' ? { ...rest, methods: [] } : rest)}
        options={[
          { value: 'every', label: t('all') },
          { value: 'some', label: t('some') },
        ]}
      />
      {chosen
        ? areas.flatMap((area) =>
            area.methods.map(({ id, name }) => (
              <Check
                key={`${area.id}:${id}`}
                label={`${name}, ${area.name}`}
                on={isChosen(area.id, id)}
                onPress={() => toggle(area.id, id)}
              />
            )),
          )
        : null}
    </View>
  );
};

/** Which choices an adjustment is for: services, zones and carriers' services, each of them or some. */
export const SubjectFields = ({ to, onChange }: Props) => {
  const { services, zones, areas, pickups } = useBookParts('services', 'zones', 'areas', 'pickups');
  const carried = useAppSelector(selectCarrierServices);
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 20 }}>
      <Some name={t('Services')} field="serviceIds" all={services} to={to} onChange={onChange} />
      <Some name={t('Zones')} field="zoneIds" all={zones} to={to} onChange={onChange} />
      {areas.length > 0 || to.areaIds ? (
        <Some name={t('Delivery areas')} field="areaIds" all={areas} to={to} onChange={onChange} />
      ) : null}
      {areas.length > 0 || to.methods ? <SomeMethods to={to} onChange={onChange} /> : null}
      {pickups.length > 0 || to.pickupIds ? (
        <Some name={t('Pickup points')} field="pickupIds" all={pickups} to={to} onChange={onChange} />
      ) : null}
      {carried.length > 0 || to.carrierCodes ? (
        <Some name={t('Carriers’ services')} field="carrierCodes" all={carried} to={to} onChange={onChange} />
      ) : null}
    </View>
  );
};
