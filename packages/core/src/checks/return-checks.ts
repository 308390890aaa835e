import { addDays, showDate, type LocalDate } from '../calendar/local-date.js';
import { problem, warning, type Issue } from '../issues/issue.js';
import { WITHOUT_FIELD } from '../formats/efw2/file.js';
import { nameInFile } from '../identity/transliterate.js';
import { checkEin, checkSsn } from '../identity/numbers.js';
import { add, cents, showDollars, sum, type Cents } from '../money/cents.js';
import { lineValue, periodEnd941, type Form941 } from '../returns/form-941.js';
import { formW3, type FormW2 } from '../yearend/w2.js';

/** Facts about the filer, the firm and the moment that every filing is checked against. */
export interface FilingFacts {
  readonly ein: string;
  readonly name: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
  readonly phone: string;
  readonly signerName: string;
  readonly signerTitle: string;
  readonly preparerName: string;
  readonly preparerPtin: string;
  readonly preparerPhone: string;
  /** Electronic filing identification number of the firm. */
  readonly efin: string;
  readonly today: LocalDate;
  /** Check dates of payrolls in the period that are not posted. */
  readonly openPayrolls: readonly LocalDate[];
}

type Check<T> = (subject: T, facts: FilingFacts) => Issue[];

const identity: Check<unknown> = (_, facts) => [
  ...checkEin(facts.ein, 'client.ein'),
  ...(['name', 'street', 'city', 'state', 'zip', 'phone'] as const).flatMap((field) =>
    facts[field].trim() === ''
      ? [problem('check.address-missing', `client.${field}`, { who: 'The client', what: field })]
      : [],
  ),
];
const signer: Check<unknown> = (_, facts) =>
  facts.signerName && facts.signerTitle ? [] : [problem('check.signer-missing', 'client.signerName')];
const preparer: Check<unknown> = (_, facts) =>
  (
    [
      ['preparerName', 'name'],
      ['preparerPtin', 'PTIN'],
      ['preparerPhone', 'phone number'],
    ] as const
  ).flatMap(([field, what]) =>
    facts[field].trim() === '' ? [problem('check.preparer-missing', `firm.${field}`, { what })] : [],
  );
const openPayrolls: Check<unknown> = (_, facts) =>
  facts.openPayrolls.map((day) => problem('check.open-payroll', 'payrolls', { date: showDate(day) }));

const wagesPresent: Check<Form941> = (form) =>
  lineValue(form, '2') === 0 ? [warning('check.no-wages', 'line.2')] : [];
const quarterOver: Check<Form941> = (form, facts) => {
  const end = periodEnd941(form);
  return facts.today > end
    ? []
    : [problem('check.period-open', 'period', { end: showDate(end), after: showDate(addDays(end, 1)) })];
};
const scheduleBFoots: Check<Form941> = (form) => {
  if (!form.scheduleB) return [];
  const b = sum(form.scheduleB.map((day) => day.amount));
  const line12 = cents(lineValue(form, '12'));
  return b === line12
    ? []
    : [problem('check.schedule-b', 'line.12', { b: showDollars(b), line12: showDollars(line12) })];
};

/** A return that is sent names the firm that sends it (Publication 3112). */
const originator: Check<unknown> = (_, facts) =>
  /^\d{6}$/.test(facts.efin) ? [] : [problem('check.efin', 'firm.efin')];

/** Line 7 is for fractions of cents only (Instructions for Form 941). */
const fractionsAreSmall: Check<Form941> = (form) => {
  const fractions = lineValue(form, '7');
  return Math.abs(fractions) <= form.mostRounding
    ? []
    : [problem('check.not-fractions', 'line.7', { amount: showDollars(cents(fractions)) })];
};

/** All checks of a Form 941; all run, all report. */
const FORM_941_CHECKS: readonly Check<Form941>[] = [
  identity,
  signer,
  preparer,
  originator,
  openPayrolls,
  quarterOver,
  wagesPresent,
  scheduleBFoots,
  fractionsAreSmall,
];
export const checkForm941 = (form: Form941, facts: FilingFacts): Issue[] =>
  FORM_941_CHECKS.flatMap((check) => check(form, facts));

export interface W2Set {
  readonly year: number;
  readonly forms: readonly FormW2[];
  /** Totals of the ledger for the year, for the agreement of the W-2s with the 941s. */
  readonly ledger: {
    readonly incomeTax: Cents;
    readonly oasdiWages: Cents;
    readonly oasdiTax: Cents;
    readonly hiWages: Cents;
    readonly hiTax: Cents;
  };
}

