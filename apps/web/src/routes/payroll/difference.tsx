import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { findItem } from '@zakat/core/items/registry';
import { cents, showDollars, subtract } from '@zakat/core/money/cents';
import type { Schemas } from '../../api/client.js';
import { payrollQuery, sessionQuery } from '../../api/resources.js';
import { differenceQuery, usePayDifference } from '../../api/voids.js';
import { DateField } from '../../kit/date-field.js';
import { Day } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { Waiting } from '../../kit/waiting.js';

type Earning = Schemas['EntryEarning'];
type Person = Schemas['PayrollView']['persons'][number];

/** A line as it was typed, and its hours, rate or amount as it should have been. */
function Line({ line, onChange }: { readonly line: Earning; readonly onChange: (line: Earning) => void }): ReactNode {
  const label = findItem(line.item)?.label ?? line.item;
  const field = (name: 'hours' | 'rate' | 'amount', words: string): ReactNode =>
    line[name] === undefined ? null : (
      <TextInput
        aria-label={`${words}, ${label}`}
        size="xs"
        w={110}
        maxLength={14}
        value={line[name]}
        onChange={(event) => onChange({ ...line, [name]: event.currentTarget.value })}
      />
    );
  return (
    <tr>
      <td>
        {label}
        {line.job === undefined ? '' : `, ${line.job}`}
      </td>
      <td>{field('hours', 'Hours')}</td>
      <td>{field('rate', 'Rate')}</td>
      <td>{field('amount', 'Amount')}</td>
    </tr>
  );
}

function Compared({ rows }: { readonly rows: readonly Schemas['CheckDifferenceRow'][] }): ReactNode {
  return (
    <table className="ruled" style={{ marginTop: 18 }}>
      <ListHead columns={['', { number: 'Paid' }, { number: 'Should have been' }, { number: 'Difference' }]} />
      <tbody>
        {rows.map((row) => {
          const by = subtract(cents(row.should), cents(row.posted));
          const isSum = row.label === 'Gross pay' || row.label === 'Net pay';
          return (
            <tr key={`${row.kind} ${row.label}`}>
              <td>{isSum ? <b>{row.label}</b> : row.label}</td>
              <td className="num">
                <Figure amount={row.posted} />
              </td>
              <td className="num">
                <Figure amount={row.should} isPencil />
              </td>
              <td className="num">{by === 0 ? '' : `${by > 0 ? '+' : ''}${showDollars(by)}`}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** What the check should have come to, and the payroll that pays what is missing. */
function Difference({ payrollId, person }: { readonly payrollId: string; readonly person: Person }): ReactNode {
  const navigate = useNavigate();
  const { data: session } = useQuery(sessionQuery);
  const [lines, setLines] = useState<readonly Earning[]>(person.earnings);
  const [checkDate, setCheckDate] = useState('');
  const paycheckId = person.paycheck.id ?? '';
  const query = useQuery(differenceQuery(payrollId, paycheckId, lines));
  const pay = usePayDifference(payrollId);
  const day = checkDate || (session?.today ?? '');
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    pay.mutate(
      { paycheckId, earnings: [...lines], checkDate: day },
      { onSuccess: ({ id }) => void navigate(`/payrolls/${id}`) },
    );
  };
  const { data } = query;
  return (
    <form onSubmit={submit}>
      <table className="ruled" style={{ maxWidth: 640 }}>
        <ListHead columns={[`Should have been, ${person.name}`, 'Hours', 'Rate', 'Amount']} />
        <tbody>
          {lines.map((line, index) => (
            <Line
              key={`${index} ${line.item}`}
              line={line}
              onChange={(changed) => setLines(lines.map((one, at) => (at === index ? changed : one)))}
            />
          ))}
        </tbody>
      </table>
      <RefusedNote error={query.error} />
      {data?.problems.map((words) => (
        <p key={words} className="problem" role="status">
          {words}
        </p>
      ))}
      {data && data.rows.length > 0 && <Compared rows={data.rows} />}
      {data?.isOverpaid && (
        <p className="problem" data-severity="warning">
          Less was owed than was paid.{' '}
          <Link to={`/payrolls/${payrollId}/void?checks=${paycheckId}`}>Void the check</Link> and pay it again with the
          right amounts, less what {person.name} kept; of an earlier year, record there what is given back.
        </p>
      )}
      {data && data.lines.length > 0 && (
        <>
          <p className="note">
            The difference is wages of the day it is paid: its taxes are worked out then, with the year to date of then.
          </p>
          <div className="actions" style={{ alignItems: 'flex-end' }}>
            <DateField label="Check date" value={day} onChange={setCheckDate} />
            <Button type="submit" loading={pay.isPending}>
              Pay the difference off-cycle
            </Button>
          </div>
        </>
      )}
      <RefusedNote error={pay.error} />
    </form>
  );
}

/** A posted check that paid too little: typed as it should have been, compared, and the rest paid in a payroll of its own. */
export function DifferencePage(): ReactNode {
  const { payrollId = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const payroll = useQuery(payrollQuery(payrollId));
  return (
    <Waiting query={payroll}>
      {(data) => {
        const paid = data.persons.filter(({ paycheck }) => paycheck.id !== null && paycheck.voidedBy === undefined);
        const person = paid.find(({ paycheck }) => paycheck.id === search.get('check'));
        return (
          <>
            <p className="sub">
              <Link to={`/clients/${data.clientId}/payrolls`}>{data.clientName}</Link>, EIN ending {data.einTail}
            </p>
            <div className="lead">
              <h1>
                Correct a check of <Day day={data.checkDate} />
              </h1>
              <p className="beside">
                <Link to={`/payrolls/${payrollId}`}>back to the payroll</Link>
              </p>
            </div>
            <p className="note">
              What was posted stands. Type what the check should have been: what is missing is paid in an off-cycle
              payroll.
            </p>
            <div className="actions" role="group" aria-label="Employee">
              {paid.map(({ name, paycheck }) => (
                <button
                  key={paycheck.id}
                  type="button"
                  className="plain"
                  aria-pressed={paycheck.id === person?.paycheck.id}
                  onClick={() => setSearch({ check: paycheck.id ?? '' }, { replace: true })}
                >
                  {paycheck.id === person?.paycheck.id ? <b>{name}</b> : name}
                </button>
              ))}
            </div>
            {person && <Difference key={person.paycheck.id} payrollId={payrollId} person={person} />}
          </>
        );
      }}
    </Waiting>
  );
}
