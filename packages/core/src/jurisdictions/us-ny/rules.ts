import { date } from '../../calendar/local-date.js';
import { dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import type { StateRules } from '../state.js';
import { WITHHOLDING } from './withholding.js';

export const NEW_YORK: StateRules = {
  code: 'NY',
  name: 'New York',
  incomeTax: {
    kind: 'annual-table',
    certificate: {
      form: 'Form IT-2104',
      fields: [
        {
          name: 'filingStatus',
          label: 'Filing status',
          kind: 'choice',
          choices: ['single', 'head-of-household', 'married-jointly', 'married-at-single-rate'],
          help: 'As marked at the top of Form IT-2104.',
        },
        { name: 'allowances', label: 'Allowances', kind: 'whole', help: 'Form IT-2104 line 1.' },
        {
          name: 'extraWithholding',
          label: 'Additional New York State amount',
          kind: 'amount',
          help: 'Form IT-2104 line 3, for each payment of wages.',
        },
        { name: 'exempt', label: 'Exempt', kind: 'flag', help: 'A Form IT-2104-E is on file for the year.' },
      ],
    },
    tables: WITHHOLDING,
    supplementalRate: [
      {
        from: date('2025-01-01'),
        until: date('2027-01-01'),
        value: rate('0.117'),
        source: 'us-ny-nys-50-t-2023',
        place: 'Supplemental wages',
        standing: 'recalled',
      },
    ],
    frequencies: ['daily', 'weekly', 'biweekly', 'semimonthly', 'monthly', 'quarterly', 'semiannually', 'annually'],
  },
  unemployment: {
    base: [
      {
        from: date('2025-01-01'),
        until: date('2026-01-01'),
        value: dollars('12800'),
        source: 'us-ny-ui-law',
        place: '§ 518(1)',
        standing: 'recalled',
      },
      {
        from: date('2026-01-01'),
        until: date('2027-01-01'),
        value: dollars('17600'),
        source: 'us-ny-ui-law',
        place: '§ 518(1)',
        standing: 'recalled',
        doubt: 'The schedule of the law before its amendment of 2025 had 13,000 for 2026.',
      },
    ],
    highestPlausibleRate: rate('0.12'),
  },
};
