import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
import type { Zone } from '../../../core/model/place.ts';
import { Check } from '../../parts/check.tsx';
import { NameField } from '../../fields/kind-fields.tsx';
import { RegionList } from '../../fields/region-list.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { edit } from '../../state/draft.ts';
import { undoMessage } from '../../state/session.ts';
import { useAppDispatch } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { RaiseRates } from './raise-rates.tsx';
import { Actions } from '../../parts/actions.tsx';
import { MoveActions } from '../../parts/move-actions.tsx';
import { fieldsOf } from '../../fields/fields-of.ts';

/** Where a zone stands, and what can be done with it and with all its rates. */
const ZoneActions = ({ zone, onGone }: { zone: Zone; onGone: () => void }) => {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const { zones, rates } = useBookParts('zones', 'rates');
  const [raising, setRaising] = useState(false);
  const ids = rates.filter((rate) => rate.zoneId === zone.id).map((rate) => rate.id);
  const at = zones.findIndex((one) => one.id === zone.id);
  const remove = (): void => {
    dispatch(edit('removeZone', { id: zone.id }, t('Remove {zone}', { zone: zone.name })));
    dispatch(
      undoMessage(
        t(
          'Removed {zone} with {count, plural, one {# rate} other {# rates}}. Its places go to other zones.',
          { zone: zone.name, count: ids.length },
        ),
      ),
    );
    onGone();
  };
  const copy = (): void => {
    dispatch(edit('copyZone', { id: zone.id }, t('Copy {zone}', { zone: zone.name })));
    dispatch(
      undoMessage(
        t('Copied {zone} with its rates. The copy is switched off and has no places yet.', {
          zone: zone.name,
        }),
      ),
    );
  };
  const move = (by: number): void =>
    void dispatch(edit('moveZone', { id: zone.id, by }, t('Move {zone}', { zone: zone.name })));
  return (
    <>
      <Actions>
        <MoveActions at={at} count={zones.length} onMove={move} />
        <TextAction
          label={t('Raise or lower all')}
          disabled={ids.length === 0}
          onPress={() => setRaising(!raising)}
        />
        <TextAction label={t('Copy the zone')} onPress={copy} />
        <TextAction label={t('Where the shop sells')} onPress={() => router.navigate('/reach')} />
        <TextAction label={t('Remove the zone')} onPress={remove} />
      </Actions>
      {raising ? <RaiseRates ids={ids} onDone={() => setRaising(false)} /> : null}
    </>
  );
};

/** A zone: its name, its places, and what can be done with it. */
const ZonePanel = ({ zone, onGone }: { zone: Zone; onGone: () => void }) => {
  const dispatch = useAppDispatch();
  const set = (changes: Partial<Zone>, what: string, visit: string | null = null): void => {
    dispatch(edit('setZone', { id: zone.id, changes }, labelled(zone.name, what), visit));
  };
  const field = fieldsOf(zone, set);
  return (
    <View style={{ gap: 12 }}>
      <NameField label={t('Zone')} prose {...field('name')} />
      <RegionList
        label={t('Takes')}
        none={zone.remainder ? t('nothing by name: places in no other zone') : t('no places yet')}
        regions={zone.includes}
        onChange={(includes, visit) => set({ includes }, t('places'), visit)}
      />
      <RegionList
        label={t('Except')}
        none={t('nothing left out')}
        regions={zone.excludes}
        onChange={(excludes, visit) => set({ excludes }, t('places left out'), visit)}
      />
      <View>
        <Check
          label={t('Active')}
          on={zone.active}
          onPress={() => set({ active: !zone.active }, zone.active ? t('switched off') : t('switched on'))}
        />
        <Check
          label={t('Everywhere else: places in no other active zone')}
          on={zone.remainder}
          onPress={() => set({ remainder: !zone.remainder }, t('everywhere else'))}
        />
      </View>
      <ZoneActions zone={zone} onGone={onGone} />
    </View>
  );
};

export default ZonePanel;
