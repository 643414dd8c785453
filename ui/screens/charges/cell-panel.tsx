import { View } from 'react-native';
import { Text } from 'react-native-paper';
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
  const label = `${service.name} to ${zone.name}`;
  const isLeftOut = zone.without?.includes(service.id) === true;
  return (
    <View style={{ gap: 8 }}>
      <Text style={isLeftOut ? style.quiet : style.fault}>
        {isLeftOut
          ? `${service.name} is deliberately not offered in ${zone.name}.`
          : `${service.name} has no rate here: customers in ${zone.name} cannot choose it, and nobody has marked this as intended.`}
      </Text>
      <Actions>
        <TextAction
          main
          label="Add a rate"
          onPress={() => dispatch(edit('addRate', { cell }, `${label}: new rate`))}
        />
        {isLeftOut ? (
          <TextAction
            label="Offer it here after all"
            onPress={() => dispatch(edit('putBack', { cell }, `${label}: no longer left out`))}
          />
        ) : (
          <TextAction
            label="Not offered here, on purpose"
            onPress={() => dispatch(edit('leaveOut', { cell }, `${label}: not offered`))}
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
