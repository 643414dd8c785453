import { makeArea } from '../testing/book.ts';
import { areaIsFree } from './free-area.ts';

const area = makeArea({ price: { kind: 'flat', amount: 0, per: 'order' } });
const [method] = area.methods;

test('an area is free where neither its price, nor its fee, nor one of its methods charges anything', () => {
  expect(areaIsFree(area)).toBe(true);
  expect(areaIsFree({ ...area, price: { kind: 'flat', amount: 1, per: 'order' } })).toBe(false);
  expect(areaIsFree({ ...area, serviceFee: { name: 'Fee', amount: 1 } })).toBe(false);
  expect(areaIsFree({ ...area, methods: area.methods.map((one) => ({ ...one, add: 1 })) })).toBe(false);
  expect(method && areaIsFree({ ...area, methods: [{ ...method, add: 1 }, method] })).toBe(true);
});
