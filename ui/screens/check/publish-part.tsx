import { labelled } from '../../../core/words/labelled.ts';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { TestOrderChange } from '../../../core/publish/test-order-changes.ts';
import { LinkPress } from '../../parts/link-press.tsx';
import { Press } from '../../parts/press.tsx';
import { Progress } from '../../parts/progress.tsx';
import { Section } from '../../parts/section.tsx';
import { useToday } from '../../time/use-today.ts';
import { usePlaceNames } from '../../places/use-place-names.ts';
import { testOrderChosen } from '../../state/session.ts';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { selectLive } from '../../state/served.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SERIF, type Inks } from '../../theme/tokens.ts';
import { changeWords } from './change-words.ts';
import { EditionList } from './edition-list.tsx';
import { PublishForm } from './publish-form.tsx';
import { selectDraftChanges, type ChangeLine } from './publish-selectors.ts';
import { ReplayFigures } from './replay-figures.tsx';
import { useAudit } from './use-audit.ts';
import { useLiveAudit } from './use-live-audit.ts';
import { useComparison } from './use-comparison.ts';

const MOST_SHOWN = 60;

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingVertical: 12 },
  quiet: { ...note(inks), paddingVertical: 8 },
  change: {
    fontFamily: SERIF,
    fontSize: 15,
    lineHeight: 22,
    paddingVertical: 9,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  },
  linked: { textDecorationLine: 'underline', textDecorationColor: inks.control } as const,
});

const Changes = ({ lines }: { lines: readonly ChangeLine[] }) => {
  const style = useStyles(styles);
  return (
    <View role="list" aria-label={t('What the draft changes')}>
      {lines.slice(0, MOST_SHOWN).map(({ text, link }, at) => (
        <View role="listitem" key={at}>
          {link ? (
            <LinkPress to={link}>
              <Text style={[style.change, style.linked]}>{text}</Text>
            </LinkPress>
          ) : (
            <Text style={style.change}>{text}</Text>
          )}
        </View>
      ))}
      {lines.length > MOST_SHOWN ? (
        <Text style={style.quiet}>{t('and {count} more', { count: lines.length - MOST_SHOWN })}</Text>
      ) : null}
    </View>
  );
};

const TestOrders = ({ testOrders }: { testOrders: readonly TestOrderChange[] }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { decimals } = useAppSelector(selectDisplayFormat);
  if (testOrders.length === 0) return <Text style={style.quiet}>{t('No test order changes.')}</Text>;
  return (
    <View role="list" aria-label={t('Test orders that change')}>
      {testOrders.map((testOrder) => (
        <View role="listitem" key={testOrder.id}>
          <Press role="button" onPress={() => dispatch(testOrderChosen(testOrder.id))}>
            <Text style={style.change}>{labelled(testOrder.name, changeWords(testOrder, decimals))}.</Text>
          </Press>
        </View>
      ))}
    </View>
  );
};

/** The draft against the live edition: what changes, whom it touches, and the way to publish it. */
export const PublishPart = () => {
  const style = useStyles(styles);
  const live = useAppSelector(selectLive);
  const names = usePlaceNames();
  const changes = useAppSelector((state) => selectDraftChanges(state, names));
  const { compared, share, older, priceAll } = useComparison(live);
  const today = useToday(useBookParts('store').store.timeZone);
  useAudit(today);
  useLiveAudit(today);
  return (
    <View>
      <Text style={style.note}>
        {live
          ? t(
              'Edition {number} is live: {note} The draft changes {count, plural, one {# thing} other {# things}}.',
              { number: live.number, note: live.note, count: changes?.length ?? 0 },
            )
          : t(
              'Nothing is published yet: the shopfront shows the draft. What is published is an edition: numbered, and never changed. The first is edition 1.',
            )}
      </Text>
      {changes && changes.length > 0 ? <Changes lines={changes} /> : null}
      {live && changes && changes.length > 0 ? (
        <>
          <Section title={t('Who is affected')} />
          {compared ? (
            <>
              <TestOrders testOrders={compared.testOrders} />
              {compared.replay.orders > 0 ? (
                <ReplayFigures replay={compared.replay} older={older} onAll={priceAll} />
              ) : null}
            </>
          ) : (
            <View>
              <Text style={style.quiet}>{t('Pricing the test orders and past orders with both …')}</Text>
              <Progress label={t('Pricing past orders again')} share={share} />
            </View>
          )}
        </>
      ) : null}
      <Section title={t('Publish')} />
      <PublishForm changes={live ? (changes?.length ?? 0) : 1} />
      <EditionList />
    </View>
  );
};
