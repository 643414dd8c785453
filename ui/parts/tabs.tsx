import { useEffect, useRef } from 'react';
import { ScrollView, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useStyles } from '../theme/styles.ts';
import { FINGER, SANS_STRONG, TOUCH, type Inks } from '../theme/tokens.ts';
import { Press } from './press.tsx';

interface Props<V extends string> {
  label: string;
  value: V;
  options: readonly { value: V; label: string }[];
  onChange: (value: V) => void;
  /** The page's margin, which the row of tabs crosses. */
  bleed?: number;
}

const styles = (inks: Inks) => ({
  tabs: { flexDirection: 'row', gap: 20 } as const,
  rule: { borderBottomWidth: 1, borderBottomColor: inks.ink },
  tab: {
    minHeight: TOUCH,
    minWidth: FINGER,
    justifyContent: 'center',
    borderBottomWidth: 3,
    borderBottomColor: 'transparent',
  } as const,
  here: { borderBottomColor: inks.ink },
  name: { fontSize: 13, lineHeight: 18, color: inks.quiet },
  hereName: { color: inks.ink, fontFamily: SANS_STRONG },
});

/** Scrolls the row, and nothing else, until a tab stands in the middle of it. */
const bringIntoRow = (tab: HTMLElement | null): void => {
  const row = tab?.closest?.('[role="tablist"]');
  if (tab && row) row.scrollLeft = tab.offsetLeft - (row.clientWidth - tab.offsetWidth) / 2;
};

/** The parts of a page side by side, one of them shown; they scroll where there is no room. */
export const Tabs = <V extends string>({ label, value, options, onChange, bleed = 0 }: Props<V>) => {
  const style = useStyles(styles);
  const here = useRef<View>(null);
  const shown = useRef(options[0]?.value);
  useEffect(() => {
    // The first is in sight by itself: the page is not measured before it is drawn.
    if (value !== shown.current) bringIntoRow(here.current as unknown as HTMLElement | null);
    shown.current = value;
  }, [value]);
  return (
    <View style={[style.rule, { marginHorizontal: -bleed }]}>
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        contentContainerStyle={[style.tabs, { paddingHorizontal: bleed }]}
        role="tablist"
        aria-label={label}
      >
        {options.map((option) => {
          const isHere = option.value === value;
          return (
            <Press
              key={option.value}
              ref={isHere ? here : null}
              role="tab"
              aria-selected={isHere}
              onPress={() => onChange(option.value)}
            >
              <View style={[style.tab, isHere ? style.here : null]}>
                <Text style={[style.name, isHere ? style.hereName : null]}>{option.label}</Text>
              </View>
            </Press>
          );
        })}
      </ScrollView>
    </View>
  );
};
