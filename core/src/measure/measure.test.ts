import fc from 'fast-check';
import {
  checkPlausible,
  editText,
  fine,
  dayWords,
  formatLength,
  len,
  minutesInWords,
  waitInWords,
  parseLength,
  sentenceParts,
  asTolerance,
  speak,
} from './index.js';
import { toInchFraction } from './formatLength.js';

const mm = (text: string, assume: 'mm' | 'inch' = 'mm') => {
  const parsed = parseLength(text, assume);
  if (!parsed.ok) throw new Error(parsed.why);
  return parsed.dimension.mm;
};

describe('parseLength', () => {
  // expected values by hand: n/d inch × 25.4
  it.each([
    ['73', 73],
    ['73 mm', 73],
    ['7.3 cm', 73],
    ['7,3cm', 73],
    ['2 7/8', 73.025],
    ['2-7/8"', 73.025],
    ['7/8 in', 22.225],
    ['2.875"', 73.025],
    ['2⅞″', 73.025],
    ['½ inch', 12.7],
    ['1⁄4"', 6.35],
    ['.5 in', 12.7],
    ['0.073 m', 73],
  ])('reads %s', (text, expected) => expect(mm(text)).toBeCloseTo(expected, 9));

  it('takes a bare number in the units of the screen', () => {
    expect(mm('2.875', 'inch')).toBeCloseTo(73.025, 9);
  });

  it.each(['', 'abc', '7//8', '1/0', '-3', '73 kg', '5 16', '30 m', '1.2.3'])(
    'refuses "%s" with a sentence',
    (text) => {
      const parsed = parseLength(text, 'mm');
      expect(parsed.ok).toBe(false);
      if (!parsed.ok) expect(parsed.why).toMatch(/\.$|\?$/);
    },
  );

  it('shows again exactly what was typed, and reads it back to the same length', () => {
    const length = fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 1, max: 63 }));
    fc.assert(
      fc.property(length, fc.constantFrom('mm' as const, 'inch' as const), ([whole, n], units) => {
        const parsed = parseLength(`${whole} ${n}/64"`, units);
        if (!parsed.ok) return false;
        const text = editText(parsed.dimension, units);
        const again = parseLength(text, units);
        return text === `${whole} ${n}/64"` && again.ok && again.dimension.mm === parsed.dimension.mm;
      }),
    );
  });

  it('writes a calculated length so that reading it back moves it by less than can be measured', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2000, noNaN: true }),
        fc.constantFrom('mm' as const, 'inch' as const),
        (value, units) => {
          const again = parseLength(editText({ mm: value }, units), units);
          return again.ok ? Math.abs(again.dimension.mm - value) <= 0.005 + 1e-9 : false;
        },
      ),
    );
  });
});

describe('formatLength', () => {
  it('formats mm to a tenth, fractions reduced, decimals to a thousandth', () => {
    expect(formatLength(73.025, 'mm')).toBe('73.0 mm');
    expect(formatLength(73.025, 'inch')).toBe('2 7/8"');
    expect(formatLength(73.025, 'decimal-inch')).toBe('2.875"');
    expect(formatLength(25.4, 'inch')).toBe('1"');
    expect(formatLength(-0.3, 'mm')).toBe('−0.3 mm');
    expect(formatLength(-0.01, 'mm')).toBe('0.0 mm');
  });

  it('says that a length is a shade off a fraction when that is more than 0.1 mm', () => {
    // 16.5 mm = 41.57/64 inch; 42/64 = 16.669 mm, 0.169 too long
    expect(formatLength(16.5, 'inch')).toBe('a shade under 21/32"');
    // 53/64 = 21.034 mm
    expect(formatLength(21.2, 'inch')).toBe('a shade over 53/64"');
    expect(formatLength(21.1, 'inch')).toBe('53/64"');
  });

  it('says what is less than the finest fraction in thousandths, never as nothing', () => {
    expect(formatLength(0.1, 'inch')).toBe('0.004"');
    expect(formatLength(-0.3, 'inch')).toBe('−0.012"');
    expect(formatLength(0, 'inch')).toBe('0"');
    expect(formatLength(25.4 / 64, 'inch')).toBe('1/64"');
  });

  it('calls what was made in millimetres by them where it is edited, and rounds what was worked out', () => {
    expect(editText({ mm: 8.2 }, 'inch')).toBe('8.2 mm');
    expect(editText({ mm: 8.2 }, 'decimal-inch')).toBe('8.2 mm');
    expect(editText({ mm: 7.9375 }, 'inch')).toBe('5/16');
    expect(editText({ mm: 12.35 }, 'inch')).toBe('0.4862');
    expect(editText({ mm: 20.54958 }, 'mm')).toBe('20.55');
    expect(editText({ mm: 52.73076 }, 'mm')).toBe('52.73');
  });

  it('never misses by more than half of 1/64 inch', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 3000, noNaN: true }),
        (value) => Math.abs(toInchFraction(value).errorMm) <= 25.4 / 128 + 1e-9,
      ),
    );
  });
});

