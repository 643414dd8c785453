import { answersAtOnce } from '../../carriers/stand-ins.ts';
import type { CarrierAccount, CarrierAnswer } from '../../core/model/carrier.ts';
import { compile, type CompiledBook } from '../../core/quote/compile.ts';
import {
  makeAccount,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeRate,
  makeRequest,
  makeYard,
} from '../../core/testing/book.ts';
import { questionKey, quoteWithKnown } from './answers.ts';

const shopWith = (credentials: CarrierAccount['credentials']): CompiledBook =>
  compile(
    makeBook({
      locations: [makeYard()],
      carriers: [makeAccount({ credentials })],
      rates: [makeRate({ price: makeCarrierPrice() })],
    }),
    makeCatalogue(),
  );
const own = (secret: string): CarrierAccount['credentials'] => ({
  kind: 'own',
  accountNumber: 'T-1',
  secret,
});
const request = makeRequest({
  destination: { country: 'CA', subdivision: 'CA-NS', postalCode: 'B3H 4R2' },
});

test('a corrected secret is asked with at once: the refusal of the wrong one does not stand for it', () => {
  const wrong = quoteWithKnown(shopWith(own('wrong')), request, {});
  const answers = answersAtOnce(wrong.questions);
  expect(answers).toMatchObject([{ ok: false, error: 'refused' }]);
  const known = Object.fromEntries(
    wrong.questions.map((question, at) => [questionKey(question), answers[at] as CarrierAnswer]),
  );
  expect(quoteWithKnown(shopWith(own('wrong')), request, known).pending).toEqual([]);
  expect(quoteWithKnown(shopWith(own('right')), request, known).pending).toHaveLength(1);
});
