import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { labelled } from '../../core/words/labelled.ts';
import type { Withheld } from '../../core/model/quote.ts';
import { Press } from '../parts/press.tsx';
import { withheldToggled } from '../state/session.ts';
import { selectBook } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { aside, note } from '../theme/text.ts';
import { TOUCH, type Inks } from '../theme/tokens.ts';
import { ruleLink } from './rule-link.ts';
import { ExpectActions, StandingMark } from './expect-actions.tsx';
import { RuleRow } from './rule-row.tsx';

const styles = (inks: Inks) => ({
  head: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'flex-end',
    minHeight: TOUCH,
    paddingBottom: 6,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  note: note(inks),
  item: { paddingVertical: 8, borderBottomWidth: 1, borderBottomColor: inks.hairline },
  reason: { ...aside, color: inks.quiet },
  name: { color: inks.ink },
  linked: { textDecorationLine: 'underline', textDecorationColor: inks.control } as const,
});

/** What is not offered, folded until asked for, each with its reason and the way to the rule. */
export const WithheldList = ({
  withheld,
  alwaysOpen,
}: {
  withheld: readonly Withheld[];
  alwaysOpen: boolean;
}) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const book = useAppSelector(selectBook);
  const isOpen = useAppSelector((state) => state.session.withheldOpen) || alwaysOpen;
  if (withheld.length === 0) return null;
  return (
    <View>
      <Press
        onPress={() => dispatch(withheldToggled())}
        role="button"
        aria-expanded={isOpen}
        disabled={alwaysOpen}
      >
        <View style={style.head}>
          <Text style={style.note}>{t('Not offered, {count}', { count: withheld.length })}</Text>
          {alwaysOpen ? null : <Text style={style.note}>{isOpen ? t('hide') : t('open')}</Text>}
        </View>
      </Press>
      <View role="list" aria-label={t('Not offered')}>
        {(isOpen ? withheld : []).map((one) => {
          const link = ruleLink(book, one.from, one);
          return (
            <View key={one.id} style={style.item} role="listitem">
              <RuleRow inItem link={link} label={labelled(one.name, one.text)}>
                <View>
                  <Text style={style.reason}>
                    <Text style={[style.reason, style.name]}>{one.name}: </Text>
                    <Text style={[style.reason, link ? style.linked : null]}>{one.text}</Text>
                  </Text>
                  {one.message ? (
                    <Text style={style.note}>
                      {t('The customer is told: {message}', { message: one.message })}
                    </Text>
                  ) : null}
                </View>
              </RuleRow>
              <StandingMark one={one} />
              <ExpectActions one={one} />
            </View>
          );
        })}
      </View>
    </View>
  );
};
