import { BIT_INDEXES, bitMark, bitSize, bitsOfIndex } from './index.js';

const mm = (text: string) => {
  const read = bitSize(text, 'mm');
  if (!read.ok) throw new Error(read.why);
  return read.dimension.mm;
};

describe('sizes of bits', () => {
  it.each([
    ['#7', 5.1054],
    ['no. 1', 5.7912],
    ['#60', 1.016],
    ['F', 6.5278],
    ['z', 10.4902],
    ['17/64', 6.746875],
    ['8.2', 8.2],
  ])('%s is read', (text, wanted) => expect(mm(text)).toBeCloseTo(wanted, 4));

  it('says which numbers there are', () => {
    expect(bitSize('#81', 'mm')).toMatchObject({ ok: false, why: expect.stringContaining('#1 to #60') });
    expect(bitSize('seven', 'mm').ok).toBe(false);
  });

  it('knows what is stamped on a bit from what is only a length', () => {
    expect(bitMark({ mm: 5.1, typed: '#7' })).toBe('#7');
    expect(bitMark({ mm: 6.7, typed: '17/64"' })).toBe('');
  });

  it('falls strictly within each index, and fills in only what is missing', () => {
    for (const { sizes } of BIT_INDEXES.filter((i) => i.id !== 'number'))
      expect(sizes.every((s, i) => i === 0 || s.mm > (sizes[i - 1]?.mm ?? 0))).toBe(true);
    const numbers = BIT_INDEXES.find((i) => i.id === 'number')!;
    expect(numbers.sizes.every((s, i) => i === 0 || s.mm < (numbers.sizes[i - 1]?.mm ?? 0))).toBe(true);
    const metric = BIT_INDEXES[0]!;
    const some = bitsOfIndex(metric, []).filter((b) => b.diameter.mm !== 8);
    expect(bitsOfIndex(metric, some).map((b) => b.diameter.mm)).toEqual([8]);
  });
});
