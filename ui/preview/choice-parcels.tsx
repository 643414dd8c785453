import { createSelector } from '@reduxjs/toolkit';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { carrierParcels } from '../../core/quote/carrier-parcels.ts';
import { weightFigure } from '../../core/words/figure.ts';
import { selectCompiled, selectDisplayFormat, selectTestOrder } from '../state/selectors.ts';
import { useAppSelector, type RootState } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import ParcelList from './parcel-list.tsx';

const styles = (inks: Inks) => ({ note: { ...note(inks), paddingTop: 6 } });

const selectParcels = createSelector(
  [
    selectCompiled,
    (state: RootState) => selectTestOrder(state).testOrder,
    (_: RootState, rateId: string) => rateId,
  ],
  (compiled, testOrder, rateId) => (testOrder ? carrierParcels(compiled, testOrder.request, rateId) : null),
);

/** The parcels that a choice's carrier was asked about; nothing where no carrier prices the choice. */
const ChoiceParcels = ({ rateId }: { rateId: string }) => {
  const style = useStyles(styles);
  const { units } = useAppSelector(selectDisplayFormat);
  const asked = useAppSelector((state) => selectParcels(state, rateId));
  if (!asked || asked.parcels.length === 0) return null;
  const { account, leastWeight, parcels } = asked;
  const least =
    leastWeight === undefined
      ? ''
      : t(', each at no less than {weight}', { weight: weightFigure(leastWeight, units) });
  return (
    <>
      <Text style={style.note}>
        {t('{account} is asked about {count, plural, one {# parcel} other {# parcels}}{least}:', {
          account,
          count: parcels.length,
          least,
        })}
      </Text>
      <ParcelList parcels={parcels} />
    </>
  );
};
export default ChoiceParcels;
