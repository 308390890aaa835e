import { cents, showDollars } from '@zakat/core/money/cents';
import { Fragment, useRef, type ReactNode } from 'react';
import { useHotkeys } from '@mantine/hooks';
import { Figure } from './figure.js';
import { useWorking, type Working } from './working.js';

export interface TieRow {
  readonly key: string;
  readonly label: string;
  /** A part of the row before it. */
  readonly isShare?: boolean;
  readonly stations: Readonly<Record<string, unknown>>;
  readonly differences: readonly {
    readonly from: string;
    readonly to: string;
    readonly amount: number;
    readonly cause: string;
    readonly says: string;
  }[];
  /** Still to be deposited, and not due yet or in process. */
  readonly pending?: { readonly amount: number; readonly says: string } | null;
}
export const STATION_LABELS: readonly (readonly [key: string, label: string])[] = [
  ['register', 'Register'],
  ['ledger', 'Ledger'],
  ['deposits', 'Deposits'],
  ['returns', 'Returns'],
  ['wage-statements', 'W-2s'],
];
const CAUSES: Readonly<Record<string, string>> = { rounding: 'rounding', void: 'void', 'to-fix': 'to fix' };
const signed = (amount: number): string => (amount > 0 ? `+${showDollars(cents(amount))}` : showDollars(cents(amount)));
const valueOf = (row: TieRow, station: string): number | null =>
  typeof row.stations[station] === 'number' ? row.stations[station] : null;

interface Props {
  readonly rows: readonly TieRow[];
  readonly cellWorking: (row: TieRow, station: string) => Working;
}

function Join({ row, from, to }: { readonly row: TieRow; readonly from: string; readonly to: string }): ReactNode {
  const { show } = useWorking();
  const difference = row.differences.find((candidate) => candidate.to === to);
  if (difference) {
    const working: Working = {
      title: `${row.label}: ${signed(difference.amount)}`,
      lines: [
        {
          label: `${STATION_LABELS.find(([key]) => key === difference.from)?.[1] ?? ''}`,
          value: showDollars(cents(valueOf(row, difference.from) ?? 0)),
        },
        {
          label: `${STATION_LABELS.find(([key]) => key === difference.to)?.[1] ?? ''}`,
          value: showDollars(cents(valueOf(row, difference.to) ?? 0)),
        },
        {
          label: 'Difference',
          value: signed(difference.amount),
          how: `${CAUSES[difference.cause] ?? ''}: ${difference.says}`,
          isResult: true,
        },
      ],
    };
    return (
      <button
        type="button"
        className="break"
        data-cause={difference.cause}
        data-break
        onFocus={() => show(working)}
        onClick={() => show(working, true)}
      >
        <b>{signed(difference.amount)}</b>
        <span>{difference.cause === 'rounding' ? CAUSES[difference.cause] : difference.says}</span>
      </button>
    );
  }
  if (row.pending && to === 'deposits')
    return (
      <span className="pending">
        <i>{showDollars(cents(row.pending.amount))}</i>
        <span>{row.pending.says}</span>
      </span>
    );
  if (valueOf(row, from) !== null && valueOf(row, to) !== null)
    return <span className="line" role="img" aria-label="agree" />;
  return <span className="far" aria-hidden="true" />;
}

/** Rows are taxes, columns the five stations; agreeing neighbours are joined by a line, a difference breaks it. */
export function TieOutSheet({ rows, cellWorking }: Props): ReactNode {
  const table = useRef<HTMLTableElement>(null);
  const nextDifference = (): void => {
    const breaks = [...(table.current?.querySelectorAll<HTMLElement>('[data-break]') ?? [])];
    const at = breaks.indexOf(document.activeElement as HTMLElement);
    breaks[(at + 1) % breaks.length]?.focus();
  };
  useHotkeys([['n', nextDifference]]);
  return (
    <div className="scroll">
      <table className="tie" ref={table}>
        <thead>
          <tr>
            <th scope="col">Tax</th>
            {STATION_LABELS.map(([key, label], index) => (
              <Fragment key={key}>
                {index > 0 && <th aria-hidden="true" />}
                <th scope="col">{label}</th>
              </Fragment>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.key} data-part={row.isShare || undefined}>
              <td>{row.label}</td>
              {STATION_LABELS.map(([key, label], index) => {
                const before = STATION_LABELS[index - 1];
                const amount = valueOf(row, key);
                return (
                  <Fragment key={key}>
                    {before && (
                      <td className="join">
                        <Join row={row} from={before[0]} to={key} />
                      </td>
                    )}
                    <td>
                      {amount === null ? null : (
                        <Figure
                          amount={amount}
                          label={`${row.label}, ${label}`}
                          working={() => cellWorking(row, key)}
                        />
                      )}
                    </td>
                  </Fragment>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
