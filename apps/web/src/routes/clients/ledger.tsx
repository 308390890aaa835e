import { useQuery } from '@tanstack/react-query';
import { cents, showDollars } from '@zakat/core/money/cents';
import type { ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { jobCostsQuery, ledgerQuery } from '../../api/resources.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { Waiting } from '../../kit/waiting.js';
import { JobCosts } from '../payroll/job-costs.js';
import { useClient } from './client-frame.js';
import { PeriodPicker, periodLabel, usePeriod } from './period.js';
import { shortDay } from '../../kit/day.js';
import { ListHead } from '../../kit/list-head.js';

const CAUSES: Readonly<Record<string, string>> = {
  payroll: 'payroll',
  payment: 'payment settled',
  'payment-returned': 'payment returned',
  reversal: 'reversal',
};

/** The entries themselves, as they were written; nothing here can be changed. */
export function LedgerPage(): ReactNode {
  const client = useClient();
  const period = usePeriod();
  const [search] = useSearchParams();
  const group = search.get('group') ?? 'all';
  const ledger = useQuery({
    ...ledgerQuery(client.id, period?.year ?? 2026, period?.quarter ?? '', group, search.get('of') ?? ''),
    enabled: period !== null,
  });
  const costs = useQuery({
    ...jobCostsQuery(client.id, period?.year ?? 2026, period?.quarter ?? ''),
    enabled: period !== null && group === 'all',
  });
  if (!period) return null;
  const hasJobs = group === 'all' && (costs.data ?? []).length > 0;
  return (
    <>
      <PeriodPicker period={period} />
      <RefusedNote error={costs.error} />
      {hasJobs && <JobCosts costs={costs.data ?? []} />}
      <section className="section" style={hasJobs ? undefined : { marginTop: 0 }}>
        <h2>
          Ledger, {periodLabel(period)}
          {group === 'all' ? '' : `, ${group}`}
        </h2>
        {group !== 'all' && (
          <p className="sub">
            Only {search.get('of') ?? 'all entries'}.{' '}
            <Link
              to={`/clients/${client.id}/ledger?year=${period.year}${period.quarter ? `&quarter=${period.quarter}` : ''}`}
            >
              Show every tax
            </Link>
          </p>
        )}
        <Waiting query={ledger}>
          {(rows) =>
            rows.length === 0 ? (
              <p className="empty">
                No entries in this period. A posted payroll writes one line for each employee and tax.
              </p>
            ) : (
              <div className="scroll">
                <table className="ruled">
                  <ListHead
                    columns={[
                      'Liability date',
                      'Counts from',
                      'Tax',
                      'Employee',
                      'Caused by',
                      { number: 'Wages' },
                      { number: 'Amount' },
                    ]}
                  />
                  <tbody>
                    {rows.map((row) => (
                      <tr key={row.id}>
                        <td>{shortDay(row.liabilityDate)}</td>
                        <td>{shortDay(row.effectiveDate)}</td>
                        <td>{row.label}</td>
                        <td>{row.employee ?? 'all, on the total'}</td>
                        <td>
                          <Link
                            to={row.payrollId ? `/payrolls/${row.payrollId}` : `/remittances/${row.remittanceId ?? ''}`}
                          >
                            {CAUSES[row.cause] ?? row.cause}
                          </Link>
                        </td>
                        <td className="num">
                          <Figure amount={row.wages} />
                        </td>
                        <td className="num">
                          <Figure amount={row.amount} />
                        </td>
                      </tr>
                    ))}
                  </tbody>
                  <tfoot>
                    <tr>
                      <td colSpan={6}>{rows.length} entries</td>
                      <td className="num">{showDollars(cents(rows.reduce((total, row) => total + row.amount, 0)))}</td>
                    </tr>
                  </tfoot>
                </table>
              </div>
            )
          }
        </Waiting>
      </section>
    </>
  );
}
