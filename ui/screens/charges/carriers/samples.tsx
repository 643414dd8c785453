import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { CarrierAccount, CarrierAnswer } from '../../../../core/model/carrier.ts';
import { moneyFigure, weightFigure } from '../../../../core/words/figure.ts';
import { askCarriers } from '../../../carriers/reach-carriers.ts';
import { sampleQuestion } from '../../../carriers/sample-question.ts';
import { MeasureField } from '../../../fields/kind-fields.tsx';
import { countryName } from '../../../../core/words/country-name.ts';
import { selectSamplePlaces, type SamplePlace } from './sample-places.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { figure, note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingVertical: 8 },
  scroll: { overflow: 'auto' as 'scroll' },
  row: {
    flexDirection: 'row',
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
    paddingVertical: 6,
    minWidth: 460,
  } as const,
  head: { borderBottomColor: inks.ink },
  place: { flex: 3, minWidth: 150 },
  cell: { flex: 1, minWidth: 76, textAlign: 'right' } as const,
  small: note(inks),
  figure: { ...figure, fontSize: 15, lineHeight: 20, color: inks.ink },
  none: { ...note(inks), color: inks.rubric },
  field: { width: 140 },
});

/** What each service would cost to each sample place; null until the carrier has answered. */
const useSamples = (
  account: CarrierAccount,
  places: readonly SamplePlace[],
  weight: number,
): CarrierAnswer[] | null => {
  const { locations, store } = useBookParts('locations', 'store');
  const [answers, setAnswers] = useState<CarrierAnswer[] | null>(null);
  const location = locations.find(({ id }) => id === account.locationId);
  const asked = useMemo(
    () =>
      location
        ? places.map(({ destination }) => ({
            question: sampleQuestion(account, location, destination, weight, store),
            timeoutMs: account.timeoutMs,
          }))
        : [],
    [account, location, places, weight, store],
  );
  useEffect(() => {
    const controller = new AbortController();
    const timer = setTimeout(() => {
      void askCarriers(asked, controller.signal).then((came) => {
        if (!controller.signal.aborted) setAnswers(came);
      });
    }, 250);
    return () => {
      clearTimeout(timer);
      controller.abort();
    };
  }, [asked]);
  return answers;
};

const daysWords = ({ min, max }: { min: number; max: number }): string =>
  min === max
    ? t('{max, plural, one {# day} other {# days}}', { max })
    : t('{min} to {max} days', { min, max });

const SampleRow = ({
  place,
  answer,
  codes,
}: {
  place: SamplePlace;
  answer: CarrierAnswer | undefined;
  codes: readonly string[];
}) => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const { destination, zone } = place;
  const where = [destination.city, destination.postalCode, countryName(destination.country)]
    .filter(Boolean)
    .join(', ');
  const failed = answer && !answer.ok ? answer.text || answer.error : null;
  return (
    <View style={style.row} role="row">
      <View style={style.place} role="rowheader">
        <Text>{where}</Text>
        <Text style={style.small}>{zone ?? t('in no zone')}</Text>
      </View>
      {failed === null ? (
        codes.map((code) => {
          const service = answer?.ok ? answer.services.find((one) => one.code === code) : undefined;
          return (
            <View key={code} role="cell" style={style.cell}>
              <Text style={[service ? style.figure : style.none, { textAlign: 'right' }]}>
                {service ? moneyFigure(service.amount, decimals) : t('no service')}
              </Text>
              <Text style={[style.small, { textAlign: 'right' }]}>
                {service?.days ? daysWords(service.days) : ''}
              </Text>
            </View>
          );
        })
      ) : (
        <View role="cell" style={style.place}>
          <Text style={style.none}>{failed}</Text>
        </View>
      )}
    </View>
  );
};

/** What each of the carrier's services would cost today to places of every zone, and where it has none. */
const Samples = ({ account }: { account: CarrierAccount }) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const places = useAppSelector(selectSamplePlaces);
  const [weight, setWeight] = useState(2_000);
  const answers = useSamples(account, places, weight);
  const services = useMemo(() => {
    const named = (answers ?? []).flatMap((answer) => (answer.ok ? answer.services : []));
    return [...new Map(named.map(({ code, name }) => [code, name]))];
  }, [answers]);
  const codes = services.map(([code]) => code);
  return (
    <View>
      <Text style={style.note}>
        {t('One parcel of {weight}, today, to places of every zone: those of your past orders first.', {
          weight: weightFigure(weight, display.units),
        })}
      </Text>
      <MeasureField
        right
        style={style.field}
        label={t('Weight of the parcel')}
        value={weight}
        measure="weight"
        onChange={setWeight}
      />
      {answers === null ? (
        <Text style={style.note}>{t('Asking {account} …', { account: account.name })}</Text>
      ) : (
        <View style={style.scroll} tabIndex={0} role="region" aria-label={t('Sample prices')}>
          <View role="table" aria-label={t('What each service would cost')}>
            <View style={[style.row, style.head]} role="row">
              <Text style={[style.place, style.small]} role="columnheader">
                {t('Place')}
              </Text>
              {services.map(([code, name]) => (
                <Text key={code} style={[style.cell, style.small]} role="columnheader">
                  {name}
                </Text>
              ))}
            </View>
            {places.map((place, at) => (
              <SampleRow
                key={`${place.destination.country}${place.destination.postalCode ?? at}`}
                place={place}
                answer={answers[at]}
                codes={codes}
              />
            ))}
          </View>
        </View>
      )}
    </View>
  );
};
export default Samples;