describe('checkPlausible', () => {
  const stud = { what: 'the hole of the base', minMm: 6, maxMm: 10 };

  it('finds the fraction that lost its slash', () => {
    const found = checkPlausible({ mm: 128.5875, typed: '5 1/16"' }, stud);
    expect(found?.likely.mm).toBeCloseTo(7.9375, 9);
    expect(found?.likely.correction?.raw).toBe('5 1/16"');
    expect(checkPlausible({ mm: 516, typed: '516' }, stud)?.likely.mm).toBeCloseTo(7.9375, 9);
    expect(
      checkPlausible({ mm: 278, typed: '278' }, { what: 'the rack', minMm: 70, maxMm: 80 })?.likely.mm,
    ).toBeCloseTo(73.025, 9);
  });

  it('finds a slipped decimal point', () => {
    const found = checkPlausible(
      { mm: 120, typed: '120' },
      { what: 'the 12 mm hole', minMm: 11.5, maxMm: 12.2 },
    );
    expect(found?.likely.mm).toBe(12);
    expect(found?.reason).toContain('120 would not fit the 12 mm hole');
  });

  it('leaves a number alone that fits, even by the slack of floating point', () => {
    expect(checkPlausible({ mm: 12.7 - 0.2 }, { what: 'x', minMm: 12.5, maxMm: 13 })).toBeNull();
  });
});

describe('sentences', () => {
  it('say a tolerance as closely as it is, and no closer', () => {
    expect([0.5, 0.1, 0.05, 0.025].map((mm) => speak(asTolerance(mm), 'mm'))).toEqual([
      '0.5 mm',
      '0.1 mm',
      '0.05 mm',
      '0.03 mm',
    ]);
    expect(speak(asTolerance(0.05), 'inch')).toBe('0.002"');
  });

  it('are read out in every unit', () => {
    const sentence = `Part down to ${len(15.875)} here`;
    expect(speak(sentence, 'mm')).toBe('Part down to 15.9 mm here');
    expect(speak(sentence, 'inch')).toBe('Part down to 5/8" here');
    expect(speak(`${fine(0.034)} fat`, 'mm')).toBe('0.03 mm fat');
    expect(speak(`${fine(0.254)} fat`, 'inch')).toBe('0.010" fat');
    expect(sentenceParts(sentence)).toEqual(['Part down to ', { mm: 15.875, fine: false }, ' here']);
  });
});

it('says minutes as people do', () => {
  expect([0.5, 45, 720, 10080].map(minutesInWords)).toEqual(['0.5 min', '45 min', '12 h', '7 days']);
});

it('a wait in words is never shorter than what is left', () => {
  expect([0, 0.2, 59.01, 61.5, 600.5, 2 * 1440 + 61].map(waitInWords)).toEqual([
    '0 min',
    '1 min',
    '1 h',
    '1 h 2 min',
    '11 h',
    '2 days 2 h',
  ]);
});

it('minutes in words never say a day of 24 hours beside another', () => {
  expect(minutesInWords(45)).toBe('45 min');
  expect(minutesInWords(15 * 1440 + 23.8 * 60)).toBe('16 days');
  expect(minutesInWords(2 * 1440 + 5 * 60)).toBe('2 days 5 h');
});

it('a half reads the same however it was worked out: set to what it is cut to', () => {
  // 8.35 is a hair less than 8.35 in binary, 8.15 + 0.2 a hair more
  expect([8.35, 8.15 + 0.2, Number((8.15 + 0.2).toFixed(4))].map((mm) => formatLength(mm, 'mm'))).toEqual([
    '8.4 mm',
    '8.4 mm',
    '8.4 mm',
  ]);
  expect([-8.35, -0.04, 0.25, 0.05].map((mm) => formatLength(mm, 'mm'))).toEqual([
    '−8.4 mm',
    '0.0 mm',
    '0.3 mm',
    '0.1 mm',
  ]);
});

it('a day in words, and what is none as it is', () => {
  expect(['2026-03-20', '2026-12-07', '2024-02-29', '2026-02-30', 'soon'].map(dayWords)).toEqual([
    'Fri 20 Mar',
    'Mon 7 Dec',
    'Thu 29 Feb',
    '2026-02-30',
    'soon',
  ]);
});
