import { zodResolver } from '@hookform/resolvers/zod';
import { useForm, type Resolver } from 'react-hook-form';
import { View } from 'react-native';
import { Button } from 'react-native-paper';
import { z } from 'zod';
import { t } from '../../../core/translate/translate.ts';
import { nameSchema } from '../../../core/model/unit.ts';
import { FormField } from '../../fields/form-field.tsx';
import { edit } from '../../state/draft.ts';
import { readRegions } from '../../fields/place-readers.ts';
import { useAppDispatch } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { SANS, type Inks } from '../../theme/tokens.ts';
import { loadWorldPlaces } from '../../places/places.ts';
import { TextAction } from '../../parts/text-action.tsx';

const styles = (_: Inks) => ({
  form: { gap: 10, paddingVertical: 12, maxWidth: 480 },
});

interface Values {
  name: string;
  places: string;
}

const placesFault = (places: string, home: string | undefined): string | null => {
  const read = readRegions(places, home);
  return read.ok ? null : read.text;
};

const schemaFor = (home: string | undefined) =>
  z
    .object({ name: z.string(), places: z.string() })
    .refine(({ name }) => nameSchema.safeParse(name).success, {
      path: ['name'],
      error: t('A name is needed, of at most 120 characters.'),
    })
    .superRefine(({ places }, context) => {
      const fault = placesFault(places, home);
      if (fault !== null) context.addIssue({ code: 'custom', path: ['places'], message: fault });
    });

/** Places may be written by name: the names are there before what was typed is read. */
const resolverFor = (home: string | undefined): Resolver<Values> => {
  const check = zodResolver(schemaFor(home));
  return async (values, context, options) => {
    await loadWorldPlaces();
    return check(values, context, options);
  };
};

interface FieldsProps {
  what: 'zone' | 'service';
  onDone: () => void;
}

/** A new zone with its places, or a new service, by name. */
const AddForm = ({ what, onDone }: FieldsProps) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { locations } = useBookParts('locations');
  const home = locations[0]?.address.country;
  const { control, handleSubmit } = useForm<Values>({
    resolver: resolverFor(home),
    defaultValues: { name: '', places: '' },
  });
  const submit = handleSubmit(({ name, places }) => {
    const regions = readRegions(places, home);
    if (what === 'service')
      dispatch(edit('addService', { name: name.trim() }, t('New service {name}', { name: name.trim() })));
    else if (regions.ok)
      dispatch(
        edit(
          'addZone',
          { name: name.trim(), includes: regions.value },
          t('New zone {name}', { name: name.trim() }),
        ),
      );
    onDone();
  });
  const field = (name: keyof Values, label: string, placeholder: string) => (
    <FormField
      control={control}
      name={name}
      label={label}
      placeholder={placeholder}
      autoFocus={name === 'name'}
      multiline={name === 'places'}
      onSubmit={() => void submit()}
      contentStyle={{ fontFamily: SANS, fontSize: 16 }}
    />
  );
  return (
    <View style={style.form} role="group" aria-label={t('New {what}', { what })}>
      {field('name', t('Name of the new {what}', { what }), what === 'zone' ? t('Islands') : t('Night mail'))}
      {what === 'zone' ? field('places', t('Its places: CA, CA-NS, or CA: B3H*, B3J*'), 'optional') : null}
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button mode="outlined" onPress={() => void submit()} style={{ borderRadius: 2 }}>
          {t('Add the {what}', { what })}
        </Button>
        <TextAction label={t('Cancel')} onPress={onDone} />
      </View>
    </View>
  );
};

export default AddForm;
