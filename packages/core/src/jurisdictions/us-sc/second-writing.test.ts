import { big, least, positive, secondWriting } from '../../testing/second-writing.js';

/** South Carolina: a tenth of wages as deduction, only with an allowance; rate less an amount. */
secondWriting('SC', [{ allowances: 0 }, { allowances: 1 }, { allowances: 5 }], ({ annual, periods, year, claimed }) => {
  const count = claimed('allowances');
  const [most10, each, first, second, top] =
    year === 2025 ? ([7300, 4860, 3560, 17830, '0.062'] as const) : ([7500, 5000, 3640, 18230, '0.06'] as const);
  const standard = count === 0 ? big(0) : least(annual.times('0.10'), most10);
  const taxable = positive(annual.minus(standard).minus(each * count));
  const tax = taxable.lte(first)
    ? big(0)
    : taxable.lte(second)
      ? taxable.times('0.03').minus(big(first).times('0.03'))
      : taxable
          .times(top)
          .minus(big(second).times(top))
          .plus(big(second - first).times('0.03'));
  return tax.div(periods);
});
