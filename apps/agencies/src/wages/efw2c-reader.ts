import { cut, recordsOf } from '../records/record.js';
import type { WageRefusal } from './efw2-reader.js';

type Pairs = readonly (readonly [name: string, from: number, total: number])[];
/** Pairs of an RCW record: where the first begins, and where its sum begins in RCT. Recalled. */
const PAIRS: Pairs = [
  ['Wages, Tips and Other Compensation', 244, 11],
  ['Federal Income Tax Withheld', 266, 41],
  ['Social Security Wages', 288, 71],
  ['Social Security Tax Withheld', 310, 101],
  ['Medicare Wages and Tips', 332, 131],
  ['Medicare Tax Withheld', 354, 161],
  ['Social Security Tips', 376, 191],
  ['Dependent Care Benefits', 420, 251],
  ['Section 401(k)', 442, 281],
  ['Section 403(b)', 464, 311],
  ['Section 408(k)(6)', 486, 341],
  ['Section 457(b)', 508, 371],
  ['Section 501(c)(18)(D)', 530, 401],
  ['Health Savings Account', 618, 521],
  ['Nonqualified Plan Not Section 457', 640, 551],
  ['Combat Pay', 662, 581],
  ['Employer-Sponsored Health Coverage', 816, 611],
  ['Group Term Life Insurance', 706, 641],
  ['Nonstatutory Stock Options', 728, 701],
  ['Section 409A Deferrals', 750, 731],
  ['Roth 401(k)', 772, 761],
  ['Roth 403(b)', 794, 791],
  ['QSEHRA', 838, 821],
];
/** Pairs of an RCO record, and where their sums begin in RCU. Recalled. */
const RARE_PAIRS: Pairs = [
  ['Allocated Tips', 13, 11],
  ['Uncollected Employee Tax on Tips', 35, 41],
  ['Medical Savings Account', 57, 71],
  ['Simple Retirement Account', 79, 101],
  ['Adoption Expenses', 101, 131],
  ['Social Security Tax on Group Term Life Insurance', 123, 161],
  ['Medicare Tax on Group Term Life Insurance', 145, 191],
  ['Section 409A Income', 167, 221],
  ['Roth 457(b)', 211, 281],
  ['Section 83(i) Income', 233, 311],
  ['Section 83(i) Deferrals', 255, 341],
];
const digits = (text: string): boolean => /^\d+$/.test(text);

