import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { ReadShape } from '../../../../core/formats/area-geojson.ts';
import type { Coverage, DeliveryArea } from '../../../../core/model/delivery.ts';
import type { Location } from '../../../../core/model/location.ts';
import { hasGazetteer } from '../../../../gazetteer/read-gazetteer.ts';
import { countryName } from '../../../../core/words/country-name.ts';
import { postalAreasIn } from '../../../../core/coverage/neighbourhood.ts';
import type { PostalArea } from '../../../../core/coverage/postal-reach.ts';
import { pastedPatterns } from '../../../../core/place/pasted-patterns.ts';
import { patternNames } from '../../../../core/place/written-code.ts';
import { CountryField } from '../../../fields/country-field.tsx';
import { MeasureField } from '../../../fields/kind-fields.tsx';
import { DraftField } from '../../../fields/draft-field.tsx';
import { useKeptKinds } from '../../../parts/use-kept-kinds.ts';
import { Segments } from '../../../parts/segments.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { codeExamplesText } from '../../../places/code-examples.ts';
import { usePostalAreas } from '../../../places/use-gazetteer.ts';
import { codeForm } from '../../../places/whole-code.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { firstCoverage, noShapeText, patternsOf } from './coverage.ts';
import { holesNote, openShapes, shapeName } from './open-shapes.ts';
import { Actions } from '../../../parts/actions.tsx';

interface Props {
  area: DeliveryArea;
  location: Location;
  onChange: (covers: Coverage, visit: string | null) => void;
}

const styles = (inks: Inks) => ({
  note: note(inks),
  fault: { ...note(inks), color: inks.rubric },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
});

const LISTED = 14;
const codesText = (areas: readonly PostalArea[]): string => {
  const codes = areas.map(({ code }) => code).sort();
  return codes.length > LISTED
    ? t('{list} and {count} more', { list: codes.slice(0, LISTED).join(', '), count: codes.length - LISTED })
    : codes.join(', ');
};

const PostalFields = ({
  covers,
  onChange,
}: {
  covers: Extract<Coverage, { kind: 'postal' }>;
  onChange: Props['onChange'];
}) => {
  const style = useStyles(styles);
  const [unread, setUnread] = useState<string[]>([]);
  const { country, patterns } = covers;
  return (
    <View style={{ gap: 8 }}>
      <View style={style.row}>
        <CountryField
          style={{ width: 168 }}
          label={t('Country')}
          value={country}
          onChange={(next, visit) => onChange({ ...covers, country: next }, visit)}
        />
        <DraftField
          multiline
          style={{ flexGrow: 1, flexBasis: 220 }}
          label={t('Postal codes, pasted in any form')}
          placeholder={codeExamplesText(country)}
          text={patternNames(country, patterns).join(', ')}
          read={(text) => ({ ok: true, value: pastedPatterns(country, text, codeForm(country)) })}
          onChange={(pasted, visit) => {
            setUnread(pasted.unread);
            onChange({ ...covers, patterns: pasted.patterns }, visit);
          }}
        />
      </View>
      {unread.length > 0 ? (
        <Text style={style.fault} role="alert">
          {t('Not understood: {list}{more}.', {
            list: unread.slice(0, 8).join(', '),
            more: unread.length > 8 ? t(' and {count} more', { count: unread.length - 8 }) : '',
          })}
        </Text>
      ) : null}
    </View>
  );
};

/** Which postal areas a drawn coverage holds and cuts through, and the list it can be turned into. */
const CutCodes = ({ area, location, onChange }: Props) => {
  const style = useStyles(styles);
  const { country, point } = location.address;
  const postal = usePostalAreas(country);
  const { whole, cut } = postalAreasIn(area, point, postal);
  const turn = (areas: readonly PostalArea[]) => (): void =>
    onChange({ kind: 'postal', country, patterns: patternsOf(country, areas) }, null);
  if (area.covers.kind === 'radius' && !point)
    return (
      <Text style={style.fault} role="alert">
        {t(
          'The point of {location} is not known, so a radius covers nothing: write its coordinates under Settings, Locations.',
          { location: location.name },
        )}
      </Text>
    );
  if (!hasGazetteer(country))
    return (
      <Text style={style.fault} role="alert">
        {t(
          'Postal codes of {country} are not on the built-in map, so the shopfront cannot tell who lives in this area and offers it to nobody. Give it by postal codes instead.',
          { country: countryName(country) },
        )}
      </Text>
    );
  return (
    <View>
      <Text style={style.note}>
        {whole.length === 0
          ? t('Contains no whole postal area.')
          : t('Holds {codesText}.', { codesText: codesText(whole) })}
      </Text>
      {cut.length === 0 ? null : (
        <Text style={style.note}>
          {t('Its edge cuts through {codesText}.', { codesText: codesText(cut) })}
        </Text>
      )}
      <Actions>
        <TextAction
          label={t('Turn into the {count, plural, one {# code} other {# codes}} it holds', {
            count: whole.length,
          })}
          disabled={whole.length === 0}
          onPress={turn(whole)}
        />
        {cut.length === 0 ? null : (
          <TextAction
            label={t('Turn into {count, plural, one {# code} other {# codes}}, those it cuts too', {
              count: whole.length + cut.length,
            })}
            onPress={turn([...whole, ...cut])}
          />
        )}
      </Actions>
    </View>
  );
};

