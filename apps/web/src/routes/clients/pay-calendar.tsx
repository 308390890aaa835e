import { text } from '@zakat/core/facts/fact-kind';
import { payCalendar, scheduleOf } from '@zakat/core/facts/schedule';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { Status } from '../../kit/status.js';
import { Day, ShortDay, shortDay } from '../../kit/day.js';
import { ListHead } from '../../kit/list-head.js';

interface Props {
  readonly client: Schemas['ClientView'];
  readonly payrolls: readonly Schemas['PayrollRow'][];
  /** The name of the pay schedule; blank for the main one. */
  readonly named: string;
  /** The year that is shown first. */
  readonly year: number;
}

/** Every check date of a year by the pay schedule in force, with what moved it and the payroll that was made of it. */
export function PayCalendar({ client, payrolls, named, year }: Props): ReactNode {
  const [shown, setShown] = useState(year);
  const recorded = client.facts.filter((fact) => fact.kind === 'schedule' && fact.isInForce);
  const ofName = (name: string) => recorded.find((fact) => text(fact.value, 'name') === name);
  const schedule = scheduleOf((ofName(named) ?? (named === '' ? recorded[0] : undefined))?.value ?? null);
  if (!schedule) return null;
  const dates = payCalendar(schedule, shown);
  const madeOf = (end: string): Schemas['PayrollRow'] | undefined =>
    payrolls.find(
      (payroll) =>
        payroll.schedule === named && payroll.periodEnd === end && ['regular', 'recorded'].includes(payroll.kind),
    );
  return (
    <section className="section">
      <h2>
        Pay calendar{named === '' ? '' : `, ${named}`}
        <small style={{ display: 'inline-flex', gap: 12 }}>
          {[year, year + 1].map((one) => (
            <button
              key={one}
              type="button"
              className="plain"
              aria-pressed={one === shown}
              style={one === shown ? { color: 'var(--ink)', textDecoration: 'none', fontWeight: 600 } : {}}
              onClick={() => setShown(one)}
            >
              {one}
            </button>
          ))}
        </small>
      </h2>
      <details className="columns-taken">
        <summary>
          {dates.length === 0
            ? `No check date in ${shown}`
            : `${dates.length} check dates in ${shown}, ${dates.filter((one) => one.movedFrom !== null).length} of them moved`}
        </summary>
        <table className="ruled" style={{ maxWidth: 760 }}>
          <ListHead columns={['Check date', 'Period', 'Moved from', 'Payroll']} />
          <tbody>
            {dates.map(({ start, end, checkDate, movedFrom }) => {
              const made = madeOf(end);
              return (
                <tr key={end}>
                  <td>
                    <Day day={checkDate} />
                  </td>
                  <td>
                    {shortDay(start)} to {shortDay(end)}
                  </td>
                  <td>{movedFrom !== null && <ShortDay day={movedFrom} />}</td>
                  <td>
                    {made && (
                      <Link to={`/payrolls/${made.id}`}>
                        <Status word={made.status} />
                      </Link>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </details>
    </section>
  );
}
