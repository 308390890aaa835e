import { cents, showDollars } from '@zakat/core/money/cents';
import type { Schemas } from '../../api/client.js';
import type { Slip } from '../../kit/release-slip.js';
import { sayDay } from '../../kit/day.js';

/** The slip of a posting: what the ledger will hold, and that it stays. */
export function postingSlip(payroll: Schemas['PayrollView'], reason: string): Slip {
  const paid = payroll.persons.filter((person) => person.isPaid);
  const money = (amount: number): string => showDollars(cents(amount));
  const withheld = paid.reduce(
    (total, person) =>
      total + person.paycheck.taxes.filter((tax) => tax.payer === 'employee').reduce((sum, tax) => sum + tax.amount, 0),
    0,
  );
  const employer = payroll.employerTaxes.reduce((total, tax) => total + tax.amount, 0);
  const benefits = paid
    .flatMap((person) => person.paycheck.employerPaid)
    .reduce((total, line) => total + line.amount, 0);
  const errors = paid.flatMap((person) => person.paycheck.problems.filter((problem) => problem.severity === 'error'));
  const difference = payroll.journal.reduce((total, line) => total + line.amount, 0);
  const isReasoned = payroll.closed.length === 0 || reason.trim() !== '';
  return {
    title: `Payroll of ${payroll.clientName}`,
    act: 'release',
    figures: [
      { label: 'Check date', value: sayDay(payroll.checkDate) },
      { label: 'Gross', value: money(payroll.gross) },
      { label: 'Net to people', value: money(payroll.net) },
      { label: 'Taxes withheld', value: money(withheld) },
      { label: 'Employer taxes', value: money(employer) },
      ...(benefits === 0 ? [] : [{ label: 'Employer benefits', value: money(benefits) }]),
      { label: 'Total cost', value: money(payroll.gross + employer + benefits) },
    ],
    leaves: `${payroll.kind === 'recorded' ? 'Nobody is paid: another program did. ' : ''}${paid.length} paychecks are written to the ledger, and ${money(withheld + employer)} of taxes are owed from then on.`,
    becomesImpossible: 'A posted paycheck is never edited or removed.',
    wayBack: 'A mistake found later is reversed by a new entry.',
    checks: [
      {
        label: 'Every paycheck can be computed',
        isPassed: errors.length === 0,
        says: errors.map((error) => error.sentence).join(' ') || `${paid.length} of ${paid.length}.`,
      },
      {
        label: 'The journal balances',
        isPassed: difference === 0 && payroll.journal.length > 0,
        says: difference === 0 ? 'Debits equal credits.' : `Off by ${money(difference)}.`,
      },
      ...payroll.closed.map((one) => ({
        label: 'Has left already',
        isPassed: isReasoned,
        says: `${one.what} ${one.follows}`,
      })),
    ],
    mayRelease: errors.length === 0 && difference === 0 && paid.length > 0 && isReasoned,
    file: '',
  };
}
