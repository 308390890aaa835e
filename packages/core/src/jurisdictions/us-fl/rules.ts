import { date } from '../../calendar/local-date.js';
import { dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import type { StateRules } from '../state.js';

export const FLORIDA: StateRules = {
  code: 'FL',
  name: 'Florida',
  incomeTax: { kind: 'none', source: 'us-fl-constitution', place: 'section 5', standing: 'recalled' },
  unemployment: {
    base: [
      {
        from: date('2025-01-01'),
        until: date('2027-01-01'),
        value: dollars('7000'),
        source: 'us-fl-reemployment',
        place: '(1)(a)',
        standing: 'recalled',
      },
    ],
    highestPlausibleRate: rate('0.10'),
  },
};
