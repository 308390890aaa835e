import { date } from '../../calendar/local-date.js';
import { dollars } from '../../money/cents.js';
import { brackets } from '../brackets.js';
import type { Dated } from '../dated.js';
import type { FederalWithholdingTable } from './withholding-table.js';

/**
 * Percentage Method Tables for Automated Payroll Systems, annual. Each threshold is the bracket of Rev. Proc. 2024-40
 * plus the standard deduction less the line 1g amount (or, box checked, half of each); it was derived that way and
 * agrees with what is recalled of the print.
 */
export const WITHHOLDING_2025: Dated<FederalWithholdingTable> = {
  from: date('2025-01-01'),
  until: date('2026-01-01'),
  source: 'us-pub-15-t-2025',
  place: 'Worksheet 1A; section 1 percentage method tables',
  standing: 'recalled',
  value: {
    standard: {
      'married-jointly': brackets([
        ['0', '0', '0'],
        ['17100', '0', '0.10'],
        ['40950', '2385', '0.12'],
        ['114050', '11157', '0.22'],
        ['223800', '35302', '0.24'],
        ['411700', '80398', '0.32'],
        ['518150', '114462', '0.35'],
        ['768700', '202154.50', '0.37'],
      ]),
      single: brackets([
        ['0', '0', '0'],
        ['6400', '0', '0.10'],
        ['18325', '1192.50', '0.12'],
        ['54875', '5578.50', '0.22'],
        ['109750', '17651', '0.24'],
        ['203700', '40199', '0.32'],
        ['256925', '57231', '0.35'],
        ['632750', '188769.75', '0.37'],
      ]),
      'head-of-household': brackets([
        ['0', '0', '0'],
        ['13900', '0', '0.10'],
        ['30900', '1700', '0.12'],
        ['78750', '7442', '0.22'],
        ['117250', '15912', '0.24'],
        ['211200', '38460', '0.32'],
        ['264400', '55484', '0.35'],
        ['640250', '187031.50', '0.37'],
      ]),
    },
    stepTwoChecked: {
      'married-jointly': brackets([
        ['0', '0', '0'],
        ['15000', '0', '0.10'],
        ['26925', '1192.50', '0.12'],
        ['63475', '5578.50', '0.22'],
        ['118350', '17651', '0.24'],
        ['212300', '40199', '0.32'],
        ['265525', '57231', '0.35'],
        ['390800', '101077.25', '0.37'],
      ]),
      single: brackets([
        ['0', '0', '0'],
        ['7500', '0', '0.10'],
        ['13463', '596.25', '0.12'],
        ['31738', '2789.25', '0.22'],
        ['59175', '8825.50', '0.24'],
        ['106150', '20099.50', '0.32'],
        ['132763', '28615.50', '0.35'],
        ['320675', '94384.88', '0.37'],
      ]),
      'head-of-household': brackets([
        ['0', '0', '0'],
        ['11250', '0', '0.10'],
        ['19750', '850', '0.12'],
        ['43675', '3721', '0.22'],
        ['62925', '7956', '0.24'],
        ['109900', '19230', '0.32'],
        ['136500', '27742', '0.35'],
        ['324425', '93515.75', '0.37'],
      ]),
    },
    lineOneG: { 'married-jointly': dollars('12900'), otherwise: dollars('8600') },
    allowance: dollars('4300'),
    nonresidentAdditionPerYear: { form2020: dollars('15000'), pre2020: dollars('10700') },
  },
};
