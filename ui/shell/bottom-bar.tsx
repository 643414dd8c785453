import { usePathname } from 'expo-router';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { LinkPress } from '../parts/link-press.tsx';
import { useStyles } from '../theme/styles.ts';
import { SANS_STRONG, type Inks } from '../theme/tokens.ts';
import { PLACES } from '../page/program-pages.ts';

const styles = (inks: Inks) => ({
  bar: {
    flexDirection: 'row',
    justifyContent: 'space-around',
    backgroundColor: inks.raised,
    borderTopWidth: 1,
    borderTopColor: inks.hairline,
  } as const,
  item: {
    height: 50,
    minWidth: 60,
    alignItems: 'center',
    justifyContent: 'center',
    borderTopWidth: 3,
    borderTopColor: 'transparent',
  } as const,
  here: { borderTopColor: inks.ink },
  name: { fontSize: 13, lineHeight: 18, color: inks.quiet },
  hereName: { color: inks.ink, fontFamily: SANS_STRONG },
});

/** The places of the program along the bottom of a phone. */
export const BottomBar = () => {
  const style = useStyles(styles);
  const path = usePathname();
  return (
    <View style={style.bar} role="navigation" aria-label={t('Places')}>
      {PLACES.map((place) => {
        const isHere = path.startsWith(place.path);
        return (
          <LinkPress key={place.path} to={place.path} aria-current={isHere ? 'page' : undefined}>
            <View style={[style.item, isHere ? style.here : null]}>
              <Text style={[style.name, isHere ? style.hereName : null]}>{place.name}</Text>
            </View>
          </LinkPress>
        );
      })}
    </View>
  );
};
