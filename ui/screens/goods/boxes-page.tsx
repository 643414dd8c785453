import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { CARRIERS } from '../../../carriers/directory.ts';
import type { Box } from '../../../core/model/pack.ts';
import {
  moneyFigure,
  sizeFigure,
  volumeFigure,
  weightFigure,
  type DisplayFormat,
} from '../../../core/words/figure.ts';
import { Page } from '../../page/page.tsx';
import { ParcelDrawing } from '../../parts/parcel-drawing.tsx';
import { Press } from '../../parts/press.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { PageHead } from '../../page/page-head.tsx';
import { edit } from '../../state/draft.ts';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, TOUCH, type Inks } from '../../theme/tokens.ts';
import { BoxPanel } from './box-panel.tsx';
import { Opened } from '../../parts/opened.tsx';
import { Actions } from '../../parts/actions.tsx';

const styles = (inks: Inks) => ({
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: {
    flexDirection: 'row',
    gap: 16,
    alignItems: 'center',
    paddingVertical: 10,
    minHeight: TOUCH,
  } as const,
  picture: { width: 132, alignItems: 'center' } as const,
  words: { flex: 1, minWidth: 0 },
  name: { fontFamily: SANS_STRONG },
  note: note(inks),
  none: { ...note(inks), paddingVertical: 16 },
  actions: { marginTop: 4 },
});

/** The widest picture, in pixels; all are of one scale. */
const WIDEST = 130;

const scaleOf = (boxes: readonly Box[]): number =>
  WIDEST / Math.max(1, ...boxes.map(({ inside }) => (inside.length + inside.width) * 0.87));

const phraseOf = ({ inside, maxWeight, tare, cost, carrierBox }: Box, display: DisplayFormat): string =>
  [
    sizeFigure(inside, display.units),
    volumeFigure(inside.length * inside.width * inside.height, display.units),
    t('up to {weight}', { weight: weightFigure(maxWeight, display.units) }),
    t('weighs {weight}', { weight: weightFigure(tare, display.units) }),
    ...(cost === undefined ? [] : [t('costs {amount}', { amount: moneyFigure(cost, display.decimals) })]),
    ...(carrierBox
      ? [
          t('one price at {carrier}', {
            carrier: CARRIERS.find(({ id }) => id === carrierBox.carrier)?.name ?? carrierBox.carrier,
          }),
        ]
      : []),
  ].join(' · ');

const AddBoxes = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { boxes } = useBookParts('boxes');
  const add = (): void =>
    void dispatch(
      edit(
        'addBox',
        {
          box: {
            name: t('New box'),
            inside: { length: 300, width: 200, height: 150 },
            maxWeight: 20_000,
            tare: 150,
          },
        },
        t('New box'),
      ),
    );
  const offered = CARRIERS.flatMap((carrier) =>
    carrier.boxes.map((box) => ({ carrier: carrier.id, ...box })),
  ).filter(
    ({ carrier, code }) =>
      !boxes.some(({ carrierBox }) => carrierBox?.carrier === carrier && carrierBox.code === code),
  );
  return (
    <Actions style={style.actions}>
      <TextAction label={t('Add a box')} onPress={add} />
      {offered.map(({ carrier, code, name, inside, maxWeight }) => (
        <TextAction
          key={`${carrier}${code}`}
          label={t('Add {name}', { name })}
          onPress={() =>
            dispatch(
              edit(
                'addBox',
                { box: { name, inside, maxWeight, tare: 0, carrierBox: { carrier, code } } },
                t('New box, {name}', { name }),
              ),
            )
          }
        />
      ))}
    </Actions>
  );
};

/** The boxes that goods are packed into, drawn to one scale. */
const BoxesPage = ({ open }: { open: string | null }) => {
  const style = useStyles(styles);
  const router = useRouter();
  const display = useAppSelector(selectDisplayFormat);
  const { boxes } = useBookParts('boxes');
  const scale = scaleOf(boxes);
  const go = (box: string | null): void =>
    router.navigate({ pathname: '/goods', params: { panel: 'boxes', ...(box ? { box } : {}) } });
  return (
    <Page>
      <PageHead title={t('Boxes')} back={{ name: t('Products'), onPress: () => router.navigate('/goods') }} />
      {boxes.length === 0 ? (
        <Text style={style.none}>
          {t(
            'What products are packed into. With boxes, orders are fitted in 3D, so that carriers are asked about the parcels you will hand them.',
          )}
        </Text>
      ) : null}
      <View role="list" aria-label={t('Boxes')}>
        {boxes.map((box) => (
          <View style={style.item} role="listitem" key={box.id}>
            <Press
              role="button"
              aria-label={box.name}
              aria-expanded={open === box.id}
              onPress={() => go(open === box.id ? null : box.id)}
            >
              <View style={style.row}>
                <View style={style.picture}>
                  <ParcelDrawing
                    box={box.inside}
                    cuboids={[]}
                    scale={scale}
                    label={t('{box}, to scale', { box: box.name })}
                  />
                </View>
                <View style={style.words}>
                  <Text style={style.name}>{box.name}</Text>
                  <Text style={style.note}>{phraseOf(box, display)}</Text>
                </View>
              </View>
            </Press>
            {open === box.id ? (
              <Opened>
                <BoxPanel box={box} />
              </Opened>
            ) : null}
          </View>
        ))}
      </View>
      <AddBoxes />
    </Page>
  );
};
export default BoxesPage;
