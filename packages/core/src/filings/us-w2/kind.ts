import { onOrAfter } from '../../calendar/business-days.js';
import { LEGAL } from '../../calendar/holidays.js';
import { date, yearOf } from '../../calendar/local-date.js';
import type { FederalForm } from '../../deposits/family.js';
import { recalled } from '../../jurisdictions/dated.js';
import { ZERO, add, showDollars, subtract, sum, type Cents } from '../../money/cents.js';
import { incomeTaxGroup, type TaxGroup } from '../../tax-registry/registry.js';
import { runChecks } from '../checks.js';
import { defineKind } from '../kind.js';
import { FORM_NAMES } from '../names.js';
import { CHECKS_W2 } from './checks.js';
import { EMPLOYMENT_CODES, writeEfw2 } from './file.js';
import { formW3, w2Set, type FormW2, type W2Set } from './form.js';

/** What is kept of a person: no identity number, but a mark that shows whether it is still the same. */
const stored = (form: FormW2, mark: (text: string) => string) => ({
  ...form,
  person: { ...form.person, ssn: '', ssnTail: form.person.ssn.slice(-4), ssnMark: mark(form.person.ssn) },
});
/** A set released before a box was prepared here does not have it. */
const completed = (form: FormW2): FormW2 => ({
  ...form,
  box7: (form as Partial<FormW2>).box7 ?? ZERO,
  box8: (form as Partial<FormW2>).box8 ?? ZERO,
  box10: (form as Partial<FormW2>).box10 ?? ZERO,
  box11: (form as Partial<FormW2>).box11 ?? ZERO,
  withheldByInsurer: (form as Partial<FormW2>).withheldByInsurer ?? { incomeTax: ZERO, oasdi: ZERO, hi: ZERO },
  box14: (form as Partial<FormW2>).box14 ?? [],
  locals: (form as Partial<FormW2>).locals ?? [],
});

/** Numbers of people by the records of a file, one a form; zeros stand for none. */
export function numbersOf(
  forms: readonly { readonly person: { readonly employeeId: string } }[],
  file: string,
  record: string,
  from: number,
): Map<string, string> {
  const lines = file.split(/\r?\n/).filter((line) => line.startsWith(record));
  return new Map(
    forms.map(({ person }, index): [string, string] => {
      const number = (lines[index] ?? '').slice(from, from + 9);
      return [person.employeeId, /^0*$/.test(number) ? '' : number];
    }),
  );
}

const PERSON_FIELDS: readonly (readonly [theirs: RegExp, ours: string])[] = [
  [/Social Security Number/, 'ssn'],
  [/First Name/, 'firstName'],
  [/Last Name/, 'lastName'],
  [/(Delivery|Location) Address|City|State|ZIP/, 'street'],
];
/** A field of an EFW2 record: of the nth RW, the nth person; others are the employer's. */
function fieldOf(theirs: string, content: W2Set): string | null {
  const record = /^RW (\d+) /.exec(theirs);
  if (!record) return /\bEIN\b/.test(theirs) ? 'client.ein' : /Employer Name/.test(theirs) ? 'client.legalName' : null;
  const person = content.forms[Number(record[1]) - 1]?.person.employeeId;
  const own = PERSON_FIELDS.find(([pattern]) => pattern.test(theirs));
  return person === undefined ? null : `employee.${person}.${own?.[1] ?? 'lastName'}`;
}

/** Employee taxes of the forms as the ledger has them: without what a payer of sick pay withheld, which is in no deposit here. */
function taxesOf({ forms }: W2Set): Map<TaxGroup, Cents> {
  const less = (box: 'box2' | 'box4' | 'box6', insurer: keyof FormW2['withheldByInsurer']): Cents =>
    sum(forms.map((form) => subtract(form[box], form.withheldByInsurer[insurer])));
  const totals = new Map<TaxGroup, Cents>([
    ['US-FIT', less('box2', 'incomeTax')],
    ['US-OASDI', less('box4', 'oasdi')],
    ['US-HI', less('box6', 'hi')],
  ]);
  for (const { states } of forms)
    for (const { state, tax } of states) {
      const group = incomeTaxGroup(state);
      if (group) totals.set(group, add(totals.get(group) ?? ZERO, tax));
    }
  return totals;
}

