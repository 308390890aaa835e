import { dollars } from '../../money/cents.js';
import { ALLOWANCES, certificate } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { ONE_COLUMN, annual, count, credit, deduct, fixed, table } from '../lines.js';
import {
  PLAUSIBLE,
  again,
  agency,
  beginning,
  flatSupplemental,
  movingIsExcluded,
  publication,
  row,
  wageBase,
} from '../state-words.js';
import type { StateRules } from '../state.js';
import { ARKANSAS_DEPOSITS } from './deposits.js';
import { ARKANSAS_RETURNS } from './returns.js';

const REVENUE = 'Arkansas Department of Finance and Administration';
const formula = (edition: string) => publication('Withholding Tax Formula', REVENUE, edition);
const lines = [credit('Personal tax credits', count('allowances', '29'))];
/** Each base is the rate at the mark less the adjustment that the formula prints. */
const tables2025 = table([
  ['0', '0', '0'],
  ['5500', '0.02', '0.02'],
  ['10900', '108.03', '0.03'],
  ['15600', '249.03', '0.034'],
  ['25700', '592.44', '0.039'],
]);
const tables2026 = table([
  ['0', '0', '0'],
  ['5600', '0.02', '0.02'],
  ['11200', '112.03', '0.03'],
  ['16000', '256.03', '0.034'],
  ['26400', '609.64', '0.039'],
]);

export const ARKANSAS: StateRules = {
  code: 'AR',
  name: 'Arkansas',
  deposits: ARKANSAS_DEPOSITS,
  returns: ARKANSAS_RETURNS,
  agencies: {
    income: agency('AR-DFA', REVENUE, 'AR Finance'),
    unemployment: agency('AR-DWS', 'Arkansas Division of Workforce Services', 'AR Workforce'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate('Form AR4EC', [ALLOWANCES], { allowances: 0 }, 'Withhold with no exemptions.'),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          formula('2025'),
          'formula method',
          'The reduction of the bracket adjustment above 94,700 is not modelled. Whether the middle of a range of 50 is taken up to 50,000 or up to 100,000 is not sure.',
        ),
        annual(
          ONE_COLUMN,
          deduct('Standard deduction', fixed('2410')),
          { do: 'middle', label: 'Middle of the range of 50.00', step: dollars('50'), below: dollars('100000') },
          tables2025,
          ...lines,
        ),
      ),
      row(
        '2026-01-01',
        recalled(
          formula('2026'),
          'formula method',
          'The brackets and the deduction are indexed from those of 2025. Whether the middle of a range of 50 is taken up to 50,000 or up to 100,000 is not sure.',
        ),
        annual(
          ONE_COLUMN,
          deduct('Standard deduction', fixed('2470')),
          { do: 'middle', label: 'Middle of the range of 50.00', step: dollars('50'), below: dollars('100000') },
          tables2026,
          ...lines,
        ),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(formula('2025'), 'Supplemental wages'), flatSupplemental('0.039')),
      again('2026-01-01'),
    ),
  },
  views: [movingIsExcluded(formula('2025'))],
  unemployment: {
    base: beginning(wageBase('2025-01-01', formula('2025'), '7000'), wageBase('2026-01-01', formula('2025'), '7000')),
    highestPlausibleRate: PLAUSIBLE,
  },
};
