import { useState, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { Text, ThemeProvider } from 'react-native-paper';
import { LANGUAGE_NAMES, LANGUAGES, type Language } from '../../core/model/language.ts';
import { ColumnWidth } from '../parts/column-width.ts';
import { Later } from '../parts/later.tsx';
import { Segments } from '../parts/segments.tsx';
import { useWidth, type Width } from '../parts/use-width.ts';
import { usePageTitle } from '../page/page-title.ts';
import { shopLanguageChosen } from '../state/session.ts';
import { selectShopLanguage } from '../state/shop-language.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { lampTheme, paperTheme, type AppTheme } from '../theme/theme.ts';
import { CustomerWordsSeen } from './customer-words-seen.tsx';
import { FieldsSeen } from './fields-seen.tsx';
import { PartsSeen } from './parts-seen.tsx';
import { PicturesSeen } from './pictures-seen.tsx';

const COLUMNS: Record<'phone' | 'wide', number> = { phone: 390, wide: 660 };

/** Everything once, in one theme and at one width. */
const Panel = ({ name, theme, width }: { name: string; theme: AppTheme; width: 'phone' | 'wide' }) => {
  const room = useWidth() === 'phone' ? '100%' : COLUMNS[width];
  return (
    <ThemeProvider theme={theme}>
      <View
        role="region"
        aria-label={name}
        style={{ width: room, padding: 20, gap: 24, backgroundColor: theme.inks.ground }}
      >
        <Text variant="titleLarge" role="heading" aria-level={2}>
          {name}
        </Text>
        <ColumnWidth value={width}>
          <PartsSeen />
          <FieldsSeen />
          <PicturesSeen />
          <Later>
            <CustomerWordsSeen />
          </Later>
        </ColumnWidth>
      </View>
    </ThemeProvider>
  );
};

const row = { flexDirection: 'row', flexWrap: 'wrap', gap: 24, alignItems: 'flex-start' } as const;
const THEMES: readonly [name: string, theme: AppTheme][] = [
  ['light', paperTheme],
  ['dark', lampTheme],
];

const panels = (widths: readonly Exclude<Width, 'medium'>[]): ReactNode =>
  widths.flatMap((width) =>
    THEMES.map(([name, theme]) => (
      <Panel
        key={`${width} ${name}`}
        name={`${width === 'phone' ? 'Phone' : 'Wide'}, ${name}`}
        theme={theme}
        width={width}
      />
    )),
  );

/** Every part in every state, at both widths, in both themes and all languages: where to look when a part changes. */
const Gallery = () => {
  usePageTitle('Gallery', 'Emporos');
  const dispatch = useAppDispatch();
  const language = useAppSelector(selectShopLanguage);
  const isPhone = useWidth() === 'phone';
  const [only, setOnly] = useState<'all' | 'phone' | 'wide'>('all');
  return (
    <ScrollView contentContainerStyle={{ padding: isPhone ? 0 : 20, gap: 20 }}>
      <View style={{ padding: isPhone ? 20 : 0, gap: 12, maxWidth: 420 }}>
        <Text variant="displaySmall" role="heading" aria-level={1}>
          Gallery
        </Text>
        <Segments<Language>
          label="Language of the customer’s side"
          value={language}
          options={LANGUAGES.map((value) => ({ value, label: LANGUAGE_NAMES[value] }))}
          onChange={(next) => dispatch(shopLanguageChosen(next))}
        />
        {isPhone ? null : (
          <Segments
            label="Widths"
            value={only}
            options={[
              { value: 'all', label: 'Both' },
              { value: 'phone', label: 'Phone' },
              { value: 'wide', label: 'Wide' },
            ]}
            onChange={setOnly}
          />
        )}
      </View>
      <View style={row}>{panels(isPhone ? ['phone'] : only === 'all' ? ['phone', 'wide'] : [only])}</View>
    </ScrollView>
  );
};
export default Gallery;
