import { Button, NativeSelect } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQuery } from '@tanstack/react-query';
import { parseDate } from '@zakat/core/calendar/local-date';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { nextPayrollQuery, payrollsQuery, sessionQuery, useCreatePayroll } from '../../api/resources.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { useClient } from './client-frame.js';
import { PayCalendar } from './pay-calendar.js';
import { Day, shortDay } from '../../kit/day.js';
import { DateField } from '../../kit/date-field.js';

const isDay = (value: string): string | null =>
  parseDate(value) ? null : 'Type month, day and year, like 10/30/2026.';

function NewPayroll({
  clientId,
  suggestion,
}: {
  readonly clientId: string;
  readonly suggestion: Schemas['PayrollSuggestion'];
}): ReactNode {
  const create = useCreatePayroll(clientId);
  const navigate = useNavigate();
  const form = useForm({
    initialValues: {
      periodStart: suggestion.periodStart,
      periodEnd: suggestion.periodEnd,
      checkDate: suggestion.checkDate,
      kind: 'regular' as Schemas['CreatePayroll']['kind'],
    },
    validate: { periodStart: isDay, periodEnd: isDay, checkDate: isDay },
  });
  const day = (name: 'periodStart' | 'periodEnd' | 'checkDate') => ({
    value: form.values[name],
    error: form.errors[name],
    onChange: (value: string) => form.setFieldValue(name, value),
  });
  return (
    <form
      onSubmit={form.onSubmit((values) =>
        create.mutate(values, { onSuccess: ({ id }) => void navigate(`/payrolls/${id}`) }),
      )}
    >
      <p className="note">{suggestion.why}</p>
      <div className="actions" style={{ alignItems: 'flex-start' }}>
        <DateField label="Period from" w={140} {...day('periodStart')} />
        <DateField label="to" w={140} {...day('periodEnd')} />
        <DateField label="Check date" w={140} {...day('checkDate')} />
        <NativeSelect
          label="Payroll type"
          data={[
            { value: 'regular', label: 'regular' },
            { value: 'extra', label: 'off-cycle' },
            { value: 'recorded', label: 'already paid elsewhere' },
          ]}
          {...form.getInputProps('kind')}
        />
        <Button type="submit" loading={create.isPending} mt={22}>
          Start the payroll
        </Button>
      </div>
      <RefusedNote error={create.error} />
    </form>
  );
}

export function PayrollsPage(): ReactNode {
  const client = useClient();
  const navigate = useNavigate();
  const payrolls = useQuery(payrollsQuery(client.id));
  const next = useQuery(nextPayrollQuery(client.id));
  const { data: session } = useQuery(sessionQuery);
  return (
    <>
      <section className="section" style={{ marginTop: 0 }}>
        <h2>Start a payroll</h2>
        <Waiting query={next}>
          {(suggestion) => <NewPayroll key={suggestion.periodEnd} clientId={client.id} suggestion={suggestion} />}
        </Waiting>
      </section>
      <section className="section">
        <h2>Payrolls</h2>
        <Waiting query={payrolls}>
          {(rows) =>
            rows.length === 0 ? (
              <p className="empty">
                No payroll yet. The first is started above; each stands here with its check date and status.
              </p>
            ) : (
              <table className="ruled">
                <thead>
                  <tr>
                    <th scope="col">Check date</th>
                    <th scope="col">Period</th>
                    <th scope="col">Kind</th>
                    <th scope="col">Status</th>
                    <th scope="col" className="num">
                      Employees
                    </th>
                    <th scope="col" className="num">
                      Gross
                    </th>
                    <th scope="col" className="num">
                      Net
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {rows.map((row) => (
                    <tr key={row.id} className="go" onClick={() => void navigate(`/payrolls/${row.id}`)}>
                      <td>
                        <Link to={`/payrolls/${row.id}`}>
                          <Day day={row.checkDate} />
                        </Link>
                      </td>
                      <td>
                        {shortDay(row.periodStart)} to {shortDay(row.periodEnd)}
                      </td>
                      <td>{row.kind}</td>
                      <td>
                        <Status word={row.status} />
                      </td>
                      <td className="num">{row.status === 'posted' ? row.people : ''}</td>
                      <td className="num">{row.status === 'posted' && <Figure amount={row.gross} />}</td>
                      <td className="num">{row.status === 'posted' && <Figure amount={row.net} />}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )
          }
        </Waiting>
      </section>
      {session && (
        <PayCalendar client={client} payrolls={payrolls.data ?? []} year={Number(session.today.slice(0, 4))} />
      )}
    </>
  );
}
