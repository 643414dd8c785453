import { useState } from 'react';
import { View } from 'react-native';
import type { Preparation, OpeningHours, Timing } from '../../core/model/time.ts';
import type { Destination, Region } from '../../core/model/place.ts';
import type { Limits } from '../../core/model/price.ts';
import { CountryField } from '../fields/country-field.tsx';
import {
  CountField,
  MeasureField,
  MoneyField,
  NameField,
  OptionalDateField,
  OptionalMoneyField,
  PercentField,
  TimeField,
  WordsField,
} from '../fields/kind-fields.tsx';
import { fieldsOf } from '../fields/fields-of.ts';
import { LimitFields } from '../fields/limit-fields.tsx';
import { PlaceFields } from '../fields/place-fields.tsx';
import { PreparationFields } from '../fields/preparation-fields.tsx';
import { RegionList } from '../fields/region-list.tsx';
import { TimingFields } from '../fields/timing-fields.tsx';
import { WeekFields } from '../fields/week-fields.tsx';
import { Group } from './seen.tsx';

interface Values {
  amount: number;
  from: number | undefined;
  weight: number;
  share: number;
  days: number;
  name: string;
  note: string;
  date: string | undefined;
  time: string;
  country: string;
  limits: Limits | undefined;
  hours: OpeningHours[];
  preparation: Preparation | undefined;
  timing: Timing;
  place: Destination;
  regions: Region[];
}

const FIRST: Values = {
  amount: 850,
  from: undefined,
  weight: 2_000,
  share: 1_250,
  days: 3,
  name: 'Parcel',
  note: 'Ring twice.\nLeave it with the neighbour if nobody is there.',
  date: '2026-12-24',
  time: '14:00',
  country: 'CA',
  limits: { weight: { max: 30_000 } },
  hours: [{ day: 1, from: '08:30', to: '16:30' }],
  preparation: { kind: 'cut-off', cutoff: '14:00', readyAt: '16:00', days: 0 },
  timing: { kind: 'words', text: 'Within two days' },
  place: { country: 'CA', postalCode: 'B3H 4R2', city: 'Halifax', subdivision: 'CA-NS' },
  regions: [
    { country: 'CA', subdivision: 'CA-NS' },
    { country: 'US' },
    { country: 'CA', postal: ['B3H*', 'B3J*'] },
  ],
};

const row = { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const;
const field = { width: 124 };
const half = { flexGrow: 1, flexBasis: 200 };

/** The fields, by what they hold. */
export const FieldsSeen = () => {
  const [values, setValues] = useState(FIRST);
  const set = (changes: Partial<Values>): void => setValues({ ...values, ...changes });
  const of = fieldsOf<Values, string | null>(values, set);
  return (
    <>
      <Group title="Fields">
        <View style={row}>
          <MoneyField right style={field} label="An amount" {...of('amount')} />
          <OptionalMoneyField right style={field} label="Or none" placeholder="never" {...of('from')} />
          <MeasureField right style={field} label="A weight" measure="weight" {...of('weight')} />
          <PercentField right style={field} label="A share, %" {...of('share')} />
          <CountField right style={field} label="Days" least={0} most={30} {...of('days')} />
          <OptionalDateField style={field} label="A date" {...of('date')} />
          <TimeField style={field} label="A time" {...of('time')} />
        </View>
        <View style={row}>
          <NameField prose style={half} label="A name" {...of('name')} />
          <CountryField style={half} label="A country" {...of('country')} />
        </View>
        <WordsField prose multiline label="Words" most={2_000} {...of('note')} />
        <LimitFields limits={values.limits} onChange={of('limits').onChange} />
      </Group>
      <Group title="Places">
        <PlaceFields street destination={values.place} onChange={of('place').onChange} />
        <RegionList
          label="Takes"
          none="no places yet"
          regions={values.regions}
          onChange={of('regions').onChange}
        />
        <RegionList label="Except" none="nothing left out" regions={[]} onChange={() => undefined} />
      </Group>
      <Group title="Times">
        <WeekFields hours={values.hours} cutoff="14:00" onChange={of('hours').onChange} />
        <PreparationFields preparation={values.preparation} onChange={of('preparation').onChange} />
        <TimingFields timing={values.timing} hours={values.hours} onChange={of('timing').onChange} />
      </Group>
    </>
  );
};
