import { monthLines, type AnnualLines } from '../annual-return.js';

/** Lines of Form 943 (recalled). */
export const LINES_943: AnnualLines = {
  headcount: '1',
  oasdi: ['2', '3'],
  hi: ['4', '5'],
  additional: ['6', '7'],
  incomeTax: '8',
  before: '9',
  adjustments: '10',
  after: '11',
  credit: '12',
  total: '13',
  deposits: '14',
  balance: '15',
  overpaid: '16',
  months: monthLines('17'),
};
