import type { QuoteRequest } from '../model/request.ts';
import { makeBook, makeRate, makeRequest, onlyWithheld, quoted } from '../testing/book.ts';

const asked = (channels: string[], channel?: string) =>
  quoted(
    makeBook({ rates: [makeRate({ channels })] }),
    makeRequest(channel === undefined ? {} : ({ channel } satisfies Partial<QuoteRequest>)),
  );

test('a rate of some channels is for orders of those', () => {
  expect(asked(['shopfront', 'phone'], 'phone').choices).toHaveLength(1);
  expect(onlyWithheld(asked(['shopfront'], 'phone')).detail).toEqual({
    channel: 'phone',
    channels: ['shopfront'],
  });
  expect(onlyWithheld(asked(['shopfront'])).detail).toEqual({ channel: null, channels: ['shopfront'] });
});

test('a rate that is off says of which service and where', () => {
  const { code, say } = onlyWithheld(quoted(makeBook({ rates: [makeRate({ active: false })] })));
  expect([code, say]).toEqual(['rate-off', { code: 'rate-off', service: 'Parcel', zone: 'country' }]);
});
