import { Button, NativeSelect } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQuery } from '@tanstack/react-query';
import { parseDate } from '@zakat/core/calendar/local-date';
import type { ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { nextPayrollQuery, payrollsQuery, sessionQuery, useCreatePayroll } from '../../api/resources.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { WORK } from '../../kit/arrival.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { useClient } from './client-frame.js';
import { PayCalendar } from './pay-calendar.js';
import { Day, shortDay } from '../../kit/day.js';
import { DateField } from '../../kit/date-field.js';
import { ListHead } from '../../kit/list-head.js';
import { useSoon } from '../../kit/use-soon.js';

const KINDS: Readonly<Record<Schemas['PayrollRow']['kind'], string>> = {
  regular: 'regular',
  extra: 'off-cycle',
  recorded: 'paid elsewhere',
  'brought-in': 'prior payroll',
  void: 'reversal',
};

const isDay = (value: string): string | null =>
  parseDate(value) ? null : 'Type month, day and year, like 10/30/2026.';

type Proposed = Schemas['PayrollSuggestion'] & {
  readonly kind: Schemas['CreatePayroll']['kind'];
  /** The payroll whose lines are typed again. */
  readonly copyOf?: string;
};

function NewPayroll({ clientId, suggestion }: { readonly clientId: string; readonly suggestion: Proposed }): ReactNode {
  const create = useCreatePayroll(clientId);
  const navigate = useNavigate();
  const form = useForm({
    initialValues: {
      periodStart: suggestion.periodStart,
      periodEnd: suggestion.periodEnd,
      checkDate: suggestion.checkDate,
      kind: suggestion.kind,
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
        create.mutate(
          {
            ...values,
            schedule: suggestion.schedule,
            ...(suggestion.copyOf === undefined ? {} : { copyOf: suggestion.copyOf }),
          },
          {
            onSuccess: ({ id }) => void navigate(`/payrolls/${id}`),
          },
        ),
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
        <Button type="submit" loading={create.isPending} mt={22} {...WORK}>
          Start the payroll
        </Button>
      </div>
      <RefusedNote error={create.error} />
    </form>
  );
}

/** A payroll with the lines of another: of a void one in its place, else besides it. */
const sameAgain = (row: Schemas['PayrollRow']): Proposed => ({
  periodStart: row.periodStart,
  periodEnd: row.periodEnd,
  checkDate: row.checkDate,
  kind: row.isVoid && row.kind === 'regular' ? 'regular' : 'extra',
  copyOf: row.id,
  schedule: row.schedule,
  schedules: [],
  why: `The lines of the payroll of ${shortDay(row.checkDate)} again: whom it paid and what they got.`,
});

const payrollPage = () => import('../payroll/payroll.js');
export function PayrollsPage(): ReactNode {
  useSoon(payrollPage);
  const client = useClient();
  const navigate = useNavigate();
  const payrolls = useQuery(payrollsQuery(client.id));
  const [search, setSearch] = useSearchParams();
  const schedule = search.get('schedule') ?? '';
  const next = useQuery(nextPayrollQuery(client.id, schedule));
  const { data: session } = useQuery(sessionQuery);
  const again = payrolls.data?.find((row) => row.id === search.get('again'));
  return (
    <>
      <section className="section" style={{ marginTop: 0 }}>
        <h2>
          Start a payroll{' '}
          {next.data && next.data.schedules.length > 1 && (
            <small>
              {next.data.schedules.map((name, index) => (
                <button
                  key={name}
                  type="button"
                  className="plain"
                  aria-pressed={name === schedule}
                  style={{
                    ...(index > 0 ? { marginLeft: 10 } : {}),
                    ...(name === schedule ? { color: 'var(--ink)', textDecoration: 'none', fontWeight: 600 } : {}),
                  }}
                  onClick={() => setSearch(name === '' ? {} : { schedule: name }, { replace: true })}
                >
                  {name === '' ? 'main schedule' : name}
                </button>
              ))}
            </small>
          )}
        </h2>
        <Waiting query={next}>
          {(suggestion) => {
            const proposed = again ? sameAgain(again) : { ...suggestion, kind: 'regular' as const };
            return (
              <NewPayroll
                key={`${proposed.schedule} ${proposed.periodEnd} ${again?.id ?? ''}`}
                clientId={client.id}
                suggestion={proposed}
              />
            );
          }}
        </Waiting>
      </section>
      <section className="section">
        <h2>
          Payrolls{' '}
          <small>
            <Link to={`/clients/${client.id}/recomputed`}>worked out again</Link>{' '}
            <Link to={`/clients/${client.id}/checks`} style={{ marginLeft: 10 }}>
              check register
            </Link>
          </small>
        </h2>
        <Waiting query={payrolls}>
          {(rows) =>
            rows.length === 0 ? (
              <p className="empty">
                No payroll yet. The first is started above; each stands here with its check date and status.
              </p>
            ) : (
              <table className="ruled">
                <ListHead
                  columns={[
                    'Check date',
                    'Period',
                    'Kind',
                    'Status',
                    { number: 'Employees' },
                    { number: 'Gross' },
                    { number: 'Net' },
                  ]}
                />
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
                      <td>
                        {KINDS[row.kind]}
                        {row.schedule !== '' && `, ${row.schedule}`}
                        {row.part !== '' && `, ${row.part}`}
                      </td>
                      <td>
                        <Status word={row.isVoid ? 'void' : row.status} />
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
        <PayCalendar
          client={client}
          payrolls={payrolls.data ?? []}
          named={schedule}
          year={Number(session.today.slice(0, 4))}
        />
      )}
    </>
  );
}
