import { monthLines, type AnnualLines } from '../annual-return.js';

/** Lines of Form 944 (recalled). */
export const LINES_944: AnnualLines = {
  wages: '1',
  incomeTax: '2',
  oasdi: ['4a.1', '4a.2'],
  tips: ['4b.1', '4b.2'],
  hi: ['4c.1', '4c.2'],
  additional: ['4d.1', '4d.2'],
  together: '4e',
  before: '5',
  adjustments: '6',
  after: '7',
  credit: '8',
  total: '9',
  deposits: '10',
  balance: '11',
  overpaid: '12',
  months: monthLines('13'),
};
