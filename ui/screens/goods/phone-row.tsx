import { memo } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { GAP_NAMES, gapsOf } from '../../../core/goods/gaps.ts';
import { goodFigure } from '../../../core/goods/difference.ts';
import type { Good } from '../../../core/model/good.ts';
import { moneyFigure, type DisplayFormat } from '../../../core/words/figure.ts';
import { TickBox } from '../../parts/check.tsx';
import { Press } from '../../parts/press.tsx';
import { useStyles } from '../../theme/styles.ts';
import { note, smallFigure } from '../../theme/text.ts';
import { TOUCH, type Inks } from '../../theme/tokens.ts';
import { PHONE_ROW_HEIGHT } from './goods-layout.ts';
import type { RowPresses } from './goods-row.tsx';

interface Props {
  good: Good;
  display: DisplayFormat;
  chosen: boolean;
  presses: Pick<RowPresses, 'onOpen' | 'onToggle'>;
}

const styles = (inks: Inks) => ({
  row: {
    flexDirection: 'row',
    height: PHONE_ROW_HEIGHT,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  tick: { width: TOUCH, height: PHONE_ROW_HEIGHT - 1, justifyContent: 'center' } as const,
  press: { flex: 1, minWidth: 0 },
  words: { height: PHONE_ROW_HEIGHT - 1, justifyContent: 'center' } as const,
  first: { flexDirection: 'row', gap: 12, justifyContent: 'space-between' } as const,
  name: { flexShrink: 1 },
  figure: { ...smallFigure, color: inks.ink },
  note: note(inks),
  missing: { color: inks.rubric },
});

/** One good in two lines; pressed, it opens its page. */
export const PhoneRow = memo(function PhoneRow({ good, display, chosen, presses }: Props) {
  const style = useStyles(styles);
  const gaps = gapsOf(good);
  const facts = (['weight', 'size'] as const).flatMap((field) =>
    gaps.includes(field) ? [] : [goodFigure(good, field, display)],
  );
  const known = [good.fulfilment === 'digital' ? t('digital') : '', ...facts].filter(Boolean).join(' · ');
  const lacking =
    gaps.length > 0 ? t('{list} missing', { list: gaps.map((gap) => GAP_NAMES[gap]).join(t(' and ')) }) : '';
  return (
    <View style={style.row} role="listitem">
      <Press
        role="checkbox"
        aria-checked={chosen}
        aria-label={t('Choose {good}', { good: good.name })}
        onPress={() => presses.onToggle(good.sku, false)}
      >
        <View style={style.tick}>
          <TickBox on={chosen} />
        </View>
      </Press>
      <Press
        style={style.press}
        role="button"
        aria-label={`${good.name}, ${moneyFigure(good.price, display.decimals)}${lacking ? `, ${lacking}` : ''}`}
        onPress={() => presses.onOpen(good.sku)}
      >
        <View style={style.words}>
          <View style={style.first}>
            <Text style={style.name} numberOfLines={1}>
              {good.name}
            </Text>
            <Text style={style.figure}>{moneyFigure(good.price, display.decimals)}</Text>
          </View>
          <Text style={style.note} numberOfLines={1}>
            {known}
            {lacking ? (
              <Text style={[style.note, style.missing]}>
                {known ? ' · ' : ''}
                {lacking}
              </Text>
            ) : null}
          </Text>
        </View>
      </Press>
    </View>
  );
});
