import { showLeaveHours } from '@zakat/core/leave/accrual';
import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';

type Effects = Schemas['VoidEffects'];
const HEADINGS: Readonly<Record<string, string>> = {
  tax: 'withheld',
  employer: 'employer',
  deduction: 'deduction',
  leave: 'leave, hours',
};

function Follows({ rows }: { readonly rows: readonly Schemas['ClosedPeriod'][] }): ReactNode {
  return (
    <ul className="follows">
      {rows.map(({ what, follows }) => (
        <li key={what}>
          <b>{what}</b> {follows}
        </li>
      ))}
    </ul>
  );
}

/** What a void reverses, what becomes of the liabilities, and what else is to be done. */
export function VoidEffectsView({
  effects,
  isPencil,
}: {
  readonly effects: Effects;
  readonly isPencil: boolean;
}): ReactNode {
  return (
    <>
      <div className="side-by-side">
        <section className="section">
          <h2>Reversed</h2>
          <table className="ruled">
            <tbody>
              {effects.figures.map(({ kind, label, amount }) => (
                <tr key={`${kind} ${label}`}>
                  <td>{kind === 'pay' ? <b>{label}</b> : label}</td>
                  <td className="soft">{HEADINGS[kind] ?? ''}</td>
                  <td className="num">
                    {kind === 'leave' ? showLeaveHours(amount) : <Figure amount={amount} isPencil={isPencil} />}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        <section className="section">
          <h2>
            Tax liabilities of the day <small>below zero: a credit</small>
          </h2>
          <table className="ruled">
            <ListHead columns={['Tax', { number: 'Open now' }, { number: 'Change' }, { number: 'Then' }]} />
            <tbody>
              {effects.liabilities.map((line) => (
                <tr key={line.tax}>
                  <td>{line.label}</td>
                  <td className="num">
                    <Figure amount={line.openBefore} />
                  </td>
                  <td className="num">
                    <Figure amount={line.change} isPencil={isPencil} />
                  </td>
                  <td className="num">
                    <Figure amount={line.openAfter} isPencil={isPencil} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      </div>
      {(effects.closed.length > 0 || effects.follows.length > 0) && (
        <section className="section">
          <h2>What else follows</h2>
          <Follows rows={[...effects.closed, ...effects.follows]} />
        </section>
      )}
    </>
  );
}
