import { cut, recordsOf } from '../records/record.js';
import type { WageRefusal } from './efw2-reader.js';

/** Pairs of an RCW record that this agency adds up: where the first begins, and where its sum begins in RCT. Recalled. */
const PAIRS: readonly (readonly [name: string, from: number, total: number])[] = [
  ['Wages, Tips and Other Compensation', 244, 11],
  ['Federal Income Tax Withheld', 266, 41],
  ['Social Security Wages', 288, 71],
  ['Social Security Tax Withheld', 310, 101],
  ['Medicare Wages and Tips', 332, 131],
  ['Medicare Tax Withheld', 354, 161],
  ['Social Security Tips', 376, 191],
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
  if (!/^RCA RCE (RCW )+RCT RCF$/.test(lines.map((line) => line.slice(0, 3)).join(' ')))
    refuse('REC-ORDER', 'file', 'Records come as RCA, RCE, RCW for each person, RCT, RCF.');
  const [submitter = '', employer = ''] = lines;
  const people = lines.filter((line) => line.startsWith('RCW'));
  const totals = lines.find((line) => line.startsWith('RCT')) ?? '';
  const year = cut(employer, 4, 7);
  const ein = cut(employer, 17, 25);
  if (cut(submitter, 13, 20).trim() === '') refuse('RCA-USER', 'RCA User Identification', 'The user ID is blank.');
  if (!/^\d{9}$/.test(ein)) refuse('RCE-EIN', 'RCE EIN', 'The EIN is not nine digits.');
  if (`${year}-12-31` >= today) refuse('RCE-YEAR', 'RCE Tax Year', 'The tax year is not over.');
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
    for (const [name, from] of PAIRS) {
      const [first, second] = [cut(line, from, from + 10), cut(line, from + 11, from + 21)];
      if ((first.trim() === '') !== (second.trim() === ''))
        refuse('RCW-PAIR', at(name), 'Both amounts of a pair are given, or neither.');
      if (first.trim() === '') continue;
      changes += 1;
      if (!digits(first) || !digits(second)) refuse('RCW-AMOUNT', at(name), 'An amount is not digits.');
      else if (first === second) refuse('RCW-SAME', at(name), 'Both amounts of a pair are the same.');
    }
    if (changes === 0 && line.slice(395, 1007).trim() === '')
      refuse('RCW-NOTHING', at('Wages, Tips and Other Compensation'), 'The record corrects nothing.');
  });
  for (const [name, from, total] of PAIRS)
    for (const [half, offset, at] of [
      ['Originally Reported', 0, 0],
      ['Correct', 11, 15],
    ] as const) {
      const sum = people.reduce(
        (all, line) => all + Number(cut(line, from + offset, from + offset + 10).trim() || '0'),
        0,
      );
      const given = Number(cut(totals, total + at, total + at + 14).trim() || '0');
      if (sum !== given) refuse('RCT-TOTAL', `RCT ${name}, ${half}`, 'The total differs from the records.');
    }
  if (Number(cut(totals, 4, 10)) !== people.length)
    refuse('RCT-COUNT', 'RCT Total Number of RCW Records', 'The number of RCW records is wrong.');
  return { refusals, people: people.length, year, ein };
}
