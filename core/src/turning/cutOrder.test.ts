import fc from 'fast-check';
import { brokenOrders, cutsInOrder, ordersFrom, type CutsBefore } from './index.js';

const cuts = (...ids: string[]) => ids.map((elementId) => ({ elementId }));
const ids = (ordered: readonly { elementId: string }[]) => ordered.map((c) => c.elementId).join('');
const wish = (first: string, then: string): CutsBefore => ({
  id: `${first}<${then}`,
  first: [...first],
  then: [...then],
});

describe('cuts in a wanted order', () => {
  it('a cut that is pulled forward goes right before what it was pulled past', () =>
    expect(ids(cutsInOrder(cuts(...'abcd'), [wish('d', 'bc')]))).toBe('adbc'));

  it('a cut that is put back lets the others pass in their order', () =>
    expect(ids(cutsInOrder(cuts(...'abcd'), [wish('bc', 'a')]))).toBe('bcad'));

  it('what is in order already stays, and what is not there is passed over', () =>
    expect(ids(cutsInOrder(cuts(...'abc'), [wish('a', 'c'), wish('x', 'a')]))).toBe('abc'));

  it('the last of two that contradict each other is met, the other is named', () => {
    const wishes = [wish('c', 'a'), wish('a', 'c')];
    const ordered = cutsInOrder(cuts(...'abc'), wishes);
    expect(brokenOrders(ordered, wishes).map((w) => w.id)).toEqual(['c<a']);
  });

  it('every order keeps all cuts and meets the last wish', () =>
    fc.assert(
      fc.property(
        fc.array(fc.uniqueArray(fc.constantFrom(...'abcdef'), { minLength: 2, maxLength: 4 }), {
          maxLength: 6,
        }),
        (orders) => {
          const wishes = orders.map(([one = '', ...rest]) => wish(one, rest.join('')));
          const ordered = cutsInOrder(cuts(...'abcdef'), wishes);
          expect(ids(ordered).split('').sort().join('')).toBe('abcdef');
          expect(brokenOrders(ordered, wishes.slice(-1))).toEqual([]);
        },
      ),
    ));
});

describe('the wishes that lead from one order to another', () => {
  it('one cut that was moved is one wish, in either direction', () => {
    expect(ordersFrom([...'abcd'], [...'adbc'])).toEqual([{ first: ['d'], then: ['b', 'c'] }]);
    expect(ordersFrom([...'abcd'], [...'bcad'])).toEqual([{ first: ['b', 'c'], then: ['a'] }]);
  });

  it('back where it was there is none', () => expect(ordersFrom([...'abc'], [...'abc'])).toEqual([]));

  it('whatever is wanted is what they lead to', () =>
    fc.assert(
      fc.property(fc.shuffledSubarray([...'abcdefg'], { minLength: 7 }), (wanted) => {
        const wishes = ordersFrom([...'abcdefg'], wanted).map((order) => ({ id: '', ...order }));
        expect(ids(cutsInOrder(cuts(...'abcdefg'), wishes.toReversed()))).toBe(wanted.join(''));
      }),
    ));
});
