import fc from 'fast-check';
import { ClaimList, NONE, type Claim } from './claim-list.ts';

const collected = (list: ClaimList<string>, head: number): Claim<string>[] => {
  const found: Claim<string>[] = [];
  list.collect(head, found);
  return found;
};

test('a chain holds one claim of each owner, the first, in their order', () => {
  const list = new ClaimList<string>();
  const [west, east] = [list.addOwner('west'), list.addOwner('east')];
  let head = list.append(NONE, west, 'CA');
  head = list.append(head, west, 'CA-AB');
  head = list.append(head, east, 'CA');
  expect(collected(list, head)).toEqual([
    { owner: 'west', order: 0, entry: 'CA' },
    { owner: 'east', order: 1, entry: 'CA' },
  ]);
  expect([list.ownerOf(head), list.read(head).entry]).toEqual(['west', 'CA']);
  expect(collected(list, NONE)).toEqual([]);
});

test('of two claims the one whose owner comes first is the earlier, and any is earlier than none', () => {
  const list = new ClaimList<string>();
  const [west, east] = [list.addOwner('west'), list.addOwner('east')];
  const [later, sooner] = [list.append(NONE, east, 'US'), list.append(NONE, west, 'CA')];
  expect([list.earlier(later, sooner), list.earlier(sooner, later)]).toEqual([sooner, sooner]);
  expect([list.earlier(NONE, later), list.earlier(later, NONE), list.earlier(NONE, NONE)]).toEqual([
    later,
    later,
    NONE,
  ]);
  const again = list.append(NONE, west, 'CA-NS');
  expect([list.earlier(sooner, again), list.earlier(again, sooner)]).toEqual([sooner, again]);
});

test('chains beside each other hold what lists of their own would', () => {
  const claims = fc.array(fc.tuple(fc.nat(2), fc.constantFrom('CA', 'CA-NS', 'US')), { maxLength: 8 });
  fc.assert(
    fc.property(fc.array(claims, { minLength: 1, maxLength: 5 }), fc.nat(5), (owners, refused) => {
      const list = new ClaimList<string>();
      const heads = [NONE, NONE, NONE];
      const plain: Claim<string>[][] = [[], [], []];
      owners.forEach((entries, at) => {
        const order = list.addOwner(`owner ${at}`);
        for (const [chain, entry] of entries) {
          heads[chain] = list.append(heads[chain] ?? NONE, order, entry);
          if (plain[chain]?.at(-1)?.order !== order)
            plain[chain]?.push({ owner: `owner ${at}`, order, entry });
        }
      });
      heads.forEach((head, chain) => {
        expect(collected(list, head)).toEqual(plain[chain]);
        const accepts = (owner: string): boolean => owner !== `owner ${refused}`;
        const first = list.first(head, accepts);
        expect(first === NONE ? undefined : list.read(first)).toEqual(
          plain[chain]?.find(({ owner }) => accepts(owner)),
        );
      });
    }),
  );
});
