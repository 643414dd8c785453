import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { listedCarrier } from '../../../../carriers/directory.ts';
import type { CarrierAccount } from '../../../../core/model/carrier.ts';
import { tiersCurve } from '../../../../core/price/curve.ts';
import type { StepsPrice } from '../../../../core/model/price.ts';
import { proposeSteps, type CostPoint, type ProposedSteps } from '../../../../core/price/propose-steps.ts';
import { moneyFigure, weightFigure, type DisplayFormat } from '../../../../core/words/figure.ts';
import { askCarriers } from '../../../carriers/reach-carriers.ts';
import { sampleQuestion } from '../../../carriers/sample-question.ts';
import { Chooser } from '../../../parts/chooser.tsx';
import { CountField, PercentField } from '../../../fields/kind-fields.tsx';
import { StepCurve } from '../../../parts/step-curve.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { costPoints, gridOf, selectOrderGrid } from './order-grid.ts';
import { selectSamplePlaces } from './sample-places.ts';

const styles = (inks: Inks) => ({
  all: { gap: 12, paddingTop: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  choice: { flexDirection: 'row', flexGrow: 1, flexBasis: 180 } as const,
  field: { width: 132 },
  note: note(inks),
  fault: { ...note(inks), color: inks.rubric },
});

interface Wanted {
  zoneId: string;
  code: string;
  serviceId: string;
  steps: number;
  share: number;
}

interface Proposed {
  points: CostPoint[];
  assumed: boolean;
  steps: ProposedSteps;
}

const priceOf = ({ steps }: ProposedSteps): StepsPrice => ({
  kind: 'steps',
  basis: 'weight',
  per: 'order',
  steps,
  until: 30_001,
});

/** The carrier's cost by weight: the mean over the places, as a second, thin line. */
const meanCosts = (points: readonly CostPoint[]): { at: number; amount: number }[] => {
  const weights = [...new Set(points.map(({ weight }) => weight))].sort((a, b) => a - b);
  return weights.map((at) => {
    const here = points.filter(({ weight }) => weight === at);
    const orders = here.reduce((sum, point) => sum + Math.max(1, point.orders), 0);
    const cost = here.reduce((sum, point) => sum + point.cost * Math.max(1, point.orders), 0);
    return { at, amount: Math.round(cost / orders) };
  });
};

const summary = (
  { steps: { covered, orders, over, under }, assumed }: Proposed,
  { decimals }: DisplayFormat,
): string => {
  const money = (amount: number): string => moneyFigure(amount, decimals);
  const what = assumed ? t('weights and places, for no past order went there') : t('past orders');
  return t(
    'Covers {covered} of {orders} {what}: {amount} above the carrier’s cost in all, {amount2} below it.',
    { covered, orders, what, amount: money(over), amount2: money(under) },
  );
};

const Result = ({ proposed, wanted, onTake }: { proposed: Proposed; wanted: Wanted; onTake: () => void }) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const { zones, services } = useBookParts('zones', 'services');
  const zone = zones.find(({ id }) => id === wanted.zoneId)?.name ?? '';
  const service = services.find(({ id }) => id === wanted.serviceId)?.name ?? '';
  const { steps } = proposed.steps;
  if (steps.length === 0)
    return <Text style={style.fault}>{t('The carrier has no such service to any place of this zone.')}</Text>;
  const curve = tiersCurve(priceOf(proposed.steps), 30_000);
  return (
    <View style={{ gap: 8 }}>
      {curve ? (
        <StepCurve
          curve={curve}
          display={display}
          mark={null}
          costs={meanCosts(proposed.points)}
          title={t('Proposed charge for {service} to {zone}, against the carrier’s mean cost', {
            service,
            zone,
          })}
        />
      ) : null}
      <Text>
        {steps
          .map(({ from, amount }) =>
            t('from {weight} {amount}', {
              weight: weightFigure(from, display.units),
              amount: moneyFigure(amount, display.decimals),
            }),
          )
          .join(' · ')}
      </Text>
      <Text style={style.note}>
        {t('{summary} The thin line is what the carrier charges on average.', {
          summary: summary(proposed, display),
        })}
      </Text>
      <TextAction
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
        label={t('Put into the draft: {service} to {zone}', { service, zone })}
        onPress={onTake}
      />
    </View>
  );
};