const NAME = /^[A-Za-z0-9 '-]*$/;
const yearOver: Check<W2Set> = (set, facts) => {
  const end = `${set.year}-12-31` as LocalDate;
  return facts.today > end
    ? []
    : [problem('check.period-open', 'period', { end: showDate(end), after: showDate(addDays(end, 1)) })];
};
/** What only an address inside the United States has. */
const HOME_FIELDS = ['state', 'zip'] as const;
const personIdentity: Check<W2Set> = (set) =>
  set.forms.flatMap(({ person }) => {
    const at = `employee.${person.employeeId}`;
    const who = `${person.firstName} ${person.lastName}`;
    return [
      ...checkSsn(person.ssn, `${at}.ssn`),
      ...(['firstName', 'middleName', 'lastName'] as const).flatMap((field) =>
        NAME.test(nameInFile(person[field])) ? [] : [problem('name.forbidden', `${at}.${field}`, { field })],
      ),
      ...(['firstName', 'lastName', 'street', 'city', ...(person.country === '' ? HOME_FIELDS : [])] as const).flatMap(
        (field) =>
          person[field].trim() === '' ? [problem('check.address-missing', `${at}.${field}`, { who, what: field })] : [],
      ),
    ];
  });
const boxRelations: Check<W2Set> = (set) =>
  set.forms.flatMap((form) => {
    const who = `${form.person.firstName} ${form.person.lastName}`;
    const at = `employee.${form.person.employeeId}`;
    const bad = (a: string, b: string) => problem('check.box-relation', at, { a, b, who });
    return [
      ...(form.box3 + form.box7 > form.box5 ? [bad('3', '5')] : []),
      ...(form.box4 > 0 && form.box3 + form.box7 === 0 ? [bad('3', '4')] : []),
      ...(form.box2 > form.box1 ? [bad('1', '2')] : []),
    ];
  });
/** A deferral into a plan makes box 13 "Retirement plan" (General Instructions for Forms W-2 and W-3, box 13). */
const deferralsAreMarked: Check<W2Set> = (set) =>
  set.forms.flatMap(({ person, box12 }) => {
    const code = box12.find((line) => PLAN_CODES.includes(line.code))?.code;
    return code === undefined || person.isRetirementPlan
      ? []
      : [
          problem('check.box-13', `employee.${person.employeeId}.isRetirementPlan`, {
            who: `${person.firstName} ${person.lastName}`,
            code,
          }),
        ];
  });
/** Elective deferrals to plans whose participants box 13 marks; a 457(b) plan does not (instructions for box 13). */
const PLAN_CODES = ['D', 'E', 'F', 'H', 'S', 'AA', 'BB'];

/** The ledger has what was withheld here; the forms have, besides, what a payer of sick pay withheld. */
const ofInsurers = (set: W2Set, tax: keyof FormW2['withheldByInsurer']): Cents =>
  sum(set.forms.map((form) => form.withheldByInsurer[tax]));
const agreesWithLedger: Check<W2Set> = (set) => {
  const total = formW3(set.forms);
  const rows = [
    ['Federal income tax', total.box2, add(set.ledger.incomeTax, ofInsurers(set, 'incomeTax'))],
    ['Social security wages', add(total.box3, total.box7), set.ledger.oasdiWages],
    ['Social security tax', total.box4, add(set.ledger.oasdiTax, ofInsurers(set, 'oasdi'))],
    ['Medicare wages', total.box5, set.ledger.hiWages],
    ['Medicare tax', total.box6, add(set.ledger.hiTax, ofInsurers(set, 'hi'))],
  ] as const;
  return rows.flatMap(([what, w2, ledger]) =>
    w2 === ledger
      ? []
      : [problem('check.wages-differ', 'totals', { what, w2: showDollars(w2), ledger: showDollars(ledger) })],
  );
};
const someForms: Check<W2Set> = (set) => (set.forms.length === 0 ? [problem('check.no-wages', 'period')] : []);

/** The paper has codes that the file cannot carry: whoever releases it should know. */
const allCarried: Check<W2Set> = (set) =>
  WITHOUT_FIELD.filter((code) => set.forms.some((form) => form.box12.some((line) => line.code === code))).map((code) =>
    warning('check.code-not-carried', 'box12', { code }),
  );

const W2_CHECKS: readonly Check<W2Set>[] = [
  identity,
  openPayrolls,
  yearOver,
  someForms,
  personIdentity,
  boxRelations,
  deferralsAreMarked,
  agreesWithLedger,
  allCarried,
];
export const checkW2Set = (set: W2Set, facts: FilingFacts): Issue[] => W2_CHECKS.flatMap((check) => check(set, facts));
