import { usePathname } from 'expo-router';
import { ScrollView, View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { LinkPress } from '../parts/link-press.tsx';
import { Press } from '../parts/press.tsx';
import { coloursChosen, findToggled, keysToggled } from '../state/session.ts';
import { useAppDispatch } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { SANS_STRONG, SERIF_STRONG, RAIL_WIDTH, TOUCH, type Inks } from '../theme/tokens.ts';
import { PLACES, type Place } from '../page/program-pages.ts';
import { useIsDark } from '../page/use-is-dark.ts';

const styles = (inks: Inks) => ({
  rail: { width: RAIL_WIDTH, borderRightWidth: 1, borderRightColor: inks.hairline },
  inside: { flexGrow: 1, paddingVertical: 20 } as const,
  mark: { fontFamily: SERIF_STRONG, fontSize: 22, lineHeight: 28, paddingLeft: 22, marginBottom: 20 },
  dot: { color: inks.rubric, fontFamily: SERIF_STRONG, fontSize: 22 },
  item: {
    minHeight: TOUCH,
    justifyContent: 'center',
    paddingLeft: 19,
    borderLeftWidth: 3,
    borderLeftColor: 'transparent',
  } as const,
  here: { borderLeftColor: inks.ink },
  name: { fontSize: 13, lineHeight: 18, color: inks.quiet },
  hereName: { color: inks.ink, fontFamily: SANS_STRONG },
  foot: { flexGrow: 1, justifyContent: 'flex-end' } as const,
});

const RailLink = ({ name, path }: { name: string; path: Place | '/settings' | '/shop' | '/guide' }) => {
  const style = useStyles(styles);
  const isHere = usePathname().startsWith(path);
  return (
    <LinkPress to={path} aria-current={isHere ? 'page' : undefined}>
      <View style={[style.item, isHere ? style.here : null]}>
        <Text style={[style.name, isHere ? style.hereName : null]}>{name}</Text>
      </View>
    </LinkPress>
  );
};

/** What is about the program itself. */
const Foot = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const isDark = useIsDark();
  return (
    <View style={style.foot}>
      <RailLink name={t('Shopfront')} path="/shop" />
      <RailLink name={t('Settings')} path="/settings" />
      <RailLink name={t('Guide')} path="/guide" />
      <Press role="button" onPress={() => dispatch(coloursChosen(isDark ? 'light' : 'dark'))}>
        <View style={style.item}>
          <Text style={style.name}>{isDark ? t('Light') : t('Dark')}</Text>
        </View>
      </Press>
      <Press role="button" onPress={() => dispatch(keysToggled(true))}>
        <View style={style.item}>
          <Text style={style.name}>{t('Keyboard')}</Text>
        </View>
      </Press>
    </View>
  );
};

/** The places of the program, and what is about it at the foot; in a low window, as on a phone on its side, it scrolls. */
export const Rail = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  return (
    <View style={style.rail} role="navigation" aria-label={t('Places')}>
      <ScrollView contentContainerStyle={style.inside}>
        <Text style={style.mark} aria-label={'Emporos'}>
          E<Text style={style.dot}>.</Text>
        </Text>
        <Press role="button" aria-label={t('Find anything')} onPress={() => dispatch(findToggled(true))}>
          <View style={style.item}>
            <Text style={style.name}>{t('Find')}</Text>
          </View>
        </Press>
        {PLACES.map((place) => (
          <RailLink key={place.path} name={place.name} path={place.path} />
        ))}
        <Foot />
      </ScrollView>
    </View>
  );
};
