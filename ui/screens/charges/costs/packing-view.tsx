import type { Remote } from 'comlink';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { BoxLimits } from '../../../../core/costs/best-box.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import { Chooser } from '../../../parts/chooser.tsx';
import { Section } from '../../../parts/section.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { CostProgress } from '../../../workers/costs/cost-progress.ts';
import type { Coster } from '../../../workers/costs/coster.ts';
import type { PackingCompared } from '../../../workers/costs/packing-costs.ts';
import { BoxUses } from './box-uses.tsx';
import { OneMoreBox } from './one-more-box.tsx';
import { PlanList } from './plan-list.tsx';
import { ordersDone, UnderWay } from './under-way.tsx';
import { useLongAnswer } from './use-long-answer.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';

interface Props {
  coster: Remote<Coster>;
  filter: OrderFilter;
}

const styles = (inks: Inks) => ({
  all: { gap: 12, paddingTop: 12 },
  choice: { flexDirection: 'row', maxWidth: 480 } as const,
  note: note(inks),
  action: { alignSelf: 'flex-start', marginLeft: -4 } as const,
});

/** How large a further box may be, as the merchant set it for an account; null until then. */
interface LimitsOfAccount {
  accountId: string;
  limits: BoxLimits | null;
  onLimits: (limits: BoxLimits) => void;
}

/** What packing came to: each way of packing, each box, and the one more box that would save most. */
const Found = ({ found, ...shared }: Props & { found: PackingCompared } & LimitsOfAccount) => {
  const { accountId, coster, filter } = shared;
  const [first] = found.plans;
  if (!first || first.sums.orders === 0)
    return (
      <Text>
        {t('No order of the period was shipped that can be packed so and that the carrier prices.')}
      </Text>
    );
  return (
    <>
      <PlanList plans={found.plans} accountId={accountId} />
      {found.uses.length === 0 ? null : (
        <>
          <Section title={t('Boxes')} />
          <BoxUses {...{ coster, filter, accountId }} uses={found.uses} />
          <Section title={t('One more box')} />
          <OneMoreBox {...shared} key={accountId} uses={found.uses} />
        </>
      )}
    </>
  );
};

/** The shop's own past orders packed again: how full the boxes are, and which other box would save most. */
const PackingView = ({ coster, filter }: Props) => {
  const style = useStyles(styles);
  const { carriers } = useBookParts('carriers');
  const [chosen, setChosen] = useState<string | null>(null);
  const account = carriers.find(({ id }) => id === chosen) ?? carriers[0];
  const accountId = account?.id ?? '';
  const [limits, setLimits] = useState<Record<string, BoxLimits>>({});
  const work = useCallback(
    (tell: (progress: CostProgress) => void) => coster.packing(filter, accountId, tell),
    [coster, filter, accountId],
  );
  const { found, progress, isAsked, ask, stop } = useLongAnswer<PackingCompared, CostProgress>(
    work,
    coster.stop,
  );
  if (!account)
    return (
      <Text style={style.note}>
        {t('Parcels are compared by what a carrier asks for them. Add an account under Carriers.')}
      </Text>
    );
  return (
    <View style={style.all}>
      <Text style={style.note}>
        {t('The same orders, packed again in each way that you pack, at the present prices of one carrier.')}
      </Text>
      <View style={style.choice}>
        <Chooser
          label={t('At the prices of')}
          chosen={account.name}
          options={carriers.map(({ id, name }) => ({ id, name, note: '' }))}
          onChoose={setChosen}
        />
      </View>
      {isAsked ? null : (
        <TextAction main style={style.action} label={t('Pack past orders again')} onPress={ask} />
      )}
      {isAsked && !found ? (
        <UnderWay
          label={t('Packing past orders')}
          {...ordersDone(progress, t('Packing …'))}
          stopLabel={t('Stop packing')}
          onStop={stop}
        />
      ) : null}
      {found ? (
        <Found
          {...{ coster, filter, found, accountId }}
          limits={limits[accountId] ?? null}
          onLimits={(set) => setLimits({ ...limits, [accountId]: set })}
        />
      ) : null}
    </View>
  );
};
export default PackingView;
