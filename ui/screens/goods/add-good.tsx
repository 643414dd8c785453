import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { Button } from 'react-native-paper';
import { z } from 'zod';
import { t } from '../../../core/translate/translate.ts';
import type { Good } from '../../../core/model/good.ts';
import { nameSchema, tokenSchema } from '../../../core/model/unit.ts';
import type { DisplayFormat } from '../../../core/words/figure.ts';
import { FormField } from '../../fields/form-field.tsx';
import { optional, readMeasure, readMoney, readSize } from '../../fields/readers.ts';
import { edit } from '../../state/draft.ts';
import { selectGoods, selectDisplayFormat } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { fieldText } from '../../theme/text.ts';
import { FINGER } from '../../theme/tokens.ts';
import { TextAction } from '../../parts/text-action.tsx';

interface Values {
  name: string;
  sku: string;
  price: string;
  weight: string;
  size: string;
}

const EMPTY: Values = { name: '', sku: '', price: '', weight: '', size: '' };

const readersOf = (display: DisplayFormat) => ({
  price: readMoney(display),
  weight: optional<number>(readMeasure('weight', display)),
  size: optional(readSize(display)),
});

const schemaOf = (display: DisplayFormat, taken: ReadonlyMap<string, Good>) =>
  z
    .object({ name: z.string(), sku: z.string(), price: z.string(), weight: z.string(), size: z.string() })
    .superRefine((values, context) => {
      const say = (path: keyof Values, message: string): void =>
        context.addIssue({ code: 'custom', path: [path], message });
      if (!nameSchema.safeParse(values.name).success)
        say('name', t('A name is needed, of at most 120 characters.'));
      const sku = values.sku.trim();
      if (!tokenSchema.safeParse(sku).success)
        say('sku', t('A stock number is needed, of at most 120 characters.'));
      const name = taken.get(sku)?.name;
      if (name !== undefined) say('sku', t('{name} has this number.', { name }));
      for (const [field, read] of Object.entries(readersOf(display))) {
        const result = read(values[field as 'price' | 'weight' | 'size']);
        if (!result.ok) say(field as keyof Values, result.text);
      }
    });

const FIELDS: readonly [keyof Values, string, string, number][] = [
  ['name', t('Name of the new product'), t('Terracotta saucer'), 260],
  ['sku', t('Its stock number'), 'saucer-18', 160],
  ['price', t('Its price'), '12.50', 110],
  ['weight', t('Its weight'), 'optional', 110],
  ['size', t('Its size'), 'optional', 180],
];

/** A new good; what is not known yet of its weight and size is marked until it is. */
export const AddGood = ({ onDone }: { onDone: () => void }) => {
  const dispatch = useAppDispatch();
  const display = useAppSelector(selectDisplayFormat);
  const goods = useAppSelector(selectGoods);
  const { control, handleSubmit } = useForm<Values>({
    resolver: zodResolver(schemaOf(display, goods)),
    defaultValues: EMPTY,
  });
  const submit = handleSubmit((values) => {
    const readers = readersOf(display);
    const price = readers.price(values.price);
    const weight = readers.weight(values.weight);
    const size = readers.size(values.size);
    const name = values.name.trim();
    const good: Good = {
      sku: values.sku.trim(),
      name,
      price: price.ok ? price.value : 0,
      fulfilment: 'physical',
      ...(weight.ok && weight.value !== undefined ? { weight: weight.value } : {}),
      ...(size.ok && size.value ? { size: size.value } : {}),
    };
    dispatch(edit('addGood', { good }, t('New product {name}', { name })));
    onDone();
  });
  return (
    <View style={{ gap: 10, paddingVertical: 12 }} role="group" aria-label={t('New product')}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        {FIELDS.map(([name, label, placeholder, width]) => (
          <FormField
            key={name}
            control={control}
            name={name}
            label={label}
            placeholder={placeholder}
            autoFocus={name === 'name'}
            onSubmit={() => void submit()}
            style={{ width, height: FINGER }}
            contentStyle={fieldText}
          />
        ))}
      </View>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button mode="outlined" onPress={() => void submit()}>
          {t('Add the product')}
        </Button>
        <TextAction label={t('Cancel')} onPress={onDone} />
      </View>
    </View>
  );
};
