import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { Misbehaviour } from '../../../../carriers/misbehaviour.ts';
import { CARRIERS } from '../../../../carriers/directory.ts';
import {
  forgetAnswers,
  readTroublesSet,
  restingCarriers,
  setTroubles,
} from '../../../carriers/reach-carriers.ts';
import { Check } from '../../../parts/check.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { answersForgotten } from '../../../state/answers.ts';
import { useAppDispatch } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../../theme/tokens.ts';

type Trouble = Misbehaviour['trouble'] | 'none';

const OPTIONS: { value: Trouble; label: string }[] = [
  { value: 'none', label: t('normal') },
  { value: 'slow', label: t('slow') },
  { value: 'unreachable', label: t('offline') },
  { value: 'refusing', label: t('refuses') },
  { value: 'rubbish', label: t('unreadable') },
];

const styles = (inks: Inks) => ({
  all: { gap: 12, paddingVertical: 8 },
  row: { gap: 4 },
  name: { fontFamily: SANS_STRONG, fontSize: 13 },
  note: note(inks),
});

/** What each stand-in gets wrong when it is asked, for all requests or the next one. */
const Troubles = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const [set, setSet] = useState<Misbehaviour[]>([]);
  const [resting, setResting] = useState<string[]>([]);
  useEffect(() => {
    void readTroublesSet().then(setSet);
    void restingCarriers().then(setResting);
  }, []);
  const change = (carrier: string, next: Partial<Misbehaviour> | null): void => {
    const known = set.find((one) => one.carrier === carrier);
    const others = set.filter((one) => one.carrier !== carrier);
    const all =
      next === null
        ? others
        : [...others, { trouble: 'slow' as const, lasts: 'always' as const, ...known, ...next, carrier }];
    setSet(all);
    void setTroubles(all)
      .then(forgetAnswers)
      .then(() => dispatch(answersForgotten(null)));
  };
  return (
    <View style={style.all} role="group" aria-label={t('What carriers get wrong')}>
      <Text style={style.note}>
        {t(
          'The carriers here are stand-ins. Let one fail and look at the preview and the checkout: a fallback is charged, or the choice is withheld. It is never free. What you set here ends when you close the browser.',
        )}
      </Text>
      {CARRIERS.map(({ id, name }) => {
        const known = set.find((one) => one.carrier === id);
        return (
          <View key={id} style={style.row} role="group" aria-label={name}>
            <Text style={style.name}>
              {name}
              {resting.includes(id) ? t(', left alone for a while after failing again and again') : ''}
            </Text>
            <Segments
              hideLabel
              label={t('How {name} behaves', { name })}
              value={known?.trouble ?? 'none'}
              options={OPTIONS}
              onChange={(trouble) => change(id, trouble === 'none' ? null : { trouble })}
            />
            {known ? (
              <Check
                label={t('for the next request only')}
                on={known.lasts === 'once'}
                onPress={() => change(id, { lasts: known.lasts === 'once' ? 'always' : 'once' })}
              />
            ) : null}
          </View>
        );
      })}
    </View>
  );
};
export default Troubles;
