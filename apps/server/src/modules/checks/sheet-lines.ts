import type { PaycheckResult } from '@zakat/core/computation/result';
import { ZERO, add, type Cents } from '@zakat/core/money/cents';
import { isTaxCode, taxOf } from '@zakat/core/tax-registry/registry';
import type { CheckSheet, StubLine } from './check-page.js';
import { stubLines, type StubPart } from './stub-lines.js';
import type { ToDate } from './year-to-date.js';

interface Addressed {
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
}
interface Named extends Addressed {
  readonly firstName: string;
  readonly middleName: string;
  readonly lastName: string;
  readonly suffix: string;
}
export const placeLine = ({ city, state, zip }: Omit<Addressed, 'street'>): string =>
  city === '' ? '' : `${city}, ${state} ${zip}`;
export const payeeOf = (person: Named): CheckSheet['payee'] => ({
  name: [person.firstName, person.middleName, person.lastName, person.suffix].filter((part) => part !== '').join(' '),
  street: person.street,
  place: placeLine(person),
});

/** A check as its sheet shows it: computed lines, and of the earnings what was typed. */
export interface ShownCheck extends Pick<
  PaycheckResult,
  'gross' | 'net' | 'earnings' | 'deductions' | 'garnishments' | 'taxes' | 'employerPaid'
> {
  readonly typed: readonly { readonly hours?: string; readonly rate?: string }[];
}

const taxLabel = (code: string): string => (isTaxCode(code) ? taxOf(code).label.replace(/, employee$/, '') : code);
const asIs = (label: string): string => label;

/** What was earned and withheld, each line with what the year comes to when this check is in it. */
export function linesOf(check: ShownCheck, toDate: ToDate) {
  const total = (amount: Cents, before: ReadonlyMap<string, Cents>): StubLine => ({
    label: '',
    amount,
    toDate: add(before.get('') ?? ZERO, amount),
  });
  return {
    earnings: stubLines(
      check.earnings.map(({ label, amount }, index): StubPart => {
        const typed = check.typed[index];
        const isMeasured = typed?.hours !== undefined && typed.rate !== undefined;
        return { key: label, amount, ...(isMeasured ? { hours: typed.hours, rate: typed.rate } : {}) };
      }),
      toDate.earning,
      asIs,
    ),
    taxes: stubLines(
      check.taxes.filter((tax) => tax.payer === 'employee').map(({ code, amount }) => ({ key: code, amount })),
      toDate.tax,
      taxLabel,
    ),
    deductions: stubLines(
      [
        ...check.deductions.map(({ label, amount }) => ({ key: label, amount })),
        ...check.garnishments.map(({ label, amount, fee }) => ({ key: label, amount: add(amount, fee) })),
      ],
      toDate.deduction,
      asIs,
    ),
    employerPaid: stubLines(
      check.employerPaid.map(({ label, amount }) => ({ key: label, amount })),
      toDate.employer,
      asIs,
    ),
    gross: total(check.gross, toDate.gross),
    net: total(check.net, toDate.net),
  };
}
