import { makeArea, makeBook, makePickup, makeYard } from '../testing/book.ts';
import { readBook } from './read.ts';

describe('a book that is read', () => {
  test('names areas and points without a location, patterns that are none, and ways used twice', () => {
    const gone = makeBook({
      areas: [
        makeArea({ locationId: 'gone', covers: { kind: 'postal', country: 'CA', patterns: ['B3H*', '**'] } }),
      ],
      pickups: [makePickup({ locationId: 'gone' })],
    });
    expect(readBook(gone)).toMatchObject({
      faults: [
        { code: 'dangling', path: 'areas[0].locationId' },
        { code: 'dangling', path: 'pickups[0].locationId' },
        { code: 'bad-pattern', path: 'areas[0].covers.patterns[1]' },
      ],
    });
    const [way] = makeArea().methods;
    const twice = makeBook({
      locations: [makeYard()],
      areas: [makeArea({ methods: way ? [way, way] : [] })],
    });
    expect(readBook(twice)).toMatchObject({
      faults: [{ code: 'duplicate-id', path: 'areas[0].methods[1].id' }],
    });
  });
});
