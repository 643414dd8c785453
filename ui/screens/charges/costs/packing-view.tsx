import type { Remote } from 'comlink';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import { countFigure } from '../../../../core/words/figure.ts';
import { Chooser } from '../../../parts/chooser.tsx';
import { Progress } from '../../../parts/progress.tsx';
import { Section } from '../../../parts/section.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { selectBook } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { CostProgress } from '../../../workers/cost-progress.ts';
import type { Coster } from '../../../workers/coster.ts';
import type { PackingCompared } from '../../../workers/packing-costs.ts';
import { BoxUses } from './box-uses.tsx';
import { OneMoreBox } from './one-more-box.tsx';
import { PlanList } from './plan-list.tsx';
import { useLongAnswer } from './use-long-answer.ts';

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

/** What packing came to: each way of packing, each box, and the one more box that would save most. */
const Found = ({ found, accountId, ...shared }: Props & { found: PackingCompared; accountId: string }) => {
  const [first] = found.plans;
  if (!first || first.sums.orders === 0)
    return <Text>No order of the period was shipped that can be packed so and that the carrier prices.</Text>;
  return (
    <>
      <PlanList plans={found.plans} accountId={accountId} />
      {found.uses.length === 0 ? null : (
        <>
          <Section title="Boxes" />
          <BoxUses {...shared} accountId={accountId} uses={found.uses} />
          <Section title="One more box" />
          <OneMoreBox {...shared} key={accountId} accountId={accountId} uses={found.uses} />
        </>
      )}
    </>
  );
};

/** The shop's own past orders packed anew: how full the boxes are, and which other box would save most. */
const PackingView = ({ coster, filter }: Props) => {
  const style = useStyles(styles);
  const { carriers } = useAppSelector(selectBook);
  const [chosen, setChosen] = useState<string | null>(null);
  const account = carriers.find(({ id }) => id === chosen) ?? carriers[0];
  const accountId = account?.id ?? '';
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
        Parcels are compared by what a carrier asks for them. Add an account under Carriers.
      </Text>
    );
  return (
    <View style={style.all}>
      <Text style={style.note}>
        The same orders, packed anew in each way that you pack, at the present prices of one carrier.
      </Text>
      <View style={style.choice}>
        <Chooser
          label="At the prices of"
          chosen={account.name}
          options={carriers.map(({ id, name }) => ({ id, name, note: '' }))}
          onChoose={setChosen}
        />
      </View>
      {isAsked ? null : <TextAction main style={style.action} label="Pack past orders anew" onPress={ask} />}
      {isAsked && !found ? (
        <>
          <Progress label="Packing past orders" share={progress ? progress.done / progress.of : 0} />
          <Text style={style.note}>
            {progress ? `${progress.done} of ${countFigure(progress.of, 'order')}` : 'Packing …'}
          </Text>
          <TextAction style={style.action} label="Stop packing" onPress={stop} />
        </>
      ) : null}
      {found ? <Found coster={coster} filter={filter} found={found} accountId={accountId} /> : null}
    </View>
  );
};
export default PackingView;
