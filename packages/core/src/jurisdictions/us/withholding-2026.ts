import { date } from '../../calendar/local-date.js';
import { dollars } from '../../money/cents.js';
import { brackets } from '../brackets.js';
import type { Dated } from '../dated.js';
import type { FederalWithholdingTable } from './withholding-table.js';

/** As in 2025, derived from the brackets and standard deductions of Rev. Proc. 2025-32. */
export const WITHHOLDING_2026: Dated<FederalWithholdingTable> = {
  from: date('2026-01-01'),
  until: date('2027-01-01'),
  source: 'us-pub-15-t-2026',
  place: 'Worksheet 1A; section 1 percentage method tables',
  standing: 'recalled',
  doubt: 'The line 1g amounts are taken to be unchanged from 2025.',
  value: {
    standard: {
      'married-jointly': brackets([
        ['0', '0', '0'],
        ['19300', '0', '0.10'],
        ['44100', '2480', '0.12'],
        ['120100', '11600', '0.22'],
        ['230700', '35932', '0.24'],
        ['422850', '82048', '0.32'],
        ['531750', '116896', '0.35'],
        ['788000', '206583.50', '0.37'],
      ]),
      single: brackets([
        ['0', '0', '0'],
        ['7500', '0', '0.10'],
        ['19900', '1240', '0.12'],
        ['57900', '5800', '0.22'],
        ['113200', '17966', '0.24'],
        ['209275', '41024', '0.32'],
        ['263725', '58448', '0.35'],
        ['648100', '192979.25', '0.37'],
      ]),
      'head-of-household': brackets([
        ['0', '0', '0'],
        ['15550', '0', '0.10'],
        ['33250', '1770', '0.12'],
        ['83000', '7740', '0.22'],
        ['121250', '16155', '0.24'],
        ['217300', '39207', '0.32'],
        ['271750', '56631', '0.35'],
        ['656150', '191171', '0.37'],
      ]),
    },
    stepTwoChecked: {
      'married-jointly': brackets([
        ['0', '0', '0'],
        ['16100', '0', '0.10'],
        ['28500', '1240', '0.12'],
        ['66500', '5800', '0.22'],
        ['121800', '17966', '0.24'],
        ['217875', '41024', '0.32'],
        ['272325', '58448', '0.35'],
        ['400450', '103291.75', '0.37'],
      ]),
      single: brackets([
        ['0', '0', '0'],
        ['8050', '0', '0.10'],
        ['14250', '620', '0.12'],
        ['33250', '2900', '0.22'],
        ['60900', '8983', '0.24'],
        ['108938', '20512', '0.32'],
        ['136163', '29224', '0.35'],
        ['328350', '96489.63', '0.37'],
      ]),
      'head-of-household': brackets([
        ['0', '0', '0'],
        ['12075', '0', '0.10'],
        ['20925', '885', '0.12'],
        ['45800', '3870', '0.22'],
        ['64925', '8077.50', '0.24'],
        ['112950', '19603.50', '0.32'],
        ['140175', '28315.50', '0.35'],
        ['332375', '95585.50', '0.37'],
      ]),
    },
    lineOneG: { 'married-jointly': dollars('12900'), otherwise: dollars('8600') },
    allowance: dollars('4300'),
    nonresidentAdditionPerYear: { form2020: dollars('16100'), pre2020: dollars('11800') },
  },
};
