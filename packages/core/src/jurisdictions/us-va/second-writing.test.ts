import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** Virginia: the formula of the guide; the standard deduction rose in the middle of 2025. */
secondWriting('VA', [{ allowances: 0 }, { allowances: 2, ageOrBlindness: 1 }], ({ annual, periods, date, claimed }) =>
  graduated(
    positive(
      annual
        .minus(date < '2025-07-01' ? 8500 : 8750)
        .minus(930 * claimed('allowances'))
        .minus(800 * claimed('ageOrBlindness')),
    ),
    [
      [0, '0.02'],
      [3000, '0.03'],
      [5000, '0.05'],
      [17000, '0.0575'],
    ],
  ).div(periods),
);
