import type { ReactNode } from 'react';
import { cents, showDollars } from '@zakat/core/money/cents';
import type { Schemas } from '../../api/client.js';
import { Figure } from '../../kit/figure.js';
import type { Working } from '../../kit/working.js';

type Filing = Schemas['FilingView'];
type Line = Schemas['ReturnLineView'];

const GROUP_OF: Readonly<Record<string, string>> = {
  '2': 'US-FIT',
  '3': 'US-FIT',
  '5a.1': 'US-OASDI-EE',
  '5b.1': 'US-OASDI-EE',
  '5c.1': 'US-HI-EE',
  '5d.1': 'US-HI-ADD',
};

/** The return line by line; each amount writes out how it was made and leads to its entries. */
export function ReturnLines({ filing }: { readonly filing: Filing }): ReactNode {
  const isPencil = !['released', 'received', 'accepted'].includes(filing.status);
  const working = (line: Line): Working => {
    const query = new URLSearchParams({
      year: String(filing.year),
      quarter: String(filing.quarter ?? ''),
      group: GROUP_OF[line.id] ?? 'all',
      of: line.id === '13' ? 'payments' : 'liabilities',
    });
    return {
      title: `Form 941, line ${line.id}`,
      lines: line.working,
      ...(line.hasEntries
        ? {
            link: {
              to: `/clients/${filing.clientId}/ledger?${query.toString()}`,
              label: 'Open the entries that make it',
            },
          }
        : {}),
    };
  };
  return (
    <>
      <section className="section">
        <h2>Lines</h2>
        <table className="ruled">
          <tbody>
            {filing.lines.map((line) => (
              <tr key={line.id}>
                <td style={{ width: 60 }}>{line.id}</td>
                <td>{line.label}</td>
                <td className="num">
                  {line.kind === 'count' ? (
                    line.value
                  ) : (
                    <Figure
                      amount={line.value}
                      isPencil={isPencil}
                      label={`Line ${line.id}`}
                      working={() => working(line)}
                    />
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      {filing.scheduleB && (
        <section className="section">
          <h2>
            Schedule B <small>tax liability by check date</small>
          </h2>
          <table className="ruled">
            <tbody>
              {filing.scheduleB.map((day) => (
                <tr key={day.date}>
                  <td>{day.date}</td>
                  <td className="num">
                    <Figure amount={day.amount} isPencil={isPencil} />
                  </td>
                </tr>
              ))}
            </tbody>
            <tfoot>
              <tr>
                <td>Total, equal to line 12</td>
                <td className="num">
                  {showDollars(cents(filing.scheduleB.reduce((total, day) => total + day.amount, 0)))}
                </td>
              </tr>
            </tfoot>
          </table>
        </section>
      )}
    </>
  );
}
