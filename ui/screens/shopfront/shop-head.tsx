import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { LANGUAGE_NAMES } from '../../../core/model/language.ts';
import { customerLanguages } from '../../../core/words/customer/own-texts.ts';
import { useCustomerWords } from '../../customer-words/use-customer-words.ts';
import { useToday } from '../../time/use-today.ts';
import { Chooser } from '../../parts/chooser.tsx';
import { LinkPress } from '../../parts/link-press.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { selectBasket } from '../../state/customer-view.ts';
import { selectCustomerGroups } from '../../state/selectors.ts';
import { selectLive, selectServedBook, selectServesLive } from '../../state/served.ts';
import { selectShopBook } from '../../state/shop-language.ts';
import { shopLanguageChosen, shopSeenAs, shopServed } from '../../state/session.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS, SANS_STRONG, TOUCH, type Inks } from '../../theme/tokens.ts';

const styles = (inks: Inks) => ({
  notice: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: 12,
    paddingHorizontal: 20,
    paddingVertical: 6,
    backgroundColor: inks.ground,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  note: note(inks),
  paused: {
    paddingHorizontal: 20,
    paddingVertical: 10,
    borderBottomWidth: 1,
    borderBottomColor: inks.rubric,
  } as const,
  pausedText: { fontFamily: SANS_STRONG, fontSize: 15, lineHeight: 22, color: inks.rubric },
  head: {
    width: '100%',
    maxWidth: 960,
    alignSelf: 'center',
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    flexWrap: 'wrap',
    columnGap: 16,
    paddingHorizontal: 20,
    paddingTop: 12,
  } as const,
  links: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    flexShrink: 1,
    alignItems: 'center',
    columnGap: 16,
  } as const,
  shop: { fontFamily: SANS_STRONG, fontSize: 22, lineHeight: 28 },
  link: { minHeight: TOUCH, justifyContent: 'center' } as const,
  basket: { fontFamily: SANS, fontSize: 15, lineHeight: 22, textDecorationLine: 'underline' } as const,
});

/** That the shop is paused today, on every page, in the merchant's words. */
const Paused = () => {
  const style = useStyles(styles);
  const words = useCustomerWords();
  const { pause, timeZone } = useAppSelector(selectShopBook).store;
  const today = useToday(timeZone);
  if (!pause || today < pause.from || today > pause.to) return null;
  const ours =
    pause.to === today
      ? words.say('shop.paused')
      : words.say('shop.paused-until', { day: words.spokenDay(pause.to, today) });
  const said = pause.message === '' ? ours : pause.message;
  return (
    <View style={style.paused} role="status">
      <Text style={style.pausedText}>
        {said}
        {pause.keepPickup ? ` ${words.say('shop.pickup-goes-on')}` : ''}
      </Text>
    </View>
  );
};

/** What is served: the live edition, or the draft; with the switch where there are both. */
const Served = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const live = useAppSelector(selectLive);
  const isLive = useAppSelector(selectServesLive);
  return (
    <>
      <Text style={style.note}>
        {isLive && live
          ? t('The shopfront, edition {number}', { number: live.number })
          : t('The shopfront, from the draft')}
      </Text>
      {live ? (
        <TextAction
          label={isLive ? t('Serve the draft') : t('Serve the live edition')}
          onPress={() => dispatch(shopServed(isLive ? 'draft' : 'live'))}
        />
      ) : null}
    </>
  );
};

const ANYONE = '';

/** As whose customer the shop is seen, where some rule asks for a customer group. */
const SeenAs = () => {
  const dispatch = useAppDispatch();
  const seenAs = useAppSelector((state) => state.session.seenAs);
  const groups = useAppSelector(selectCustomerGroups);
  if (groups.length === 0) return null;
  return (
    <View style={{ flexDirection: 'row', width: 220 }}>
      <Chooser
        hideLabel
        label={t('Seen as')}
        chosen={seenAs === null ? t('Seen as anyone') : t('Seen as {seenAs}', { seenAs })}
        options={[
          { id: ANYONE, name: t('anyone'), note: '' },
          ...groups.map((name) => ({ id: name, name, note: t('customer group') })),
        ]}
        onChoose={(id) => dispatch(shopSeenAs(id === ANYONE ? null : id))}
      />
    </View>
  );
};

/** The other languages of the shop, each by its own name. */
const Languages = () => {
  const dispatch = useAppDispatch();
  const { language } = useCustomerWords();
  const others = customerLanguages(useAppSelector(selectServedBook)).filter((one) => one !== language);
  return (
    <View style={{ flexDirection: 'row', marginHorizontal: -4 }}>
      {others.map((one) => (
        <TextAction key={one} label={LANGUAGE_NAMES[one]} onPress={() => dispatch(shopLanguageChosen(one))} />
      ))}
    </View>
  );
};

/** The head of every page of the shop, under the merchant's own line that says what is served. */
export const ShopHead = () => {
  const style = useStyles(styles);
  const router = useRouter();
  const { say } = useCustomerWords();
  const { name } = useAppSelector(selectServedBook).store;
  const { units } = useAppSelector(selectBasket);
  return (
    <>
      <View style={style.notice} role="note">
        <Served />
        <SeenAs />
        <TextAction
          label={t('Back to the book')}
          style={{ marginLeft: 'auto' }}
          onPress={() => router.navigate('/charges')}
        />
      </View>
      <Paused />
      <View style={style.head}>
        <LinkPress to="/shop" aria-label={say('shop.home', { shop: name })}>
          <View style={style.link}>
            <Text style={style.shop}>{name}</Text>
          </View>
        </LinkPress>
        <View style={style.links}>
          <LinkPress to="/shop/delivery">
            <View style={style.link}>
              <Text style={style.basket}>{say('page.title')}</Text>
            </View>
          </LinkPress>
          <Languages />
          <LinkPress to="/shop/basket">
            <View style={style.link}>
              <Text style={style.basket}>
                {units === 0 ? say('shop.basket') : say('shop.basket-with', { count: units })}
              </Text>
            </View>
          </LinkPress>
        </View>
      </View>
    </>
  );
};
