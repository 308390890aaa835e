import { ALLOWANCES, SINGLE_ZERO, SINGLE_ZERO_SAYS, certificate, statusField } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { annualToDollar, byStatus, count, deduct, steps } from '../lines.js';
import { PLAUSIBLE, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { OKLAHOMA_DEPOSITS } from './deposits.js';
import { OKLAHOMA_RETURNS } from './returns.js';

const TAX = 'Oklahoma Tax Commission';
const OW2 = (edition: string) => publication('OW-2, Oklahoma Income Tax Withholding Tables', TAX, edition);
const columns = byStatus({ 'married-jointly': 'married' }, 'single');
const reduction = [deduct('Allowances', count('allowances', '1000'))];

export const OKLAHOMA: StateRules = {
  code: 'OK',
  name: 'Oklahoma',
  deposits: OKLAHOMA_DEPOSITS,
  returns: OKLAHOMA_RETURNS,
  agencies: {
    income: agency('OK-TAX', TAX, 'OK Tax'),
    unemployment: agency('OK-OESC', 'Oklahoma Employment Security Commission', 'OK Employment Security'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form OK-W-4',
      [
        statusField(['single', 'married-jointly', 'married-at-single-rate'], 'OK-W-4: head of household uses single.'),
        ALLOWANCES,
      ],
      SINGLE_ZERO,
      SINGLE_ZERO_SAYS,
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(OW2('2025'), 'percentage formula: to the whole dollar'),
        annualToDollar(
          columns,
          ...reduction,
          steps({
            single: [
              ['0', '0'],
              ['6350', '0.0025'],
              ['7350', '0.0075'],
              ['8850', '0.0175'],
              ['10100', '0.0275'],
              ['11250', '0.0375'],
              ['13550', '0.0475'],
            ],
            married: [
              ['0', '0'],
              ['12700', '0.0025'],
              ['14700', '0.0075'],
              ['17700', '0.0175'],
              ['20200', '0.0275'],
              ['22500', '0.0375'],
              ['27100', '0.0475'],
            ],
          }),
        ),
      ),
      row(
        '2026-01-01',
        recalled(OW2('2026'), 'percentage formula (HB 2764): to the whole dollar'),
        annualToDollar(
          columns,
          ...reduction,
          steps({
            single: [
              ['0', '0'],
              ['10100', '0.025'],
              ['11250', '0.035'],
              ['13550', '0.045'],
            ],
            married: [
              ['0', '0'],
              ['20200', '0.025'],
              ['22500', '0.035'],
              ['27100', '0.045'],
            ],
          }),
        ),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(OW2('2025'), 'supplemental wages'), flatSupplemental('0.0475')),
      row('2026-01-01', recalled(OW2('2026'), 'supplemental wages'), flatSupplemental('0.045')),
    ),
  },
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Oklahoma Employment Security Commission', '2026'),
        '28200',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Oklahoma Employment Security Commission', '2026'),
        '25000',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
