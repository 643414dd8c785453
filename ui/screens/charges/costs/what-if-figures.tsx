import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { marginWithMore } from '../../../../core/costs/lever-curve.ts';
import { chargedWithCost, type Moved, type WhatIf } from '../../../../core/costs/what-if.ts';
import { moneyFigure, wholeFigure } from '../../../../core/words/figure.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { figure, note, strongFigure } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { signedMoney } from './signed-money.ts';

const styles = (inks: Inks) => ({
  figures: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 28, rowGap: 12, paddingTop: 12 } as const,
  note: note(inks),
  now: { ...strongFigure, color: inks.ink },
  loss: { ...strongFigure, color: inks.rubric },
  was: { ...figure, color: inks.quiet },
  said: { paddingTop: 12 },
});

const Pair = ({ name, was, now, signed }: { name: string; was: number; now: number; signed?: boolean }) => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const text = (amount: number): string =>
    signed ? signedMoney(amount, decimals) : moneyFigure(amount, decimals);
  return (
    <View>
      <Text style={style.note}>{name}</Text>
      <Text style={signed && now < 0 ? style.loss : style.now}>{text(now)}</Text>
      <Text style={style.note}>
        {now === was ? t('unchanged') : t('in place of {text}', { text: text(was) })}
      </Text>
    </View>
  );
};

const movedWords = (word: 'more' | 'less', { orders, by }: Moved, all: number, decimals: number): string =>
  orders === 0
    ? t('No order pays {word, select, more {more} other {less}}.', { word })
    : t(
        '{count} of {all, plural, one {# order} other {# orders}} {orders, plural, one {pays} other {pay}} {word, select, more {more} other {less}}, by {amount} on average.',
        {
          count: wholeFigure(orders),
          all,
          orders,
          word,
          amount: moneyFigure(Math.round(by / orders), decimals),
        },
      );

/** Who pays more or less, and who would lose or gain the choice, in sentences. */
const whoWords = ({ was, more, less, lost, gained }: WhatIf, decimals: number): string =>
  [
    movedWords('more', more, was.orders, decimals),
    movedWords('less', less, was.orders, decimals),
    lost > 0
      ? t('{lost, plural, one {# order} other {# orders}} could not be bought this way any more.', { lost })
      : '',
    gained > 0
      ? t('{gained, plural, one {# order} other {# orders}} could be bought this way again.', { gained })
      : '',
  ]
    .filter(Boolean)
    .join(' ');

/** Charged, cost and margin with a lever moved, beside what they are now, and who is affected. */
export const WhatIfFigures = ({ found, moreOrders }: { found: WhatIf; moreOrders: number }) => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const { was, now } = found;
  const margin = marginWithMore(found, moreOrders);
  return (
    <View aria-live="polite">
      <View style={style.figures}>
        <Pair name={t('Charged')} was={chargedWithCost(was)} now={chargedWithCost(now)} />
        <Pair name={t('Cost')} was={was.cost} now={now.cost + now.margin - margin} />
        <Pair name={t('Margin')} was={was.margin} now={margin} signed />
      </View>
      {now.withCost < now.orders ? (
        <Text style={style.note}>
          {t('Of the {withCost, plural, one {# order} other {# orders}} whose cost is known or estimated.', {
            withCost: now.withCost,
          })}
        </Text>
      ) : null}
      <Text style={style.said}>{whoWords(found, decimals)}</Text>
    </View>
  );
};
