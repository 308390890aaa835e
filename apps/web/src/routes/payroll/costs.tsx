import { cents, showDollars } from '@zakat/core/money/cents';
import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { Figure } from '../../kit/figure.js';
import { JobCosts } from './job-costs.js';
import { Review } from './review.js';
import { TotalsTable } from './totals-table.js';
import { ListHead } from '../../kit/list-head.js';

type Payroll = Schemas['PayrollView'];
interface Props {
  readonly payroll: Payroll;
}
const isPencilled = ({ status }: Payroll): boolean => status !== 'posted';

const SORTS = [
  ['department', 'department'],
  ['location', 'location'],
  ['costCentre', 'cost center'],
] as const;
type Person = Payroll['persons'][number];
const withheldFrom = ({ paycheck }: Person): number =>
  paycheck.taxes.reduce((total, tax) => total + (tax.payer === 'employee' ? tax.amount : 0), 0);
const deductedFrom = ({ paycheck }: Person): number =>
  paycheck.deductions.reduce((total, line) => total + line.amount, 0) +
  paycheck.garnishments.reduce((total, line) => total + line.amount + line.fee, 0);
const COLUMNS: readonly (readonly [string, (person: Person) => number])[] = [
  ['Gross', (person) => person.paycheck.gross],
  ['Taxes withheld', withheldFrom],
  ['Deductions', deductedFrom],
  ['Net', (person) => person.paycheck.net],
];

/** The register by where the work is booked, for every sort of place that somebody has. */
function ByPlace({ payroll }: Props): ReactNode {
  const isPencil = isPencilled(payroll);
  const paid = payroll.persons.filter((person) => person.isPaid);
  const used = SORTS.filter(([sort]) => paid.some((person) => person[sort] !== ''));
  const total = (people: readonly Person[], of: (person: Person) => number): number =>
    people.reduce((running, person) => running + of(person), 0);
  return used.map(([sort, word]) => {
    const names = [...new Set(paid.map((person) => person[sort]))].sort((a, b) =>
      a === '' ? 1 : b === '' ? -1 : a.localeCompare(b),
    );
    return (
      <TotalsTable
        key={sort}
        heading={`By ${word}`}
        of={word.replace(/^./, (first) => first.toUpperCase())}
        columns={COLUMNS.map(([heading]) => heading)}
        rows={names.map((name) => {
          const people = paid.filter((person) => person[sort] === name);
          return {
            name: name === '' ? `no ${word}` : name,
            people: people.length,
            amounts: COLUMNS.map(([, of]) => total(people, of)),
          };
        })}
        people={paid.length}
        isPencil={isPencil}
      />
    );
  });
}

/** Where another program withheld something else than is computed here. */
function Variances({ payroll }: Props): ReactNode {
  const rows = payroll.persons.flatMap((person) =>
    (person.paycheck.variances ?? []).map((variance) => ({
      name: `${person.name}, ${variance.label}`,
      amounts: [variance.computed, variance.withheld, variance.withheld - variance.computed],
    })),
  );
  if (rows.length === 0) return null;
  return (
    <TotalsTable
      heading={payroll.kind === 'recorded' ? 'Withheld elsewhere, not as computed' : 'Overridden taxes'}
      of="Person and tax"
      columns={['Computed', 'Withheld', 'Difference']}
      rows={rows}
      isPencil={isPencilled(payroll)}
    />
  );
}

function EmployerTaxes({ payroll }: Props): ReactNode {
  const isPencil = isPencilled(payroll);
  return (
    <section className="section">
      <h2>
        Employer taxes{' '}
        <small>{payroll.kind === 'brought-in' ? 'as brought in' : 'on the total of the wages, rounded once'}</small>
      </h2>
      <table className="ruled">
        <tbody>
          {payroll.employerTaxes.map((tax) => (
            <tr key={tax.tax}>
              <td>{tax.label}</td>
              <td className="num">
                <Figure amount={tax.wages} isPencil={isPencil} />
              </td>
              <td className="num">
                <Figure amount={tax.amount} isPencil={isPencil} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Journal({ payroll }: Props): ReactNode {
  const isPencil = isPencilled(payroll);
  return (
    <section className="section">
      <h2>Journal</h2>
      <table className="ruled">
        <ListHead columns={['Account', 'For', { number: 'Debit' }, { number: 'Credit' }]} />
        <tbody>
          {payroll.journal.map((line, index) => (
            <tr key={index}>
              <td>{line.label}</td>
              <td>{line.detail}</td>
              <td className="num">{line.amount > 0 && <Figure amount={line.amount} isPencil={isPencil} />}</td>
              <td className="num">{line.amount < 0 && <Figure amount={-line.amount} isPencil={isPencil} />}</td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <td colSpan={2}>Totals</td>
            <td className="num">
              {showDollars(cents(payroll.journal.reduce((total, line) => total + Math.max(line.amount, 0), 0)))}
            </td>
            <td className="num">
              {showDollars(cents(payroll.journal.reduce((total, line) => total + Math.max(-line.amount, 0), 0)))}
            </td>
          </tr>
        </tfoot>
      </table>
    </section>
  );
}

/** What a payroll costs and how it is booked. What was paid elsewhere is in somebody else's books. */
export function Costs({ payroll }: Props): ReactNode {
  const isOurs = payroll.kind !== 'brought-in';
  return (
    <>
      {isOurs && payroll.kind !== 'void' && <Review payroll={payroll} />}
      {isOurs && <ByPlace payroll={payroll} />}
      <Variances payroll={payroll} />
      <JobCosts costs={payroll.jobs} isPencil={isPencilled(payroll)} />
      <EmployerTaxes payroll={payroll} />
      {isOurs && <Journal payroll={payroll} />}
    </>
  );
}
