import { cents, showDollars } from '@zakat/core/money/cents';
import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { Figure } from '../../kit/figure.js';

type Cost = Schemas['JobCostView'];
interface Props {
  readonly costs: readonly (Cost & { readonly people?: number })[];
  readonly isPencil?: boolean;
}
const COLUMNS: readonly (readonly [string, (cost: Cost) => number])[] = [
  ['Gross', (cost) => cost.gross],
  ['Employer taxes', (cost) => cost.employerTaxes],
  ['Employer pays', (cost) => cost.employerPaid],
  ['Cost', (cost) => cost.gross + cost.employerTaxes + cost.employerPaid],
];

/** What each job or customer costs; nothing where no pay is booked to any. */
export function JobCosts({ costs, isPencil = false }: Props): ReactNode {
  if (costs.length === 0) return null;
  const hasPeople = costs.some((cost) => cost.people !== undefined);
  return (
    <section className="section">
      <h2>By job</h2>
      <table className="ruled">
        <thead>
          <tr>
            <th scope="col">Job or customer</th>
            {hasPeople && (
              <th scope="col" className="num">
                People
              </th>
            )}
            {COLUMNS.map(([heading]) => (
              <th key={heading} scope="col" className="num">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {costs.map((cost) => (
            <tr key={cost.job}>
              <td>{cost.job === '' ? 'no job' : cost.job}</td>
              {hasPeople && <td className="num">{cost.people}</td>}
              {COLUMNS.map(([heading, of]) => (
                <td key={heading} className="num">
                  <Figure amount={of(cost)} isPencil={isPencil} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <td>Totals</td>
            {hasPeople && <td />}
            {COLUMNS.map(([heading, of]) => (
              <td key={heading} className="num">
                {showDollars(cents(costs.reduce((total, cost) => total + of(cost), 0)))}
              </td>
            ))}
          </tr>
        </tfoot>
      </table>
    </section>
  );
}
