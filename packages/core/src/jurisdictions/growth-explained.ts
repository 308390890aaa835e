/**
 * Why an amount moves by more than prices do from one year to the next, by the code of its parameter. A reason is a
 * law that set a new amount or a step of a published schedule; all are recalled, like the rows they speak of.
 */
export const EXPLAINED: Readonly<Record<string, string>> = {
  'US.withholding': 'The standard deduction was raised for 2025 by P.L. 119-21 and came into the tables with 2026.',
  'US.limits':
    'SECURE 2.0 section 109 (ages 60 to 63, from 2025) and 117 (SIMPLE plans), and dependent care of $7,500 from 2026 by P.L. 119-21.',
  'CO.unemployment.base': 'C.R.S. 8-76-102.5 sets the base in dollars for each year through 2026.',
  'DE.unemployment.base': '19 Del. C. 3302 sets the base by the balance of the trust fund.',
  'IA.unemployment.base': 'Iowa halved the share of the average wage the base is reckoned from (SF 607, from 2026).',
  'LA.unemployment.base': 'La. R.S. 23:1474 sets the base by the balance of the trust fund.',
  'MO.unemployment.base': 'RSMo 288.036 moves the base in steps of $500 or $1,000 by the balance of the trust fund.',
  'NY.unemployment.base':
    'Labor Law 518 set the base in dollars through 2025; from 2026 it is a share of the average wage.',
  'OK.unemployment.base':
    'The base is a share of the average annual wage that follows the condition of the fund (40 O.S. 1-223).',
  'MT.income': 'HB 337 of 2025 widened the first bracket from 2026.',
  'NY.PFL': 'The yearly contribution is a rate set each year times the annualized average wage.',
  'OH.income': 'HB 96 of 2025 replaced the brackets.',
  'OK.income': 'HB 2764 of 2025 replaced the brackets from 2026.',
  'RI.TDI': 'The taxable wage base was raised to $100,000 from 2026.',
};
