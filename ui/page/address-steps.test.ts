import { stepsAfter, stepsReplaced, type AddressStep } from './address-steps.ts';

const today: AddressStep = { name: 'today', params: undefined };
const board: AddressStep = { name: 'charges', params: {} };
const cell = (service: string): AddressStep => ({ name: 'charges', params: { zone: 'west', service } });

test('each page, and what is opened on it, is a step', () => {
  expect(stepsAfter([today], board)).toEqual([today, board]);
  expect(stepsAfter([today, board], cell('parcel'))).toEqual([today, board, cell('parcel')]);
  expect(stepsAfter([today, board, cell('parcel')], cell('express'))).toHaveLength(4);
});

test('what is closed goes back to the step that it was opened from, and to no other', () => {
  expect(stepsAfter([today, board, cell('parcel')], board)).toEqual([today, board]);
  expect(stepsAfter([today, cell('parcel')], board)).toEqual([today, cell('parcel'), board]);
  expect(stepsAfter([board, today], board)).toEqual([board, today, board]);
});

test('where one is already is no new step, however it is written', () => {
  const steps = [today, cell('parcel')];
  const same = { name: 'charges', params: { service: 'parcel', zone: 'west', panel: undefined } };
  expect(stepsAfter(steps, same)).toBe(steps);
  expect(stepsAfter([board], { name: 'charges' })).toEqual([board]);
});

test('an address that takes the place of another is no step', () => {
  expect(stepsReplaced([today, board], cell('parcel'))).toEqual([today, cell('parcel')]);
});