/** Every refusal of a file of corrected wage statements: 1,024 positions a record. */
export function judgeCorrections(
  content: string,
  today: string,
): { refusals: WageRefusal[]; people: number; year: string; ein: string } {
  const refusals: WageRefusal[] = [];
  const refuse = (code: string, field: string, message: string): void => void refusals.push({ code, field, message });
  const lines = recordsOf(content, 1024);
  if (!lines)
    return {
      refusals: [{ code: 'REC-LEN', field: 'file', message: 'A record is not 1,024 positions long.' }],
      people: 0,
      year: '',
      ein: '',
    };
  if (!/^RCA RCE (RCW (RCO )?)+RCT (RCU )?RCF$/.test(lines.map((line) => line.slice(0, 3)).join(' ')))
    refuse('REC-ORDER', 'file', 'Records come as RCA, RCE, RCW and RCO for each person, RCT and RCU, RCF.');
  const [submitter = '', employer = ''] = lines;
  const people = lines.filter((line) => line.startsWith('RCW'));
  const totals = lines.find((line) => line.startsWith('RCT')) ?? '';
  const year = cut(employer, 4, 7);
  const ein = cut(employer, 17, 25);
  if (cut(submitter, 13, 20).trim() === '') refuse('RCA-USER', 'RCA User Identification', 'The user ID is blank.');
  if (!/^\d{9}$/.test(ein)) refuse('RCE-EIN', 'RCE EIN', 'The EIN is not nine digits.');
  if (`${year}-12-31` >= today) refuse('RCE-YEAR', 'RCE Tax Year', 'The tax year is not over.');
  /** How many pairs of a record change something; each is looked at. */
  const pairsOf = (line: string, pairs: Pairs, at: (field: string) => string): number => {
    let changes = 0;
    for (const [name, from] of pairs) {
      const [first, second] = [cut(line, from, from + 10), cut(line, from + 11, from + 21)];
      if ((first.trim() === '') !== (second.trim() === ''))
        refuse('RCW-PAIR', at(name), 'Both amounts of a pair are given, or neither.');
      if (first.trim() === '') continue;
      changes += 1;
      if (!digits(first) || !digits(second)) refuse('RCW-AMOUNT', at(name), 'An amount is not digits.');
      else if (first === second) refuse('RCW-SAME', at(name), 'Both amounts of a pair are the same.');
    }
    return changes;
  };
  people.forEach((line, index) => {
    const at = (field: string): string => `RCW ${index + 1} ${field}`;
    const [was, is] = [cut(line, 4, 12), cut(line, 13, 21)];
    if (!/^\d{9}$/.test(is) || /^(666|9)/.test(is))
      refuse('RCW-SSN', at('Social Security Number (SSN), Correct'), 'The correct number cannot have been issued.');
    if (was.trim() !== '' && was === is)
      refuse('RCW-SSN-SAME', at('Social Security Number (SSN)'), 'Both numbers are the same.');
    if (cut(line, 102, 121).trim() === '')
      refuse('RCW-LAST', at('Employee Last Name, Correct'), 'The last name is blank.');
    let changes = was.trim() === '' && cut(line, 52, 71).trim() === '' ? 0 : 1;
    changes += pairsOf(line, PAIRS, at);
    const after = lines[lines.indexOf(line) + 1] ?? '';
    if (after.startsWith('RCO')) {
      const rare = pairsOf(after, RARE_PAIRS, (field) => `RCO ${index + 1} ${field}`);
      if (rare === 0) refuse('RCO-NOTHING', `RCO ${index + 1}`, 'The record corrects nothing.');
      changes += rare;
    }
    if (changes === 0 && line.slice(395, 1007).trim() === '')
      refuse('RCW-NOTHING', at('Wages, Tips and Other Compensation'), 'The record corrects nothing.');
  });
  const added = (records: readonly string[], pairs: Pairs, sums: string, record: string): void => {
    for (const [name, from, total] of pairs)
      for (const [half, offset, at] of [
        ['Originally Reported', 0, 0],
        ['Correct', 11, 15],
      ] as const) {
        const sum = records.reduce(
          (all, line) => all + Number(cut(line, from + offset, from + offset + 10).trim() || '0'),
          0,
        );
        const given = Number(cut(sums, total + at, total + at + 14).trim() || '0');
        if (sum !== given)
          refuse(`${record}-TOTAL`, `${record} ${name}, ${half}`, 'The total differs from the records.');
      }
  };
  added(people, PAIRS, totals, 'RCT');
  const rare = lines.filter((line) => line.startsWith('RCO'));
  const rareTotals = lines.find((line) => line.startsWith('RCU')) ?? '';
  if (rare.length > 0 !== (rareTotals !== ''))
    refuse('RCU-ORDER', 'RCU', 'An RCU record comes where there are RCO records, and only there.');
  else if (rare.length > 0) {
    added(rare, RARE_PAIRS, rareTotals, 'RCU');
    if (Number(cut(rareTotals, 4, 10)) !== rare.length)
      refuse('RCU-COUNT', 'RCU Total Number of RCO Records', 'The number of RCO records is wrong.');
  }
  if (Number(cut(totals, 4, 10)) !== people.length)
    refuse('RCT-COUNT', 'RCT Total Number of RCW Records', 'The number of RCW records is wrong.');
  return { refusals, people: people.length, year, ein };
}
