import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { cents, dollars, type Cents } from './cents.js';
import { amountInWords } from './in-words.js';

describe('an amount in words', () => {
  it.each([
    ['0.00', 'Zero and 00/100'],
    ['0.07', 'Zero and 07/100'],
    ['1.10', 'One and 10/100'],
    ['19.99', 'Nineteen and 99/100'],
    ['20.00', 'Twenty and 00/100'],
    ['85.01', 'Eighty-five and 01/100'],
    ['100.00', 'One hundred and 00/100'],
    ['1234.56', 'One thousand two hundred thirty-four and 56/100'],
    ['10010.00', 'Ten thousand ten and 00/100'],
    ['700000.30', 'Seven hundred thousand and 30/100'],
    ['1000000.00', 'One million and 00/100'],
    [
      '99999999999.99',
      'Ninety-nine billion nine hundred ninety-nine million nine hundred ninety-nine thousand nine hundred ninety-nine and 99/100',
    ],
  ])('%s', (amount, words) => expect(amountInWords(dollars(amount))).toBe(words));
  it('is not written for less than nothing', () => expect(() => amountInWords(cents(-1))).toThrow(/less than nothing/));
  it('says another thing for another amount', () =>
    fc.assert(
      fc.property(fc.nat(99_999_999), fc.nat(99_999_999), (a, b) => {
        fc.pre(a !== b);
        return amountInWords(a as Cents) !== amountInWords(b as Cents);
      }),
    ));
});