interface ShapeProps {
  areaId: string;
  covers: Extract<Coverage, { kind: 'shape' }>;
  onChange: Props['onChange'];
}

const ShapeFields = ({ areaId, covers, onChange }: ShapeProps) => {
  const style = useStyles(styles);
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  const [several, setSeveral] = useState<readonly ReadShape[]>([]);
  const take = (shape: ReadShape): void => {
    setSeveral([]);
    setFault(holesNote([shape]) || null);
    onChange({ kind: 'shape', ring: shape.ring }, null);
  };
  const open = async (): Promise<void> => {
    const opened = await openShapes();
    if (!opened) return;
    setSeveral([]);
    if (!opened.ok) return setFault(opened.reason);
    setFault(null);
    const [only, ...more] = opened.shapes;
    if (more.length > 0) setSeveral(opened.shapes);
    else if (only) take(only);
  };
  const draw = (): void =>
    router.navigate({ pathname: '/reach', params: { part: 'nearby', area: areaId, draw: '1' } });
  return (
    <View>
      <Text style={style.note}>
        {t(
          '{count, plural, one {# corner} other {# corners}}. Move them on the map by mouse, or by the arrow keys; a press on a small mark between two of them makes one more, Delete takes one out.',
          { count: covers.ring.length },
        )}
      </Text>
      <Actions>
        <TextAction label={t('Draw it again on the map')} onPress={draw} />
        <TextAction label={t('Take the shape from a GeoJSON file')} onPress={() => void open()} />
      </Actions>
      {several.length === 0 ? null : (
        <View role="group" aria-label={t('Shapes of the file')}>
          <Text style={style.note}>
            {t('The file has {count} shapes. Which is it?', { count: several.length })}
          </Text>
          <Actions>
            {several.map((shape, n) => (
              <TextAction key={n} label={shapeName(shape, n)} onPress={() => take(shape)} />
            ))}
          </Actions>
        </View>
      )}
      {fault === null ? null : (
        <Text style={style.fault} role="alert">
          {fault}
        </Text>
      )}
    </View>
  );
};

/** Where an area delivers: by postal codes, by a radius, or by a shape on the map. */
export const CoverageFields = (props: Props) => {
  const { area, location, onChange } = props;
  const { covers } = area;
  const style = useStyles(styles);
  const kept = useKeptKinds<Coverage>(covers);
  const display = useAppSelector(selectDisplayFormat);
  const [lacksPoint, setLacksPoint] = useState(false);
  const turn = (kind: Coverage['kind']): void => {
    if (kind === covers.kind) return;
    const next: Coverage | null = kept(kind, () => firstCoverage(kind, location, display.units) as never);
    setLacksPoint(next === null);
    if (next) onChange(next, null);
  };
  return (
    <View style={{ gap: 8 }} role="group" aria-label={t('Where it delivers')}>
      <Segments<Coverage['kind']>
        label={t('The area is given by')}
        value={covers.kind}
        onChange={turn}
        options={[
          { value: 'postal', label: t('postal codes') },
          { value: 'radius', label: t('a radius') },
          { value: 'shape', label: t('a shape') },
        ]}
      />
      {lacksPoint ? (
        <Text style={style.fault} role="alert">
          {noShapeText(location)}
        </Text>
      ) : null}
      {covers.kind === 'postal' ? <PostalFields covers={covers} onChange={onChange} /> : null}
      {covers.kind === 'radius' ? (
        <MeasureField
          right
          style={{ width: 160 }}
          label={t('From {location}, up to', { location: location.name })}
          value={covers.metres}
          measure="distance"
          onChange={(metres, visit) => onChange({ kind: 'radius', metres }, visit)}
        />
      ) : null}
      {covers.kind === 'shape' ? <ShapeFields areaId={area.id} covers={covers} onChange={onChange} /> : null}
      {covers.kind === 'postal' ? null : <CutCodes {...props} />}
    </View>
  );
};
