import { positive, secondWriting } from '../../testing/second-writing.js';

/** Indiana: the state rate after the four kinds of exemption. */
secondWriting(
  'IN',
  [
    { personalExemptions: 0, dependentExemptions: 0 },
    { personalExemptions: 2, dependentExemptions: 2, firstYearDependents: 1, adoptedDependents: 1 },
  ],
  ({ annual, periods, year, claimed }) =>
    positive(
      annual
        .minus(1000 * claimed('personalExemptions'))
        .minus(1500 * (claimed('dependentExemptions') + claimed('firstYearDependents')))
        .minus(3000 * claimed('adoptedDependents')),
    )
      .times(year === 2025 ? '0.03' : '0.0295')
      .div(periods),
);
