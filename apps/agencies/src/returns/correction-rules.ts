import { FormReader, cents, child, list, share, text, type TypeRules } from './form-reader.js';

/** How the tax of a line follows from its difference: in millionths of it, as it is, turned round, or not at all. */
type Fourth = bigint | 'same' | 'opposite' | 'none';
const OASDI = 124_000n;
const HI = 29_000n;
const ADDITIONAL = 9_000n;
const RULES: Readonly<Record<string, Readonly<Record<string, Fourth>>>> = {
  '941-X': {
    '6': 'none',
    '7': 'same',
    '8': OASDI,
    '11': OASDI,
    '12': HI,
    '13': ADDITIONAL,
    '14': 'same',
    '15': 'same',
    '16': 'opposite',
  },
  '943-X': { '6': OASDI, '9': HI, '10': ADDITIONAL, '11': 'same', '12': 'same', '13': 'opposite' },
  '944-X': {
    '6': 'none',
    '7': 'same',
    '8': OASDI,
    '11': OASDI,
    '12': HI,
    '13': ADDITIONAL,
    '14': 'same',
    '15': 'opposite',
  },
  '945-X': { '3': 'same', '4': 'same' },
};
/** Forms on which no employee has a share: they have no Part 2. */
const WITHOUT_SHARES: ReadonlySet<string> = new Set(['945-X']);
const size = (amount: bigint): bigint => (amount < 0n ? -amount : amount);
/** Both halves are corrected, or the employer's alone. */
function isTaxOf(difference: bigint, tax: bigint, by: Fourth, isEmployerShare: boolean): boolean {
  if (by === 'same') return tax === difference;
  if (by === 'opposite') return tax === -difference;
  if (by === 'none') return false;
  const whole = share(size(difference), by);
  const half = share(size(difference), by / 2n);
  const expected = isEmployerShare && by !== ADDITIONAL ? half : whole;
  return tax === (difference < 0n ? -expected : expected);
}

/** The tax agency's own rules for a correction: columns, rates, the total, what must be said. */
export const judgeCorrection =
  (form: keyof typeof RULES): TypeRules =>
  (data) => {
    const read = new FormReader(child(data, `IRS${form.replace('-', '')}`));
    const refuse = (rule: string, element: string, message: string): void =>
      read.refuse(`F${form}-${rule}`, element, message);
    const isEmployerShare = text(read.form, 'CertificationCd') === 'employer-share';
    let total = 0n;
    for (const group of list(child(read.form, 'CorrectionGrp'))) {
      const id = String(group['@line'] ?? '');
      const by = RULES[form]?.[id];
      const amount = (element: string): bigint => cents(text(group, element)) ?? 0n;
      if (by === undefined) refuse('001', 'CorrectionGrp', `The form has no line ${id}.`);
      const difference = amount('DifferenceAmt');
      if (difference !== amount('CorrectedAmt') - amount('OriginallyReportedAmt'))
        refuse('003', `line ${id}`, `Column 3 of line ${id} is not column 1 less column 2.`);
      const tax = cents(text(group, 'TaxCorrectionAmt'));
      if (by !== undefined && (tax === null ? by !== 'none' : !isTaxOf(difference, tax, by, isEmployerShare)))
        refuse('004', `line ${id}`, `Column 4 of line ${id} does not follow from column 3.`);
      total += tax ?? 0n;
    }
    if (read.amount('TotalTaxCorrectionAmt') !== total)
      refuse('027', 'TotalTaxCorrectionAmt', 'The total is not the sum of column 4.');
    const processes = ['AdjustedEmploymentTaxReturnInd', 'ClaimInd'].filter((one) => text(read.form, one) === 'X');
    if (processes.length !== 1) refuse('P1', 'AdjustedEmploymentTaxReturnInd', 'One process is chosen, and only one.');
    if (processes[0] === 'ClaimInd' && total > 0n)
      refuse('P1', 'ClaimInd', 'Tax that was reported too low is not claimed.');
    if (text(read.form, 'DiscoveredDt') === '') refuse('D1', 'DiscoveredDt', 'The day of discovery is missing.');
    if (!WITHOUT_SHARES.has(form) && text(read.form, 'CertificationCd') === '')
      refuse('P2', 'CertificationCd', 'Part 2 is not answered.');
    if (text(read.form, 'ExplanationTxt') === '') refuse('P4', 'ExplanationTxt', 'The explanation is missing.');
    return { refusals: read.refusals, total: text(read.form, 'TotalTaxCorrectionAmt'), balance: 0n };
  };
