import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import type { Box } from '../../core/model/pack.ts';
import type { Good } from '../../core/model/good.ts';
import type { Parcel } from '../../core/model/quote.ts';
import { percentFigure, sizeFigure, weightFigure, type DisplayFormat } from '../../core/words/figure.ts';
import { ParcelDrawing } from '../parts/parcel-drawing.tsx';
import { Press } from '../parts/press.tsx';
import { ZoneSwatch } from '../parts/zone-swatch.tsx';
import { selectGoods, selectDisplayFormat } from '../state/selectors.ts';
import { useAppSelector } from '../state/store.ts';
import { useBookParts } from '../state/use-book-parts.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import { SORT_INKS } from '../theme/zone-marks.ts';
import { TOUCH, type Inks } from '../theme/tokens.ts';

const styles = (inks: Inks) => ({
  head: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'flex-end',
    minHeight: TOUCH,
    paddingBottom: 6,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  item: { paddingVertical: 12, borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 16, alignItems: 'center' } as const,
  line: { flexDirection: 'row', gap: 8, alignItems: 'center' } as const,
  words: { gap: 4, flexGrow: 1, flexBasis: 150 },
  note: note(inks),
});

/** So many parcels are drawn; the rest are counted. */
const MOST_DRAWN = 6;
/** The longest side of the largest box, in pixels. */
const LONGEST = 110;

const letterOf = (at: number): string => String.fromCharCode(65 + (at % 26));

const headOf = ({ weight, fill, size }: Parcel, box: Box | undefined, display: DisplayFormat): string =>
  [
    box?.name ?? t('Its own carton'),
    ...(size ? [sizeFigure(size, display.units)] : []),
    weightFigure(weight, display.units),
    ...(fill === undefined
      ? []
      : [t('{percent} full', { percent: percentFigure(Math.round(fill * 100) * 100) })]),
  ].join(', ');

interface ItemProps {
  parcel: Parcel;
  scale: number;
}

const ParcelItem = ({ parcel, scale }: ItemProps) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const goods = useAppSelector(selectGoods) as ReadonlyMap<string, Good>;
  const box = useBookParts('boxes').boxes.find(({ id }) => id === parcel.boxId);
  const { contents, placed, size } = parcel;
  const sorts = contents.map(({ sku }) => sku);
  const head =
    parcel.boxId || size ? headOf(parcel, box, display) : weightFigure(parcel.weight, display.units);
  const cuboids = (placed ?? []).map((one) => ({ ...one, sort: sorts.indexOf(one.sku) }));
  return (
    <View style={style.item} role="listitem">
      <Text style={style.note}>{head}</Text>
      <View style={style.row}>
        {placed && size ? <ParcelDrawing box={size} cuboids={cuboids} scale={scale} label={head} /> : null}
        <View style={style.words}>
          {contents.map(({ sku, quantity }, at) => (
            <View key={sku} style={style.line}>
              {placed ? (
                <ZoneSwatch mark={{ ink: SORT_INKS[at % SORT_INKS.length] ?? '', letter: letterOf(at) }} />
              ) : null}
              <Text style={style.note}>
                {quantity} × {goods.get(sku)?.name ?? sku}
              </Text>
            </View>
          ))}
        </View>
      </View>
    </View>
  );
};

/** The parcels of the test order's order, folded until asked for: each drawn with what lies where. */
const ParcelList = ({ parcels }: { parcels: readonly Parcel[] }) => {
  const style = useStyles(styles);
  const [isOpen, setOpen] = useState(false);
  if (parcels.length === 0) return null;
  const longest = Math.max(...parcels.map(({ size }) => Math.max(size?.length ?? 0, size?.height ?? 0)), 1);
  return (
    <View>
      <Press onPress={() => setOpen(!isOpen)} role="button" aria-expanded={isOpen}>
        <View style={style.head}>
          <Text style={style.note}>
            {t('{count, plural, one {# parcel} other {# parcels}}', { count: parcels.length })}
          </Text>
          <Text style={style.note}>{isOpen ? t('hide') : t('open')}</Text>
        </View>
      </Press>
      {isOpen ? (
        <View role="list" aria-label={t('Parcels')}>
          {parcels.slice(0, MOST_DRAWN).map((parcel, at) => (
            <ParcelItem key={at} parcel={parcel} scale={LONGEST / longest} />
          ))}
          {parcels.length > MOST_DRAWN ? (
            <Text style={style.note}>{t('and {count} more', { count: parcels.length - MOST_DRAWN })}</Text>
          ) : null}
        </View>
      ) : null}
    </View>
  );
};

export default ParcelList;
