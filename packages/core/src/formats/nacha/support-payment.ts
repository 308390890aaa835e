import type { LocalDate } from '../../calendar/local-date.js';
import { transliterate } from '../../identity/transliterate.js';
import { problem, type Issue } from '../../issues/issue.js';
import type { Cents } from '../../money/cents.js';
import { shortDate, writeAchFile, type AchSender } from './file.js';

/** What was withheld from one check for one order of support. */
export interface SupportCredit {
  /** The case as the payee knows it, at most 20 characters. */
  readonly caseId: string;
  readonly payDate: LocalDate;
  readonly amount: Cents;
  /** Nine digits. */
  readonly ssn: string;
  readonly lastName: string;
  readonly firstName: string;
  readonly isMedical: boolean;
  /** County of the order, five or seven digits; blank where the order says none. */
  readonly fips: string;
  /** The person no longer works here. */
  readonly hasEnded: boolean;
}
export interface SupportPaymentFile extends AchSender {
  readonly payeeName: string;
  readonly payeeRouting: string;
  readonly payeeAccount: string;
  readonly reference: string;
  readonly credits: readonly SupportCredit[];
}

const SHORT_LAST = 7;
const SHORT_FIRST = 3;
const plain = (text: string): string =>
  transliterate(text)
    .toUpperCase()
    .replace(/[^A-Z]/g, '');
/** The first seven letters of the last name and the first three of the first, with a comma where the last is shorter. */
export function supportName(lastName: string, firstName: string): string {
  const last = plain(lastName).slice(0, SHORT_LAST);
  return `${last}${last.length < SHORT_LAST ? ',' : ''}${plain(firstName).slice(0, SHORT_FIRST)}`;
}

/**
 * `DED*CS*case*YYMMDD*amount*SSN*Y|N*name*FIPS*Y\` (ANSI ASC X12 DED segment in the Child Support Application Banking
 * Convention; recalled). The amount has ten digits of cents; FIPS and the termination are left out where there is none.
 */
export function dedSegment(credit: SupportCredit): string {
  const fields = [
    'CS',
    credit.caseId,
    shortDate(credit.payDate),
    String(credit.amount).padStart(10, '0'),
    credit.ssn,
    credit.isMedical ? 'Y' : 'N',
    supportName(credit.lastName, credit.firstName),
    credit.fips,
    credit.hasEnded ? 'Y' : '',
  ];
  while (fields.at(-1) === '') fields.pop();
  return `DED*${fields.join('*')}\\`;
}

function creditIssues(credit: SupportCredit, path: string): Issue[] {
  const issues: Issue[] = [];
  if (!/^[0-9A-Za-z -]{1,20}$/.test(credit.caseId))
    issues.push(problem('support.case', `${path}.caseId`, { value: credit.caseId }));
  if (!/^\d{9}$/.test(credit.ssn)) issues.push(problem('support.ssn', `${path}.ssn`));
  if (credit.fips !== '' && !/^(\d{5}|\d{7})$/.test(credit.fips))
    issues.push(problem('support.fips', `${path}.fips`, { value: credit.fips }));
  return issues;
}

/** An ACH file of CCD+ credits to one payee, each with the DED addenda of its case. */
export function writeSupportPayments(file: SupportPaymentFile): { content: string; issues: Issue[]; total: Cents } {
  const issues = file.credits.flatMap((credit, index) => creditIssues(credit, `credits[${index}]`));
  const written = writeAchFile(file, {
    entryClass: 'CCD',
    description: 'CHILD SUP',
    path: 'credits',
    entries: file.credits.map((credit) => ({
      code: '22',
      routing: file.payeeRouting,
      account: file.payeeAccount,
      amount: credit.amount,
      id: file.reference,
      name: file.payeeName,
      addenda: dedSegment(credit),
    })),
  });
  return { ...written, issues: [...issues, ...written.issues] };
}
