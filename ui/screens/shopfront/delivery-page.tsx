import { useMemo } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import {
  deliveryPage,
  type DeliveryPage as Page,
  type PageArea,
  type PageLine,
  type PagePoint,
} from '../../../core/delivery-page/delivery-page.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { MarkedText } from '../../parts/marked-text.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { useToday } from '../../time/use-today.ts';
import { usePlaceNames } from '../../places/use-place-names.ts';
import { selectShopBook } from '../../state/shop-language.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';
import { saveDeliveryHtml, saveDeliveryMarkdown, saveDeliveryPdf } from './save-delivery-page.ts';
import { ShopPage } from './shop-page.tsx';
import { shopStyles } from './shop-styles.ts';
import { usePrices } from './use-prices.ts';

const styles = (inks: Inks) => ({
  ...shopStyles(inks),
  heading: { fontFamily: SANS_STRONG, fontSize: 20, lineHeight: 28, marginTop: 32 },
  place: { ...shopStyles(inks).strong, marginTop: 16, marginBottom: 4 },
  way: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    gap: 16,
    paddingVertical: 8,
    borderTopWidth: 1,
    borderTopColor: inks.hairline,
  } as const,
  words: { flex: 1 },
  price: { ...shopStyles(inks).figure, maxWidth: '45%', textAlign: 'right' } as const,
  saves: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, marginTop: 32, marginLeft: -4 } as const,
});

const Ways = ({ lines, label }: { lines: readonly PageLine[]; label: string }) => {
  const style = useStyles(styles);
  return (
    <View role="list" aria-label={label}>
      {lines.map(({ name, price, notes }) => (
        <View key={name} style={style.way} role="listitem">
          <View style={style.words}>
            <Text style={style.name}>{name}</Text>
            {notes.length > 0 ? <Text style={style.quiet}>{notes.join(' · ')}</Text> : null}
          </View>
          <Text style={style.price}>{price}</Text>
        </View>
      ))}
    </View>
  );
};

const Heading = ({ title, level }: { title: string; level: 2 | 3 }) => {
  const style = useStyles(styles);
  return (
    <Text style={level === 2 ? style.heading : style.place} role="heading" aria-level={level}>
      {title}
    </Text>
  );
};

const Quiet = ({ text }: { text: string }) => {
  const style = useStyles(styles);
  return text === '' ? null : <Text style={style.quiet}>{text}</Text>;
};

const Instructions = ({ text }: { text: string }) => (text === '' ? null : <MarkedText text={text} />);

const Area = ({ area: { name, where, lines, notes, instructions } }: { area: PageArea }) => (
  <View>
    <Heading level={3} title={name} />
    <View style={{ paddingBottom: 6 }}>
      <Quiet text={where} />
    </View>
    <Ways label={name} lines={lines} />
    <Quiet text={notes.join(' · ')} />
    <Instructions text={instructions} />
  </View>
);

const Point = ({ point: { name, address, price, notes, week, instructions } }: { point: PagePoint }) => {
  const style = useStyles(styles);
  const { say } = useCustomerWords();
  return (
    <View>
      <Heading level={3} title={name} />
      <Text style={style.name}>{[price, ...notes].join(' · ')}</Text>
      <Text style={style.name}>{address.join(', ')}</Text>
      <Quiet text={week === '' ? '' : say('page.open', { hours: week })} />
      <Instructions text={instructions} />
    </View>
  );
};

/** The page for its merchant: to be put wherever the shop sells. */
const Saves = ({ page, today }: { page: Page; today: string }) => {
  const style = useStyles(styles);
  const words = useCustomerWords();
  return (
    <View style={style.saves}>
      <TextAction
        label={words.say('page.save-html')}
        onPress={() => void saveDeliveryHtml(page, words, today)}
      />
      <TextAction
        label={words.say('page.save-markdown')}
        onPress={() => void saveDeliveryMarkdown(page, words, today)}
      />
      <TextAction
        label={words.say('page.save-pdf')}
        onPress={() => void saveDeliveryPdf(page, words, today)}
      />
    </View>
  );
};

const Sections = ({ page }: { page: Page }) => {
  const style = useStyles(styles);
  const { say } = useCustomerWords();
  const { zones, areas, points, duties, closed } = page;
  return (
    <>
      {zones.length > 0 ? <Heading level={2} title={say('page.shipped')} /> : null}
      {zones.map(({ id, places, lines }) => (
        <View key={id}>
          <Heading level={3} title={places} />
          <Ways label={places} lines={lines} />
        </View>
      ))}
      {areas.length > 0 ? <Heading level={2} title={say('page.delivered')} /> : null}
      {areas.map((area) => (
        <Area key={area.id} area={area} />
      ))}
      {points.length > 0 ? <Heading level={2} title={say('page.collected')} /> : null}
      {points.map((point) => (
        <Point key={point.id} point={point} />
      ))}
      {duties.length > 0 ? <Heading level={2} title={say('page.abroad')} /> : null}
      {duties.map((text) => (
        <Text key={text} style={style.name}>
          {text}
        </Text>
      ))}
      {closed.length > 0 ? <Heading level={2} title={say('page.closed')} /> : null}
      {closed.map(({ name, days }) => (
        <Text key={name} style={style.name}>
          {name}: {days.join(', ')}
        </Text>
      ))}
    </>
  );
};

/** What every way to get an order costs, to where and when, before anything is ordered. */
const DeliveryPage = () => {
  const style = useStyles(styles);
  const words = useCustomerWords();
  const { say } = words;
  const names = usePlaceNames();
  const book = useAppSelector(selectShopBook);
  const today = useToday(book.store.timeZone);
  const prices = usePrices(today);
  const page = useMemo(
    () => prices && deliveryPage(book, prices, today, words, names),
    [book, prices, today, words, names],
  );
  return (
    <ShopPage title={say('page.title')}>
      {page ? (
        <>
          <Text style={style.quiet}>{page.amounts}</Text>
          <Sections page={page} />
          <Saves page={page} today={today} />
        </>
      ) : (
        <Text style={style.quiet} role="status">
          {say('page.working-out')}
        </Text>
      )}
    </ShopPage>
  );
};
export default DeliveryPage;
