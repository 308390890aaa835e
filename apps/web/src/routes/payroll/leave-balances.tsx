import { plus } from '@zakat/core/money/exact';
import { ZERO_RATE, parseRate, showRate } from '@zakat/core/money/rate';
import type { ReactNode } from 'react';
import { HOUR_COLUMNS, type SheetRow } from '../../calc/sheet-row.js';
import { ListHead } from '../../kit/list-head.js';

const WORDS: Readonly<Record<string, string>> = { sick: 'Sick', vacation: 'Vacation', pto: 'Paid time off' };

const hasColumn = (item: string): boolean => (HOUR_COLUMNS as readonly string[]).includes(item);
/** The hours of the check with what is left of a balance, as they are typed; null where nothing is left to pay. */
function withRest(row: SheetRow, item: string, balance: string): string | null {
  const rest = parseRate(balance);
  const typed = parseRate(row.values[item] ?? '') ?? ZERO_RATE;
  return rest === null || rest.n <= 0 || !hasColumn(item) ? null : showRate(plus(typed, rest));
}

interface Props {
  readonly row: SheetRow;
  /** Types the hours of a column; left out, the payroll is closed. */
  readonly onType?: (column: string, hours: string) => void;
}

/** What the hours of a check do to the person's leave, as they are typed; what is left may be paid out, as with a final pay. */
export function LeaveBalances({ row, onType }: Props): ReactNode {
  const moves = row.check.leave;
  if (moves.length === 0 || !row.isPaid) return null;
  const isPayable = onType !== undefined && moves.some(({ item, balance }) => withRest(row, item, balance) !== null);
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
            ...(isPayable ? [''] : []),
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
              {isPayable && (
                <td>
                  <PayOut row={row} item={item} balance={balance} onType={onType} />
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function PayOut({
  row,
  item,
  balance,
  onType,
}: Required<Props> & { readonly item: string; readonly balance: string }): ReactNode {
  const hours = withRest(row, item, balance);
  if (hours === null) return null;
  // Hours are paid at a rate; a salary has none until somebody types it.
  if ((row.values['rate'] ?? '') === '') return <span className="sub">type a rate to pay it out</span>;
  return (
    <button type="button" className="plain" onClick={() => onType(item, hours)}>
      pay out {balance} hours<span className="unseen"> of {(WORDS[item] ?? item).toLowerCase()} leave</span>
    </button>
  );
}
