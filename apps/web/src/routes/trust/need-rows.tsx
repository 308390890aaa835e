import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { invoicePath } from '../../api/invoices.js';
import { ShortDay } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';

const WORDS: Readonly<Record<Schemas['NeedView']['what'], string>> = {
  taxes: 'taxes',
  'net-pay': 'direct deposit',
  fees: 'fees of the firm',
};

/** What a debit is for, line by line, and what it comes to. */
export function NeedRows({
  lines,
  advance,
  amount,
  label,
  isPencil,
}: {
  readonly lines: readonly Schemas['NeedView'][];
  readonly advance: number;
  readonly amount: number;
  readonly label: string;
  readonly isPencil: boolean;
}): ReactNode {
  return (
    <table className="ruled">
      <ListHead columns={['Check date', 'For', { number: 'Amount' }]} />
      <tbody>
        {lines.map((line) => (
          <tr key={`${line.payrollId ?? line.invoiceId} ${line.what}`}>
            <td>
              {line.payrollId === null ? (
                ''
              ) : (
                <Link to={`/payrolls/${line.payrollId}`}>
                  <ShortDay day={line.checkDate} />
                </Link>
              )}
            </td>
            <td>
              {WORDS[line.what]}
              {line.invoiceId !== null && (
                <>
                  ,{' '}
                  <a href={invoicePath(line.invoiceId)} target="_blank" rel="noreferrer">
                    the invoice (PDF)
                  </a>
                </>
              )}
            </td>
            <td className="num">
              <Figure amount={line.amount} isPencil={isPencil} />
            </td>
          </tr>
        ))}
        {advance > 0 && (
          <tr>
            <td colSpan={2}>Advanced by the firm, paid back</td>
            <td className="num">
              <Figure amount={advance} isPencil={isPencil} />
            </td>
          </tr>
        )}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={2}>{label}</td>
          <td className="num">
            <Figure amount={amount} isPencil={isPencil} />
          </td>
        </tr>
      </tfoot>
    </table>
  );
}
