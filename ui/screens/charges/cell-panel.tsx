import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Zone } from '../../../core/model/place.ts';
import type { Service } from '../../../core/model/rate.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { edit } from '../../state/draft.ts';
import { selectRatesByCell } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { aside } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { RateEditor } from './rate-editor.tsx';
import { Actions } from '../../parts/actions.tsx';

interface Props {
  zone: Zone;
  service: Service;
}

const styles = (inks: Inks) => ({
  fault: { ...aside, color: inks.rubric },
  quiet: { ...aside, color: inks.quiet },
});

/** A cell without a rate: whether that is meant, and what can be done. */
const EmptyCell = ({ zone, service }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const cell = { serviceId: service.id, zoneId: zone.id };
  const label = t('{service} to {zone}', { service: service.name, zone: zone.name });
  const isLeftOut = zone.without?.includes(service.id) === true;
  return (
    <View style={{ gap: 8 }}>
      <Text style={isLeftOut ? style.quiet : style.fault}>
        {isLeftOut
          ? t('{service} is deliberately not offered in {zone}.', { service: service.name, zone: zone.name })
          : t(
              '{service} has no rate here: customers in {zone} cannot choose it, and nobody has marked this as intended.',
              { service: service.name, zone: zone.name },
            )}
      </Text>
      <Actions>
        <TextAction
          main
          label={t('Add a rate')}
          onPress={() => dispatch(edit('addRate', { cell }, t('{label}: new rate', { label })))}
        />
        {isLeftOut ? (
          <TextAction
            label={t('Offer it here after all')}
            onPress={() => dispatch(edit('putBack', { cell }, t('{label}: no longer left out', { label })))}
          />
        ) : (
          <TextAction
            label={t('Not offered here, on purpose')}
            onPress={() => dispatch(edit('leaveOut', { cell }, t('{label}: not offered', { label })))}
          />
        )}
      </Actions>
    </View>
  );
};

/** One service in one zone: its rate, or why there is none. */
const CellPanel = ({ zone, service }: Props) => {
  const rate = useAppSelector((state) => selectRatesByCell(state).get(`${service.id}/${zone.id}`));
  return rate ? (
    <RateEditor key={rate.id} rate={rate} zone={zone} service={service} />
  ) : (
    <EmptyCell zone={zone} service={service} />
  );
};
export default CellPanel;
