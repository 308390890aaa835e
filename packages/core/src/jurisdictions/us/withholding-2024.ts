import { date } from '../../calendar/local-date.js';
import { dollars } from '../../money/cents.js';
import { brackets } from '../brackets.js';
import type { Dated } from '../dated.js';
import type { FederalWithholdingTable } from './withholding-table.js';

/** Kept for corrections; derived from the brackets and standard deductions of Rev. Proc. 2023-34. */
export const WITHHOLDING_2024: Dated<FederalWithholdingTable> = {
  from: date('2024-01-01'),
  until: date('2025-01-01'),
  source: 'us-pub-15-t-2024',
  place: 'Worksheet 1A; section 1 percentage method tables',
  standing: 'recalled',
  value: {
    standard: {
      'married-jointly': brackets([
        ['0', '0', '0'],
        ['16300', '0', '0.10'],
        ['39500', '2320', '0.12'],
        ['110600', '10852', '0.22'],
        ['217350', '34337', '0.24'],
        ['400200', '78221', '0.32'],
        ['503750', '111357', '0.35'],
        ['747500', '196669.50', '0.37'],
      ]),
      single: brackets([
        ['0', '0', '0'],
        ['6000', '0', '0.10'],
        ['17600', '1160', '0.12'],
        ['53150', '5426', '0.22'],
        ['106525', '17168.50', '0.24'],
        ['197950', '39110.50', '0.32'],
        ['249725', '55678.50', '0.35'],
        ['615350', '183647.25', '0.37'],
      ]),
      'head-of-household': brackets([
        ['0', '0', '0'],
        ['13300', '0', '0.10'],
        ['29850', '1655', '0.12'],
        ['76400', '7241', '0.22'],
        ['113800', '15469', '0.24'],
        ['205250', '37417', '0.32'],
        ['257000', '53977', '0.35'],
        ['622650', '181954.50', '0.37'],
      ]),
    },
    stepTwoChecked: {
      'married-jointly': brackets([
        ['0', '0', '0'],
        ['14600', '0', '0.10'],
        ['26200', '1160', '0.12'],
        ['61750', '5426', '0.22'],
        ['115125', '17168.50', '0.24'],
        ['206550', '39110.50', '0.32'],
        ['258325', '55678.50', '0.35'],
        ['380200', '98334.75', '0.37'],
      ]),
      single: brackets([
        ['0', '0', '0'],
        ['7300', '0', '0.10'],
        ['13100', '580', '0.12'],
        ['30875', '2713', '0.22'],
        ['57563', '8584.25', '0.24'],
        ['103275', '19555.25', '0.32'],
        ['129163', '27839.25', '0.35'],
        ['311975', '91823.63', '0.37'],
      ]),
      'head-of-household': brackets([
        ['0', '0', '0'],
        ['10950', '0', '0.10'],
        ['19225', '827.50', '0.12'],
        ['42500', '3620.50', '0.22'],
        ['61200', '7734.50', '0.24'],
        ['106925', '18708.50', '0.32'],
        ['132800', '26988.50', '0.35'],
        ['315625', '90977.25', '0.37'],
      ]),
    },
    lineOneG: { 'married-jointly': dollars('12900'), otherwise: dollars('8600') },
    allowance: dollars('4300'),
    nonresidentAdditionPerYear: { form2020: dollars('14600'), pre2020: dollars('10300') },
  },
};
