import { useQuery } from '@tanstack/react-query';
import { cents, showDollars } from '@zakat/core/money/cents';
import type { ReactNode } from 'react';
import { tieOutQuery } from '../../api/resources.js';
import { STATION_LABELS, TieOutSheet, type TieRow } from '../../kit/tie-out-sheet.js';
import { Waiting } from '../../kit/waiting.js';
import type { Working } from '../../kit/working.js';
import { useClient } from './client-frame.js';
import { PeriodPicker, periodLabel, usePeriod, type Period } from './period.js';

const MEANING: Readonly<Record<string, string>> = {
  register: 'the tax computed on every posted paycheck',
  ledger: 'the liabilities written when payrolls were posted',
  deposits: 'payments that have settled',
  returns: 'the return as checked or released',
  'wage-statements': 'the W-2s of the year',
};
const STATION_OF: Readonly<Record<string, string>> = {
  register: 'liabilities',
  ledger: 'liabilities',
  deposits: 'payments',
};

function summary(rows: readonly TieRow[]): string {
  const all = rows.flatMap((row) => row.differences);
  if (rows.length === 0) return 'Nothing was posted in this period.';
  const toFix = all.filter((difference) => difference.cause === 'to-fix').length;
  const isReturned = rows.some((row) => typeof row.stations['returns'] === 'number');
  if (all.length === 0)
    return isReturned
      ? 'Everything agrees to the cent.'
      : 'Everything so far agrees to the cent; there is no return yet.';
  if (toFix === 0) return `${all.length} differences, all explained.`;
  return `${toFix} of ${all.length} differences must be looked at; the key n goes from one to the next.`;
}

/** A client's front page: register, ledger, deposits, returns and W-2s, compared all the time. */
export function TieOutPage(): ReactNode {
  const client = useClient();
  const period = usePeriod();
  if (!period) return null;
  return <TieOutOf clientId={client.id} period={period} />;
}

function TieOutOf({ clientId, period }: { readonly clientId: string; readonly period: Period }): ReactNode {
  const tieOut = useQuery(tieOutQuery(clientId, period.year, period.quarter));
  const cellWorking = (row: TieRow, station: string): Working => {
    const amount = row.stations[station];
    const of = STATION_OF[station];
    const query = new URLSearchParams({
      year: String(period.year),
      ...(period.quarter ? { quarter: period.quarter } : {}),
      group: row.key,
      ...(of ? { of } : {}),
    });
    return {
      title: `${row.label}, ${STATION_LABELS.find(([key]) => key === station)?.[1] ?? ''}`,
      lines: [
        {
          label: periodLabel(period),
          value: typeof amount === 'number' ? showDollars(cents(amount)) : '',
          how: MEANING[station] ?? '',
          isResult: true,
        },
      ],
      link:
        station === 'returns' || station === 'wage-statements'
          ? { to: `/clients/${clientId}/returns`, label: 'Open the returns' }
          : { to: `/clients/${clientId}/ledger?${query.toString()}`, label: 'Open the entries that make it' },
    };
  };
  return (
    <>
      <PeriodPicker period={period} />
      <Waiting query={tieOut}>
        {(data) => (
          <>
            <h2>Tie-out, {periodLabel(period)}</h2>
            <p className="sub">{summary(data.rows)}</p>
            {data.rows.length === 0 ? (
              <p className="empty">Post a payroll and its taxes appear here.</p>
            ) : (
              <TieOutSheet rows={data.rows} cellWorking={cellWorking} />
            )}
          </>
        )}
      </Waiting>
    </>
  );
}
