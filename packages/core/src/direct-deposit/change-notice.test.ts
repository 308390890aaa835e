import { describe, expect, it } from '@jest/globals';
import { changeWords, isChangeCode, readChange } from './change-notice.js';

const at = (...parts: readonly (readonly [number, string])[]): string =>
  parts.reduce((line, [from, text]) => line.padEnd(from - 1) + text, '').padEnd(29);

describe('a notification of change', () => {
  // Positions of the corrected data by change code: Nacha Operating Rules, Appendix Five (recalled).
  it.each([
    ['C01', at([1, '7700112234']), { account: '7700112234' }],
    ['C02', at([1, '000000204']), { routing: '000000204' }],
    ['C03', at([1, '000000204'], [13, '7700112234']), { routing: '000000204', account: '7700112234' }],
    ['C05', at([1, '32']), { type: 'savings' }],
    ['C05', at([1, '27']), { type: 'checking' }],
    ['C06', at([1, '7700112234'], [21, '37']), { account: '7700112234', type: 'savings' }],
    [
      'C07',
      at([1, '000000204'], [10, '7700112234'], [27, '22']),
      { routing: '000000204', account: '7700112234', type: 'checking' },
    ],
  ])('%s is read', (code, data, expected) => expect(readChange(code, data)).toEqual(expected));
  it.each([
    ['a code that says nothing of the account', 'C04', at([1, 'A NEW NAME'])],
    ['a code that is none', 'R03', at([1, '7700112234'])],
    ['no account', 'C01', at()],
    ['an account with signs in it', 'C01', at([1, '77/00'])],
    ['a routing number that does not check', 'C02', at([1, '000000205'])],
    ['a transaction code that is none', 'C05', at([1, '42'])],
  ])('with %s changes nothing', (_, code, data) => expect(readChange(code, data)).toBeNull());
  it('is told from a return', () => {
    expect(['C01', 'C99', 'R01', 'C1', ''].map(isChangeCode)).toEqual([true, true, false, false, false]);
  });
  it('is said without the whole number', () =>
    expect(changeWords({ routing: '000000204', account: '7700112234', type: 'savings' })).toBe(
      'routing 000000204, account ending 2234, a savings account',
    ));
});
