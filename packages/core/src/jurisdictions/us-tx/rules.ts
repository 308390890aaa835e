import { date } from '../../calendar/local-date.js';
import { dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import type { StateRules } from '../state.js';

export const TEXAS: StateRules = {
  code: 'TX',
  name: 'Texas',
  incomeTax: { kind: 'none', source: 'us-tx-constitution', place: 'section 24-a', standing: 'recalled' },
  unemployment: {
    base: [
      {
        from: date('2025-01-01'),
        until: date('2027-01-01'),
        value: dollars('9000'),
        source: 'us-tx-labor-code',
        place: '§ 201.082(1)',
        standing: 'recalled',
      },
    ],
    highestPlausibleRate: rate('0.10'),
  },
};
