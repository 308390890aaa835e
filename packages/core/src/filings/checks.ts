import { addDays, showDate } from '../calendar/local-date.js';
import { checkEin } from '../identity/numbers.js';
import { problem, type Issue } from '../issues/issue.js';
import type { FilingFacts } from './kind.js';

/** A check of what a filing holds, against the facts of the filer, the firm and the day. */
export type Check<T> = (subject: T, facts: FilingFacts) => Issue[];

const identity: Check<unknown> = (_, { filer }) => [
  ...checkEin(filer.ein, 'client.ein'),
  ...(['name', 'street', 'city', 'state', 'zip', 'phone'] as const).flatMap((field) =>
    filer[field].trim() === ''
      ? [problem('check.address-missing', `client.${field}`, { who: 'The client', what: field })]
      : [],
  ),
];
const signer: Check<unknown> = (_, { filer }) =>
  filer.signerName && filer.signerTitle ? [] : [problem('check.signer-missing', 'client.signerName')];
const preparer: Check<unknown> = (_, { firm }) =>
  (
    [
      ['preparerName', firm.preparerName, 'name'],
      ['preparerPtin', firm.preparerPtin, 'PTIN'],
      ['preparerPhone', firm.phone, 'phone number'],
    ] as const
  ).flatMap(([field, value, what]) =>
    value.trim() === '' ? [problem('check.preparer-missing', `firm.${field}`, { what })] : [],
  );
const openPayrolls: Check<unknown> = (_, facts) =>
  facts.openPayrolls.map((day) => problem('check.open-payroll', 'payrolls', { date: showDate(day) }));
/** A return that is sent names the firm that sends it (Publication 3112). */
const originator: Check<unknown> = (_, { firm }) =>
  /^\d{6}$/.test(firm.efin) ? [] : [problem('check.efin', 'firm.efin')];

/** What holds of every filing. */
export const OF_EVERY_FILING: readonly Check<unknown>[] = [identity, openPayrolls];
/** What a return that the IRS takes by e-file needs besides. */
export const OF_EFILED_RETURNS: readonly Check<unknown>[] = [identity, signer, preparer, originator, openPayrolls];
/** A period that goes on is not reported. */
export const periodOver: Check<unknown> = (_, { period, today }) =>
  today > period.end
    ? []
    : [
        problem('check.period-open', 'period', {
          end: showDate(period.end),
          after: showDate(addDays(period.end, 1)),
        }),
      ];
export const runChecks = <T>(checks: readonly Check<T>[], subject: T, facts: FilingFacts): Issue[] =>
  checks.flatMap((check) => check(subject, facts));
