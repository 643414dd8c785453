import fc from 'fast-check';
import { demoBook } from '../../../demo/book.ts';
import { keptText } from './kept-text.ts';

describe('the text of a document of which little changed', () => {
  test('is what JSON.stringify writes, of the demo and of anything that JSON can hold', () => {
    expect(keptText({ ...demoBook })).toBe(JSON.stringify(demoBook));
    const part = fc.option(fc.jsonValue(), { nil: undefined });
    fc.assert(
      fc.property(fc.dictionary(fc.string(), part), (value) => {
        expect(keptText(value)).toBe(JSON.stringify(value));
      }),
    );
    expect(keptText({ none: undefined, list: [undefined, { a: undefined }], text: '“"\u2028' })).toBe(
      JSON.stringify({ none: undefined, list: [undefined, { a: undefined }], text: '“"\u2028' }),
    );
  });

  test('an entry that stayed the same object is not written out again', () => {
    let written = 0;
    const rate = { toJSON: () => (written += 1) };
    const first = keptText({ rates: [rate], name: 'a' });
    expect(keptText({ rates: [rate, { id: 'new' }], name: 'b' })).toBe(
      '{"rates":[1,{"id":"new"}],"name":"b"}',
    );
    expect([first, written]).toEqual(['{"rates":[1],"name":"a"}', 1]);
  });
});
