import type { ReactNode } from 'react';
import type { SheetRow } from '../../calc/sheet-row.js';
import { ListHead } from '../../kit/list-head.js';

const WORDS: Readonly<Record<string, string>> = { sick: 'Sick', vacation: 'Vacation', pto: 'Paid time off' };

/** What the hours of a check do to the person's leave, as they are typed. */
export function LeaveBalances({ row }: { readonly row: SheetRow }): ReactNode {
  const moves = row.check.leave;
  if (moves.length === 0 || !row.isPaid) return null;
  const hasLost = moves.some(({ lost }) => lost !== '0');
  return (
    <section className="section" aria-label={`Leave, ${row.name}`}>
      <h2>
        Leave <small>{row.name}, hours</small>
      </h2>
      <table className="ruled" style={{ maxWidth: 620 }}>
        <ListHead
          columns={[
            'Balance',
            { number: 'Before' },
            { number: 'Accrues' },
            { number: 'Used' },
            ...(hasLost ? [{ number: 'Lost' }] : []),
            { number: 'After' },
          ]}
        />
        <tbody>
          {moves.map(({ item, before, accrued, used, lost, balance }) => (
            <tr key={item}>
              <td>{WORDS[item] ?? item.replaceAll('-', ' ')}</td>
              <td className="num">{before}</td>
              <td className="num">{accrued}</td>
              <td className="num">{used}</td>
              {hasLost && <td className="num">{lost}</td>}
              <td className="num">
                {balance.startsWith('-') ? <b className="tag-wrong">{balance}</b> : <b>{balance}</b>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