/** Asks the carrier for every place of the zone and every weight of the grid, and works out the best steps. */
const usePropose = (account: CarrierAccount, wanted: Wanted) => {
  const { locations, store } = useBookParts('locations', 'store');
  const places = useAppSelector(selectSamplePlaces);
  const orders = useAppSelector(selectOrderGrid);
  const [proposed, setProposed] = useState<Proposed | 'asking' | null>(null);
  const propose = async (): Promise<void> => {
    const location = locations.find(({ id }) => id === account.locationId);
    if (!location) return;
    setProposed('asking');
    const cells = gridOf(places.filter(({ zoneId }) => zoneId === wanted.zoneId));
    const asked = cells.map(({ place, weight }) => ({
      question: sampleQuestion(account, location, place.destination, weight, store),
      timeoutMs: account.timeoutMs,
    }));
    const answers = await askCarriers(asked, new AbortController().signal);
    const { points, assumed } = costPoints(cells, answers, wanted.code, orders);
    setProposed({ points, assumed, steps: proposeSteps(points, wanted.steps, wanted.share) });
  };
  return { proposed, propose, forget: () => setProposed(null) };
};

const nameIn = (list: readonly { id: string; name: string }[], wanted: string): string =>
  list.find(({ id }) => id === wanted)?.name ?? '';

/** What the steps are for, and how close they are to be. */
const WantedFields = ({
  wanted,
  own,
  set,
  children,
}: {
  wanted: Wanted;
  own: readonly { code: string; name: string }[];
  set: (changes: Partial<Wanted>) => void;
  /** What follows the fields. */
  children: ReactNode;
}) => {
  const style = useStyles(styles);
  const { zones, services } = useBookParts('zones', 'services');
  const choice = (
    label: string,
    list: readonly { id: string; name: string }[],
    chosen: string,
    onChoose: (id: string) => void,
  ) => (
    <View style={style.choice}>
      <Chooser
        label={label}
        chosen={nameIn(list, chosen)}
        options={list.map(({ id, name }) => ({ id, name }))}
        onChoose={onChoose}
      />
    </View>
  );
  const carried = own.map(({ code, name }) => ({ id: code, name }));
  return (
    <>
      <View style={style.row}>
        {choice(t('Zone'), zones, wanted.zoneId, (zoneId) => set({ zoneId }))}
        {choice(t('The carrier’s service'), carried, wanted.code, (code) => set({ code }))}
        {choice(t('For your service'), services, wanted.serviceId, (serviceId) => set({ serviceId }))}
      </View>
      <View style={style.row}>
        <CountField
          right
          style={style.field}
          label={t('Steps, at most')}
          value={wanted.steps}
          least={1}
          most={10}
          onChange={(steps) => set({ steps })}
        />
        <PercentField
          right
          style={style.field}
          label={t('Share of orders covered')}
          value={wanted.share}
          sign
          onChange={(share) => set({ share: Math.min(10_000, share) })}
        />
        {children}
      </View>
    </>
  );
};

/** Weight steps for a zone out of what the carrier takes there: chosen, looked at, and taken into the draft. */
const Proposal = ({ account }: { account: CarrierAccount }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { zones, services } = useBookParts('zones', 'services');
  const own = listedCarrier(account.carrier)?.services ?? [];
  const [wanted, setWanted] = useState<Wanted>({
    zoneId: zones[0]?.id ?? '',
    code: own[0]?.code ?? '',
    serviceId: services[0]?.id ?? '',
    steps: 5,
    share: 9_500,
  });
  const { proposed, propose, forget } = usePropose(account, wanted);
  const set = (changes: Partial<Wanted>): void => {
    setWanted({ ...wanted, ...changes });
    forget();
  };
  const take = (): void => {
    if (proposed === null || proposed === 'asking') return;
    const cell = { serviceId: wanted.serviceId, zoneId: wanted.zoneId };
    const label = t('{service} to {zone}', {
      service: nameIn(services, cell.serviceId),
      zone: nameIn(zones, cell.zoneId),
    });
    dispatch(
      edit(
        'takePrice',
        { cell, price: priceOf(proposed.steps) },
        t('{label}: steps from the carrier', { label }),
      ),
    );
    dispatch(undoMessage(t('{label} has the proposed steps.', { label })));
  };
  return (
    <View style={style.all}>
      <Text style={style.note}>
        {t(
          'Weight steps of your own that cover what the carrier charges for most past orders, and little more.',
        )}
      </Text>
      <WantedFields wanted={wanted} own={own} set={set}>
        <TextAction
          label={t('Ask the carrier')}
          disabled={proposed === 'asking'}
          onPress={() => void propose()}
        />
      </WantedFields>
      {proposed === 'asking' ? (
        <Text style={style.note}>
          {t('Asking {account} about every place and weight …', { account: account.name })}
        </Text>
      ) : null}
      {proposed && proposed !== 'asking' ? (
        <Result proposed={proposed} wanted={wanted} onTake={take} />
      ) : null}
    </View>
  );
};
export default Proposal;
