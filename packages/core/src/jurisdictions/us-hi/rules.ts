import { dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import { ALLOWANCES, SINGLE_ZERO, SINGLE_ZERO_SAYS, certificate, statusField } from '../certificate-fields.js';
import { creditorsMay } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annual, byStatus, count, deduct, steps } from '../lines.js';
import {
  PLAUSIBLE,
  TOGETHER,
  again,
  agency,
  beginning,
  movingIsExcluded,
  publication,
  row,
  wageBase,
} from '../state-words.js';
import type { StateRules } from '../state.js';
import { HAWAII_DEPOSITS } from './deposits.js';
import { HAWAII_RETURNS } from './returns.js';

const TAXATION = 'Hawaii Department of Taxation';
const BOOKLET = publication('Booklet A, Employer’s Tax Guide', TAXATION, '2025');
const DLIR = 'Hawaii Department of Labor and Industrial Relations';
const TDI = publication('Temporary disability insurance: maximum weekly wage base', DLIR, '2026');

export const HAWAII: StateRules = {
  code: 'HI',
  name: 'Hawaii',
  deposits: HAWAII_DEPOSITS,
  returns: HAWAII_RETURNS,
  agencies: { income: agency('HI-DOTAX', TAXATION, 'HI Tax'), unemployment: agency('HI-DLIR', DLIR, 'HI Labor') },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form HW-4',
      [
        statusField(['single', 'married-jointly', 'married-at-single-rate', 'head-of-household'], 'HW-4 line 3.'),
        ALLOWANCES,
      ],
      SINGLE_ZERO,
      SINGLE_ZERO_SAYS,
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          BOOKLET,
          'Appendix: computerised method',
          'Tables as amended by Act 46 (2024) for 2025; the top rate of the withholding table, 7.9%, is taken to begin with the 2025 bracket. The tax at a threshold is kept to the cent; whether the print rounds it to the dollar, as the statute’s table does, is not sure.',
        ),
        annual(
          byStatus({ 'married-jointly': 'joint' }, 'single'),
          deduct('Withholding allowances', count('allowances', '1144')),
          steps({
            single: [
              ['0', '0.014'],
              ['9600', '0.032'],
              ['14400', '0.055'],
              ['19200', '0.064'],
              ['24000', '0.068'],
              ['36000', '0.072'],
              ['48000', '0.076'],
              ['125000', '0.079'],
            ],
            joint: [
              ['0', '0.014'],
              ['19200', '0.032'],
              ['28800', '0.055'],
              ['38400', '0.064'],
              ['48000', '0.068'],
              ['72000', '0.072'],
              ['96000', '0.076'],
              ['250000', '0.079'],
            ],
          }),
        ),
      ),
      again('2026-01-01'),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(BOOKLET, 'no supplemental rate is published'), TOGETHER),
      again('2026-01-01'),
    ),
  },
  views: [movingIsExcluded(BOOKLET)],
  healthShare: beginning(
    row(
      '2025-01-01',
      recalled(
        publication('Prepaid Health Care Act, HRS § 393-13', 'State of Hawaii', '2025'),
        'the employee bears at most half of the premium and at most 1.5% of wages',
        'Half of the premium is not looked at, because the premium is not known here; nor are the hours from which the act covers an employee.',
      ),
      rate('0.015'),
    ),
    again('2026-01-01'),
  ),
  creditors: creditorsMay(
    'Hawaii Revised Statutes § 652-1',
    {
      byMonth: [
        { over: dollars('0'), rate: rate('0.05') },
        { over: dollars('100'), rate: rate('0.10') },
        { over: dollars('200'), rate: rate('0.20') },
      ],
    },
    'That the shares are of disposable earnings is recalled less surely.',
  ),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', DLIR, '2026'), '62000'),
      wageBase('2026-01-01', publication('Taxable wage base', DLIR, '2026'), '64500'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'TDI',
      kind: 'disability',
      label: 'Hawaii temporary disability insurance',
      payer: 'employee',
      agency: 'unemployment',
      wages: 'gross',
      terms: beginning(
        row('2025-01-01', recalled(TDI, 'half the premium, at most 0.5% of weekly wages up to 1,441.72'), [
          { rate: rate('0.005'), mostPerWeek: dollars('7.21') },
        ]),
        row(
          '2026-01-01',
          recalled(TDI, 'half the premium, at most 0.5% of weekly wages', 'The 2026 weekly wage base is not sure.'),
          [{ rate: rate('0.005'), mostPerWeek: dollars('7.50') }],
        ),
      ),
    },
    {
      code: 'ETA',
      kind: 'training',
      label: 'Hawaii employment and training assessment',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row('2025-01-01', recalled(publication('Employment and training assessment', DLIR, '2025'), 'rate'), [
          { rate: rate('0.0001'), base: 'unemployment' },
        ]),
        again('2026-01-01'),
      ),
    },
  ],
};
