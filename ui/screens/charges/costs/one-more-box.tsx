import type { Remote } from 'comlink';
import { useCallback, useMemo } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { limitsFrom, type BoxLimits } from '../../../../core/costs/best-box.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import { takenBy, type BoxUse } from '../../../../core/costs/packing-compared.ts';
import {
  moneyFigure,
  percentFigure,
  sizeFigure,
  weightFigure,
  wholeFigure,
} from '../../../../core/words/figure.ts';
import { MeasureField, SizeField } from '../../../fields/kind-fields.tsx';
import { ParcelDrawing } from '../../../parts/parcel-drawing.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { Coster } from '../../../workers/costs/coster.ts';
import type { BoxFound } from '../../../workers/costs/box-search.ts';
import { UnderWay } from './under-way.tsx';
import { useLongAnswer } from './use-long-answer.ts';

interface Props {
  coster: Remote<Coster>;
  filter: OrderFilter;
  accountId: string;
  uses: readonly BoxUse[];
  /** As the merchant set them; null for those of the boxes there are. */
  limits: BoxLimits | null;
  onLimits: (limits: BoxLimits) => void;
}

const styles = (inks: Inks) => ({
  all: { gap: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  size: { width: 230 },
  field: { width: 132 },
  note: note(inks),
  finding: { flexDirection: 'row', flexWrap: 'wrap', gap: 20, alignItems: 'center', maxWidth: 860 } as const,
  words: { flexGrow: 1, flexBasis: 280, gap: 8 },
  action: { alignSelf: 'flex-start', marginLeft: -4 } as const,
});

/** About as many sizes as a search tries, for how far it is. */
const ABOUT_TRIED = 900;

/** The picture's width, in pixels. */
const PICTURE = 110;
const scaleOf = ({ length, width }: BoxFound['box']['inside']): number => PICTURE / ((length + width) * 0.87);

/** What the box would save, and what it is assumed to weigh and cost. */
const Savings = ({ found }: { found: BoxFound }) => {
  const style = useStyles(styles);
  const { decimals, units } = useAppSelector(selectDisplayFormat);
  const { box, was, now, orders } = found;
  const money = (amount: number): string => moneyFigure(amount, decimals);
  const saved = takenBy(was) - takenBy(now);
  return (
    <View style={style.words}>
      <Text>
        {t(
          '{size} inside saves {saved} over the period, {percent} of {all}: {orders, plural, one {# order} other {# orders}} would have a parcel in it.',
          {
            size: sizeFigure(box.inside, units),
            saved: money(saved),
            percent: percentFigure(Math.round((saved / takenBy(was)) * 1_000) * 10),
            all: money(takenBy(was)),
            orders,
          },
        )}
      </Text>
      <Text style={style.note}>
        {t(
          'Assumed to weigh {weight} and cost {cost}, in proportion to your other boxes. With it the {orders, plural, one {# order} other {# orders}} make {parcels, plural, one {# parcel} other {# parcels}} instead of {parcelsBefore}; the carrier asks {carrier} instead of {carrierBefore}, boxes cost {boxes} instead of {boxesBefore}.',
          {
            weight: weightFigure(box.tare, units),
            cost: money(box.cost ?? 0),
            orders: was.orders,
            parcels: now.parcels,
            parcelsBefore: wholeFigure(was.parcels),
            carrier: money(now.carrier),
            carrierBefore: money(was.carrier),
            boxes: money(now.boxes),
            boxesBefore: money(was.boxes),
          },
        )}
      </Text>
    </View>
  );
};

/** What was found, in sentences, and the way into the draft. */
const Finding = ({ found, accountId }: { found: BoxFound; accountId: string }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { units } = useAppSelector(selectDisplayFormat);
  const { carriers } = useBookParts('carriers');
  const { box } = found;
  const account = carriers.find(({ id }) => id === accountId)?.name ?? '';
  const size = sizeFigure(box.inside, units);
  const name = t('Carton {size}', { size });
  const take = (): void => {
    dispatch(
      edit('addBox', { box: { ...box, name }, accountIds: [accountId] }, t('New box, {name}', { name })),
    );
    dispatch(undoMessage(t('{account} packs into {name} too, in the draft.', { account, name })));
  };
  return (
    <View style={style.all} aria-live="polite">
      <View style={style.finding}>
        <ParcelDrawing
          box={box.inside}
          cuboids={[]}
          scale={scaleOf(box.inside)}
          label={t('A box of {size}', { size })}
        />
        <Savings found={found} />
      </View>
      <TextAction
        main
        style={style.action}
        label={t('Put into the draft: {account} packs into it', { account })}
        onPress={take}
      />
    </View>
  );
};

/** Looks for the box of any size, up to a limit, with which past orders would take least. */
export const OneMoreBox = ({ coster, filter, accountId, uses, limits: set, onLimits }: Props) => {
  const style = useStyles(styles);
  const limits = useMemo(() => set ?? limitsFrom(uses.map(({ box }) => box)), [set, uses]);
  const work = useCallback(
    (tell: (tried: number) => void) => coster.bestBox(filter, accountId, limits, tell),
    [coster, filter, accountId, limits],
  );
  const { found, progress, isAsked, ask, stop } = useLongAnswer<BoxFound | 'none', number>(work, coster.stop);
  const tried = progress ?? 0;
  const change = (changes: Partial<BoxLimits>): void => {
    if (isAsked) stop();
    onLimits({ ...limits, ...changes });
  };
  return (
    <View style={style.all}>
      <Text style={style.note}>
        {t('Of all sizes up to this one, the box with which the same orders would cost least to send.')}
      </Text>
      <View style={style.row}>
        <SizeField
          style={style.size}
          label={t('Inside at most')}
          value={limits.most}
          onChange={(most) => change({ most })}
        />
        <MeasureField
          right
          style={style.field}
          label={t('Holds at most')}
          measure="weight"
          value={limits.maxWeight}
          onChange={(maxWeight) => change({ maxWeight })}
        />
      </View>
      {isAsked ? null : (
        <TextAction main style={style.action} label={t('Find the box that saves most')} onPress={ask} />
      )}
      {isAsked && !found ? (
        <UnderWay
          label={t('Trying sizes')}
          share={Math.min(1, tried / ABOUT_TRIED)}
          words={t('{tried, plural, one {# size} other {# sizes}} tried', { tried })}
          stopLabel={t('Stop trying')}
          onStop={stop}
        />
      ) : null}
      {found === 'none' ? (
        <Text aria-live="polite">{t('No box of any size up to this one would save anything.')}</Text>
      ) : null}
      {found && found !== 'none' ? <Finding found={found} accountId={accountId} /> : null}
    </View>
  );
};
