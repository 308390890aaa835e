import { least, positive, secondWriting } from '../../testing/second-writing.js';

/** Massachusetts: OASDI and HI of the year up to 2,000, the exemption formula, the surtax. */
secondWriting(
  'MA',
  [{ allowances: 0 }, { allowances: 1 }, { allowances: 3, isHeadOfHousehold: true, blindness: 1 }],
  ({ annual, social, periods, year, claimed, is }) => {
    const count = claimed('allowances');
    const exemption = count === 0 ? 0 : 1000 * count + 3400;
    // With no pay before this check, the whole deduction of the year may be used up by one check.
    const taxable = positive(annual.minus(least(social, 2000).times(periods)).minus(exemption));
    const surtax = positive(taxable.minus(year === 2025 ? 1083150 : 1107750)).times('0.04');
    const credits = (is('isHeadOfHousehold', true) ? 120 : 0) + 110 * claimed('blindness');
    return taxable.times('0.05').plus(surtax).minus(credits).div(periods);
  },
);
