import { describe, expect, it } from '@jest/globals';
import { dollars } from '../money/cents.js';
import { feeLines, feeTotal, type FeeTerms } from './fees.js';

const NOTHING: FeeTerms = {
  perMonth: null,
  perPayroll: null,
  perCheck: null,
  perReturn: null,
  perWageStatement: null,
  dueDays: 15,
  isCollected: false,
};
const WORK = { payrolls: 2, checks: 17, returns: 3, wageStatements: 0 };

describe('the fees of a month', () => {
  it('are each price times what was done, and nothing for what was not', () => {
    const terms = {
      ...NOTHING,
      perMonth: dollars('45.00'),
      perPayroll: dollars('22.50'),
      perCheck: dollars('1.85'),
      perReturn: dollars('12.00'),
      perWageStatement: dollars('4.00'),
    };
    const lines = feeLines(terms, WORK);
    expect(lines.map(({ label, count, amount }) => `${label} ${count} ${amount}`)).toEqual([
      'Service of the month 1 4500',
      'Payrolls 2 4500',
      'Paychecks 17 3145',
      'Returns filed 3 3600',
    ]);
    expect(feeTotal(lines)).toBe(dollars('157.45'));
  });
  it('without prices are nothing', () => expect(feeLines(NOTHING, WORK)).toEqual([]));
});