const codeOf = (form: FederalForm) => {
  const code = EMPLOYMENT_CODES[form];
  if (!code) throw new RangeError(`no employment code for clients of Form ${form}`);
  return code;
};

/** Forms W-2 and W-3 of a year, in one EFW2 file. */
export const US_W2 = defineKind<W2Set>({
  code: 'us-w2',
  jurisdiction: 'US',
  name: FORM_NAMES['us-w2'],
  noun: 'wage file',
  agency: { code: 'SSA', name: 'Social Security Administration' },
  receiver: 'ssa',
  edition: recalled('us-ssa-42-007', 'all records and boxes'),
  period: 'year',
  files: ({ form }) =>
    form === '945'
      ? { is: false, why: 'It pays no wages: Form 945 goes with Forms 1099.' }
      : { is: true, why: 'It pays wages.' },
  owedFor: ['US-FIT', 'US-OASDI', 'US-HI'],
  // IRC § 6071(c).
  due: ({ end }) => ({
    due: onOrAfter(date(`${yearOf(end) + 1}-01-31`), LEGAL),
    rule: 'Forms W-2 and W-3: January 31, moved to a business day.',
  }),
  needs: { statements: true, sumsByPerson: true },
  asks: [],
  compute: ({ period, entries, statements }) => w2Set({ year: yearOf(period.end), entries, ...statements }),
  lines: () => [],
  tables: () => [],
  statements: ({ forms }) => forms,
  check: (set, facts) => runChecks(CHECKS_W2, set, facts),
  amount: ({ forms }) => formW3(forms).box1,
  figures: ({ forms }) => [
    { label: 'Forms W-2', value: String(forms.length) },
    { label: 'Wages, box 1', value: showDollars(formW3(forms).box1) },
  ],
  fileName: ({ end }, ein) => `W2-${yearOf(end)}-${ein}.txt`,
  mediaType: 'text/plain',
  makeFile: (set, { facts: { filer, firm, period }, employer, resubmits }) =>
    writeEfw2({
      taxYear: set.year,
      submitter: { ...firm, userId: firm.efw2UserId },
      employer: {
        ...filer,
        isTerminating:
          employer.lastWages !== null && employer.lastWages >= period.start && employer.lastWages <= period.end,
        employmentCode: codeOf(employer.form),
      },
      forms: set.forms,
      resubmits,
    }),
  signedBy: null,
  tieOut: {
    station: 'wage-statements',
    groups: ['US-FIT', 'US-OASDI', 'US-HI'],
    amounts: taxesOf,
    ofEmployees: ['US-OASDI', 'US-HI'],
    adjustments: () => ZERO,
    adjustmentWords: '',
    adjusted: [],
  },
  snapshotVersion: 2,
  store: (set, mark) => ({ ...set, forms: set.forms.map((form) => stored(form, mark)) }),
  read: (kept, version) => {
    const set = version === 1 ? (kept as { set: W2Set }).set : (kept as W2Set);
    return { ...set, forms: set.forms.map(completed) };
  },
  fieldOf,
  // EFW2, RA record, Resub WFID.
  identifies: { label: 'Wage File Identifier', of: (reference) => reference.slice(-6) },
  amendedBy: 'Forms W-2c and W-3c',
  // RW, positions 3 to 11, in the order of the forms.
  numbers: ({ forms }, file) => numbersOf(forms, file, 'RW', 2),
  recall: (set, numbers) => ({
    ...set,
    forms: set.forms.map((form) => ({
      ...form,
      person: { ...form.person, ssn: numbers.get(form.person.employeeId) ?? '' },
    })),
  }),
});
