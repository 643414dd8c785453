import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import { FRENCH_WORDS, ENGLISH_WORDS } from '../testing/words.ts';
import { deliveryPage } from './delivery-page.ts';
import { pricesOf } from './prices.ts';
import { tariffBlocks } from './tariff.ts';

const AT = { placedAt: '2026-11-24T10:15:00-04:00', channel: 'shopfront' };

test.each([ENGLISH_WORDS, FRENCH_WORDS])(
  'a tariff has every price of the page under its place, once',
  (words) => {
    const prices = pricesOf(demoBook, demoCatalogue, AT);
    const page = deliveryPage(demoBook, prices, '2026-11-24', words, (code) => code);
    const blocks = tariffBlocks(page, words);
    const printed = blocks.flatMap((block) =>
      block.kind === 'price' ? [`${block.name}: ${block.price}`] : [],
    );
    expect(printed).toEqual([
      ...[...page.zones, ...page.areas].flatMap(({ lines }) =>
        lines.map(({ name, price }) => `${name}: ${price}`),
      ),
      ...page.points.map(({ price }) => `${words.say('page.collecting')}: ${price}`),
    ]);
    const parts = blocks.flatMap((block) => (block.kind === 'part' ? [block.text] : []));
    expect(parts.slice(0, 3)).toEqual(
      (['page.shipped', 'page.delivered', 'page.collected'] as const).map((id) => words.say(id)),
    );
    // A heading always has something under it.
    blocks.forEach((block, at) => {
      if (block.kind === 'part' || block.kind === 'place')
        expect(blocks[at + 1]?.kind ?? 'part').not.toBe('part');
    });
    for (const block of blocks) if (block.kind === 'note') expect(block.text.trim()).not.toBe('');
  },
);
