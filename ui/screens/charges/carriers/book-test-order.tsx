import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { TrackedStep } from '../../../../carriers/shipment.ts';
import type { CarrierShipment } from '../../../../core/model/shipment.ts';
import type { AnsweredService, CarrierAccount, CarrierQuestion } from '../../../../core/model/carrier.ts';
import { carrierQuestions, shipmentQuestion } from '../../../../core/quote/questions.ts';
import { moneyFigure } from '../../../../core/words/figure.ts';
import { trackShipment } from '../../../carriers/reach-carriers.ts';
import { bookShipment, cancelShipment, openLabel } from '../../../carriers/shipments.ts';
import { TextAction } from '../../../parts/text-action.tsx';
import { questionKey } from '../../../state/answers.ts';
import {
  selectBook,
  selectCompiled,
  selectDisplayFormat,
  selectTestOrder,
} from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { figure, note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { dayNow, momentNow } from '../../../time/now.ts';

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingTop: 8 },
  fault: { ...note(inks), color: inks.rubric, paddingTop: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center', marginLeft: -4 } as const,
  number: { ...figure, color: inks.ink, paddingTop: 8 },
});

/** The question that the test order's order puts to this account, and the services it was answered with. */
const useTestOrderQuestion = (
  account: CarrierAccount,
): { question: CarrierQuestion | null; services: readonly AnsweredService[] } => {
  const compiled = useAppSelector(selectCompiled);
  const { testOrder } = useAppSelector(selectTestOrder);
  const known = useAppSelector((state) => state.answers);
  const question = testOrder
    ? (carrierQuestions(compiled, testOrder.request).find(({ key }) => key === account.id) ?? null)
    : null;
  const answer = question ? known[questionKey(question)] : undefined;
  return { question, services: answer?.ok ? answer.services : [] };
};

const Booked = ({
  shipment,
  onChange,
  onFault,
}: {
  shipment: CarrierShipment;
  onChange: (next: CarrierShipment) => void;
  onFault: (text: string) => void;
}) => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const { timeZone } = useAppSelector((state) => selectBook(state).store);
  const { tracking, service, amount, parcels, sandbox, cancelledAt } = shipment;
  const [steps, setSteps] = useState<readonly TrackedStep[]>([]);
  useEffect(() => {
    void trackShipment(shipment, dayNow({ timeZone })).then(setSteps);
  }, [shipment, timeZone]);
  const cancel = async (): Promise<void> => {
    const cancelled = await cancelShipment(shipment);
    if (cancelled.ok) onChange(cancelled.shipment);
    else onFault(t('It was not cancelled: {cancelled}', { cancelled: cancelled.text }));
  };
  return (
    <View role="group" aria-label={t('The shipment')}>
      <Text style={style.number}>{tracking}</Text>
      <Text style={style.note}>
        {service.name}, {t('{count, plural, one {# parcel} other {# parcels}}', { count: parcels.length })},{' '}
        {moneyFigure(amount, decimals)}
        {sandbox ? t(', sandbox: not for shipping') : ''}
      </Text>
      {steps.map(({ date, text }) => (
        <Text key={`${date}${text}`} style={style.note}>
          {date} · {text}
        </Text>
      ))}
      {cancelledAt === undefined ? (
        <View style={style.row}>
          <TextAction label={t('Open the label')} onPress={() => void openLabel(shipment)} />
          <TextAction label={t('Cancel the shipment')} onPress={() => void cancel()} />
        </View>
      ) : null}
    </View>
  );
};

/** The test order's parcels booked with the carrier: a tracking number, a label, and a way to cancel. */
const BookTestOrder = ({ account }: { account: CarrierAccount }) => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const compiled = useAppSelector(selectCompiled);
  const { testOrder } = useAppSelector(selectTestOrder);
  const { question, services } = useTestOrderQuestion(account);
  const [shipment, setShipment] = useState<CarrierShipment | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const book = async (service: string): Promise<void> => {
    const shipped = testOrder && shipmentQuestion(compiled, testOrder.request, account.id);
    if (!shipped) return;
    const booked = await bookShipment({
      question: shipped,
      service,
      reference: testOrder.id,
      bookedAt: momentNow(),
    });
    setFault(booked.ok ? null : t('It was not booked: {booked}', { booked: booked.text }));
    if (booked.ok) setShipment(booked.shipment);
  };
  return (
    <View>
      <Text style={style.note}>
        {question
          ? t('The parcels of the test order “{testOrder}”, as they would be booked for an order.', {
              testOrder: testOrder?.name ?? '',
            })
          : t(
              'The test order in the preview asks nothing of this account: choose one whose zone is priced by it.',
            )}
      </Text>
      <View style={style.row}>
        {services.map(({ code, name, amount }) => (
          <TextAction
            key={code}
            label={t('Book {name}, {amount}', { name, amount: moneyFigure(amount, decimals) })}
            onPress={() => void book(code)}
          />
        ))}
      </View>
      {fault === null ? null : (
        <Text style={style.fault} role="alert">
          {fault}.
        </Text>
      )}
      {shipment ? <Booked shipment={shipment} onChange={setShipment} onFault={setFault} /> : null}
    </View>
  );
};
export default BookTestOrder;
