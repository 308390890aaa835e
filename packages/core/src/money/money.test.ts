import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { allocate } from './allocate.js';
import { cents, dollars, parseDollars, showDollars, sum, toDollars, type Cents } from './cents.js';
import { dividedBy, exact, minus, plus, round, roundToDollar, showExact, times, type Rounding } from './exact.js';
import { parsePercent, parseRate, rate, ratePerThousand, showPercent, showRate } from './rate.js';

const anyCents = fc.integer({ min: -2_000_000_000, max: 2_000_000_000 }).map((value) => cents(value));

describe('cents', () => {
  it.each([
    ['1234.56', 123456],
    ['-0.05', -5],
    ['$1,234.5', 123450],
    ['7', 700],
    ['0.00', 0],
  ])('reads %s', (text, expected) => expect(parseDollars(text)).toBe(expected));
  it.each(['', 'x', '1.234', '1,23.00', '--1', '1e5', '12,34', 'NaN', '.5'])('does not take %p for an amount', (text) =>
    expect(parseDollars(text)).toBeNull(),
  );
  it('refuses what is not a whole number of cents', () => {
    expect(() => cents(1.5)).toThrow(RangeError);
    expect(() => cents(Number.MAX_SAFE_INTEGER + 1)).toThrow(RangeError);
  });
  it('shows thousands, cents and a true minus', () => expect(showDollars(cents(-123456789))).toBe('−1,234,567.89'));
  it('reads back what it writes', () => {
    fc.assert(fc.property(anyCents, (amount) => parseDollars(toDollars(amount)) === amount));
  });
  it('has no negative zero', () => expect(Object.is(cents(-0), 0)).toBe(true));
});

describe('rates', () => {
  it('are exact decimals made from text', () => expect(rate('0.0145')).toEqual({ n: 145, d: 10000 }));
  it('refuse binary spellings', () =>
    expect([parseRate('1e-2'), parseRate('0x1'), parseRate(' '), parseRate('1.')]).toEqual([null, null, null, null]));
  it('say themselves in words (one convention for every rate)', () => {
    expect(ratePerThousand(parsePercent('2.7') ?? rate('0'))).toBe('2.7% = 27.00 per 1,000');
    expect(showPercent(rate('0.062'))).toBe('6.2%');
    expect(showRate(rate('-0.5000'))).toBe('-0.5');
  });
});

describe('rounding', () => {
  // Common practice: half a cent rounds up.
  it('half a cent goes up: HI on 1,350.00 is 19.575, so 19.58', () =>
    expect(toDollars(round(times(dollars('1350.00'), rate('0.0145')), 'half-up'))).toBe('19.58'));
  it.each<[Rounding, number[]]>([
    ['half-up', [0, 1, 1, -1, 2]],
    ['down', [0, 0, 0, 0, 1]],
    ['up', [1, 1, 1, -1, 2]],
    ['half-even', [0, 0, 1, 0, 2]],
  ])('%s', (mode, expected) => {
    const halves = [
      { n: 1, d: 3 },
      { n: 1, d: 2 },
      { n: 2, d: 3 },
      { n: -1, d: 2 },
      { n: 3, d: 2 },
    ];
    expect(halves.map((value) => round(value, mode))).toEqual(expected);
  });
  it('to the dollar: 0.50 goes up', () =>
    expect([
      roundToDollar(exact(dollars('12.50')), 'half-up'),
      roundToDollar(exact(dollars('12.49')), 'half-up'),
    ]).toEqual([1300, 1200]));
  it('agrees with whole-number arithmetic on any amount and rate', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9_000_000_000 }),
        fc.integer({ min: 0, max: 1_000_000 }),
        (amount, millionths) => {
          const expected = (BigInt(amount) * BigInt(millionths) * 2n + 1_000_000n) / 2_000_000n;
          return BigInt(round(times(cents(amount), { n: millionths, d: 1_000_000 }), 'half-up')) === expected;
        },
      ),
    );
  });
  it('keeps wide products exact, and refuses what cannot be kept', () => {
    expect(round(times(times(cents(900_000_000_000), rate('0.123456')), { n: 26, d: 12 }), 'half-up')).toBe(
      240_739_200_000,
    );
    expect(() => times(times(cents(9_000_000_000), rate('0.123456789')), rate('0.987654321'))).toThrow(RangeError);
  });
  it('adds and takes away fractions exactly', () => {
    const third = dividedBy(cents(100), 3);
    expect(round(plus(plus(third, third), third), 'down')).toBe(100);
    expect(round(minus(third, third), 'up')).toBe(0);
    expect(showExact(third)).toBe('0.33333333…');
  });
});

describe('allocation', () => {
  it('conserves the whole, whatever the weights', () => {
    fc.assert(
      fc.property(
        anyCents,
        fc.array(
          fc.integer({ min: 0, max: 1_000_000 }).map((weight) => cents(weight)),
          { minLength: 1, maxLength: 40 },
        ),
        (total, weights) => sum(allocate(total, weights)) === total,
      ),
    );
  });
  it('gives left-over cents to the largest remainders, ties to the earlier part', () => {
    expect(allocate(cents(100), [cents(1), cents(1), cents(1)])).toEqual([34, 33, 33]);
    expect(allocate(cents(-5), [cents(1), cents(1)] as Cents[])).toEqual([-3, -2]);
  });
});

describe('plain digits are read as the patterns read them', () => {
  const digits = fc.stringMatching(/^[ ]?-?\d{0,6}[.]?\d{0,6}[ ]?$/);
  it('rates: one form for one decimal', () =>
    fc.assert(
      fc.property(digits, (text) => {
        const match = /^(-)?(\d{1,9})(?:\.(\d{1,9}))?$/.exec(text.trim());
        const read = parseRate(text);
        if (!match) return read === null;
        const fraction = (match[3] ?? '').replace(/0+$/, '');
        const size = BigInt(`${match[2] ?? ''}${fraction}`);
        return read !== null && BigInt(read.n) === (match[1] ? -size : size) && read.d === 10 ** fraction.length;
      }),
    ));
  it('amounts: never more than two decimals', () =>
    fc.assert(
      fc.property(digits, (text) => {
        const match = /^(-)?(\d{1,13})(?:\.(\d{1,2}))?$/.exec(text.trim());
        const read = parseDollars(text);
        if (!match) return read === null;
        const size = BigInt(`${match[2] ?? ''}${(match[3] ?? '').padEnd(2, '0')}`);
        return read !== null && BigInt(read) === (match[1] ? -size : size);
      }),
    ));
});
