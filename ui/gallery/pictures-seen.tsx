import { View } from 'react-native';
import { tiersCurve } from '../../core/price/curve.ts';
import type { StepsPrice } from '../../core/model/price.ts';
import { DayStrip } from '../parts/day-strip.tsx';
import { ParcelDrawing } from '../parts/parcel-drawing.tsx';
import { StepCurve } from '../parts/step-curve.tsx';
import { ZoneSwatch } from '../parts/zone-swatch.tsx';
import { selectDisplayFormat } from '../state/selectors.ts';
import { useAppSelector } from '../state/store.ts';
import { zoneMarks } from '../theme/zone-marks.ts';
import { Group, Seen } from './seen.tsx';

const STEPS: StepsPrice = {
  kind: 'steps',
  basis: 'weight',
  per: 'order',
  steps: [
    { from: 0, amount: 850 },
    { from: 2_000, amount: 1_100, each: { size: 1_000, amount: 150, count: 'started' } },
    { from: 5_000, amount: 1_400 },
  ],
};
const BOX = { length: 400, width: 300, height: 200 };
const CUBOIDS = [
  { x: 0, y: 0, z: 0, size: { length: 200, width: 300, height: 120 }, sort: 0 },
  { x: 200, y: 0, z: 0, size: { length: 150, width: 200, height: 160 }, sort: 1 },
];
const MARKS = zoneMarks(
  ['Maritimes', 'Central', 'West', 'North', 'Europe'].map((name) => ({ id: name, name })),
);
const row = { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'center' } as const;

/** What is drawn: a price as a line, a parcel, the hours of a day, the marks of zones. */
export const PicturesSeen = () => {
  const display = useAppSelector(selectDisplayFormat);
  return (
    <Group title="Pictures">
      <StepCurve
        curve={tiersCurve(STEPS, 8_000)}
        display={display}
        mark={{ at: 3_200, text: 'the test order' }}
        costs={[
          { at: 500, amount: 700 },
          { at: 6_000, amount: 1_300 },
        ]}
        title="A charge that falls at 5 kg"
      />
      <Seen state="a day, with its cut-off">
        <DayStrip
          spans={[
            { from: '08:30', to: '12:00' },
            { from: '13:00', to: '17:00' },
          ]}
          cutoff="14:00"
        />
      </Seen>
      <View style={row}>
        <ParcelDrawing box={BOX} cuboids={CUBOIDS} scale={0.25} label="A carton with two products in it" />
        {[...MARKS].map(([name, mark]) => (
          <ZoneSwatch key={name} mark={mark} />
        ))}
        <ZoneSwatch mark={undefined} />
      </View>
    </Group>
  );
};
