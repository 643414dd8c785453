import { act, fireEvent, screen } from '@testing-library/react-native';
import { useState } from 'react';
import type { Destination } from '../../core/model/place.ts';
import { demoStore, placesAtHand, renderOver } from '../testing/store.tsx';
import { PlaceFields } from './place-fields.tsx';

jest.setTimeout(60_000);

let place: Destination;
const Fields = ({ first }: { first: Destination }) => {
  const [value, setValue] = useState(first);
  place = value;
  return <PlaceFields street={first.lines !== undefined} destination={value} onChange={setValue} />;
};
const open = async (first: Destination): Promise<void> => {
  await placesAtHand();
  renderOver(demoStore(), <Fields first={first} />);
  await act(async () => {
    await jest.advanceTimersByTimeAsync(50);
  });
};
const type = (label: string, text: string): void => {
  const field = screen.getByLabelText(label);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};
const STOCKHOLM = { country: 'SE', postalCode: '111 22', city: 'Stockholm', lines: ['Algatan 5'] };

test('where the codes of a country are not known, the point is written, and stays when the code changes', async () => {
  await open(STOCKHOLM);
  type('Coordinates: latitude, longitude', 'Gamla stan');
  expect(screen.getByText(/Write latitude and longitude/)).toBeTruthy();
  type('Coordinates: latitude, longitude', '59.3293° N, 18.0686° E');
  expect(place.point).toEqual({ lat: 59.3293, lng: 18.0686 });
  expect(screen.getByText(/its point is the one written here/)).toBeTruthy();
  type('Postal code', '111 29');
  expect(place).toMatchObject({ postalCode: '111 29', point: { lat: 59.3293, lng: 18.0686 } });
  type('Coordinates: latitude, longitude', '');
  expect(place.point).toBeUndefined();
});

test('a code that is known gives the point, over one that was written', async () => {
  await open({ country: 'CA', postalCode: 'X9X 9X9', point: { lat: 1, lng: 2 } });
  type('Postal code', 'B3K 2T5');
  expect(place.point?.lat).toBeCloseTo(44.66, 1);
  expect(screen.queryByLabelText('Coordinates: latitude, longitude')).toBeNull();
  type('Postal code', 'X9X 9X9');
  expect(place.point).toBeUndefined();
});

test('another country keeps the street and takes the point away', async () => {
  await open({ ...STOCKHOLM, point: { lat: 59.3, lng: 18.1 } });
  const field = screen.getByLabelText('Country');
  fireEvent(field, 'focus');
  fireEvent.changeText(field, 'norw');
  fireEvent.press(await screen.findByLabelText('Norway'));
  expect(place).toEqual({ ...STOCKHOLM, country: 'NO' });
});
