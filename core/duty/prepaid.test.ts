import { prepaidOf } from './prepaid.ts';

const charged = { duty: 500, importTax: 1_050, clearance: 700, show: 'amount' as const };

test('import charges are paid at checkout under DDP only, clearance with them', () => {
  expect(prepaidOf({ duties: { ...charged, terms: 'DDP' } })).toBe(2_250);
  expect(prepaidOf({ duties: { ...charged, terms: 'DAP' } })).toBe(0);
  expect(prepaidOf({})).toBe(0);
});

test('where nothing falls due nothing is prepaid', () => {
  const nothing = { duty: 0, importTax: 0, clearance: 0, show: 'nothing' as const };
  expect(prepaidOf({ duties: { ...nothing, terms: 'DDP' } })).toBe(0);
});
