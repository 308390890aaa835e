import { checkSsn } from '../../identity/numbers.js';
import { nameInFile } from '../../identity/transliterate.js';
import { problem, warning } from '../../issues/issue.js';
import { add, showDollars, sum, type Cents } from '../../money/cents.js';
import { OF_EVERY_FILING, periodOver, type Check } from '../checks.js';
import { WITHOUT_FIELD } from './file.js';
import { formW3, type FormW2, type W2Set } from './form.js';

const NAME = /^[A-Za-z0-9 '-]*$/;
/** What only an address inside the United States has. */
const HOME_FIELDS = ['state', 'zip'] as const;
const personIdentity: Check<W2Set> = (set) =>
  set.forms.flatMap(({ person }) => {
    const at = `employee.${person.employeeId}`;
    const who = `${person.firstName} ${person.lastName}`;
    return [
      ...(person.ssn === ''
        ? [warning('check.ssn-applied-for', `${at}.ssn`, { who })]
        : checkSsn(person.ssn, `${at}.ssn`)),
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

/** All checks of a set of Forms W-2; all run, all report. */
export const CHECKS_W2: readonly Check<W2Set>[] = [
  ...OF_EVERY_FILING,
  periodOver,
  someForms,
  personIdentity,
  boxRelations,
  deferralsAreMarked,
  agreesWithLedger,
  allCarried,
];
