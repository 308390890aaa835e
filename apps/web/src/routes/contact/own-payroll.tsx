import { Button, TextInput } from '@mantine/core';
import type { FormEvent, ReactNode } from 'react';
import { useApproveOwn, useSendHours } from '../../api/contacts.js';
import type { Schemas } from '../../api/client.js';
import { Day, shortDay, shortMoment } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { useDraft } from '../fact-forms/use-draft.js';
import { ListHead } from '../../kit/list-head.js';

type Payroll = Schemas['OwnPayroll'];
type Person = Payroll['people'][number];
interface Typed {
  readonly hours: Readonly<Record<string, string>>;
  readonly note: string;
}
/** Earnings that always have a column; another has one once somebody has hours of it. */
const ALWAYS: readonly string[] = ['regular', 'overtime', 'vacation', 'sick'];

const textOf = (values: Readonly<Record<string, unknown>>, name: string): string => {
  const value = values[name];
  return typeof value === 'string' ? value : '';
};

function Heading({ payroll }: { readonly payroll: Payroll }): ReactNode {
  return (
    <h2>
      {payroll.status === 'open' ? 'Hours' : 'To approve'}
      {payroll.schedule === '' ? '' : `, ${payroll.schedule}`}, {shortDay(payroll.periodStart)} to{' '}
      {shortDay(payroll.periodEnd)}
      <small>
        checks of <Day day={payroll.checkDate} />
      </small>
    </h2>
  );
}

/** Hours and notes for the people of an open payroll; what is typed is kept here until it is sent. */
function Hours({ payroll }: { readonly payroll: Payroll }): ReactNode {
  const send = useSendHours();
  const [typed, setTyped, clear] = useDraft<Readonly<Record<string, Typed>>>(`hours.${payroll.id}`, {});
  const columns = payroll.items.filter(
    ({ name }) =>
      ALWAYS.includes(name) ||
      payroll.people.some((person) => textOf(person.standing, name) !== '' || textOf(person.sent, name) !== ''),
  );
  const of = (person: Person): Typed =>
    typed[person.employeeId] ?? { hours: person.sent as Record<string, string>, note: person.note };
  const put = (person: Person, next: Partial<Typed>): void =>
    setTyped({ ...typed, [person.employeeId]: { ...of(person), ...next } });
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const people = payroll.people.map((person) => ({ employeeId: person.employeeId, ...of(person) }));
    send.mutate({ id: payroll.id, people }, { onSuccess: () => clear() });
  };
  return (
    <form onSubmit={submit}>
      <table className="ruled">
        <thead>
          <tr>
            <th scope="col">Employee</th>
            {columns.map(({ name, label }) => (
              <th key={name} scope="col" className="num">
                {label}
              </th>
            ))}
            <th scope="col">Note</th>
          </tr>
        </thead>
        <tbody>
          {payroll.people.map((person) => (
            <tr key={person.employeeId}>
              <td>
                {person.number} {person.name}
              </td>
              {columns.map(({ name, label }) => (
                <td key={name} className="num">
                  <TextInput
                    size="xs"
                    w={84}
                    style={{ marginLeft: 'auto' }}
                    aria-label={`${label} hours of ${person.name}`}
                    placeholder={textOf(person.standing, name)}
                    value={of(person).hours[name] ?? ''}
                    onChange={(event) =>
                      put(person, { hours: { ...of(person).hours, [name]: event.currentTarget.value } })
                    }
                  />
                </td>
              ))}
              <td>
                <TextInput
                  size="xs"
                  aria-label={`Note on ${person.name}`}
                  maxLength={300}
                  value={of(person).note}
                  onChange={(event) => put(person, { note: event.currentTarget.value })}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="actions">
        <Button type="submit" loading={send.isPending}>
          {payroll.sentAt === null ? 'Send the hours' : 'Send them again'}
        </Button>
        <span className="note">
          Hours like 38.5 or 38:30; the figure in grey is what would be paid without a change.
          {payroll.sentAt !== null &&
            ` Sent ${shortMoment(payroll.sentAt)}${payroll.isTaken ? ', and in the payroll' : ''}.`}
        </span>
      </div>
      <RefusedNote error={send.error} />
    </form>
  );
}

/** The figures of a reviewed payroll, which the client approves. */
function Draft({ payroll }: { readonly payroll: Payroll }): ReactNode {
  const approve = useApproveOwn();
  return (
    <>
      <table className="ruled">
        <ListHead columns={['Employee', { number: 'Gross pay' }, { number: 'Net pay' }]} />
        <tbody>
          {payroll.people.map((person) => (
            <tr key={person.employeeId}>
              <td>
                {person.number} {person.name}
              </td>
              <td className="num">
                <Figure amount={person.gross} isPencil />
              </td>
              <td className="num">
                <Figure amount={person.net} isPencil />
              </td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <td>Totals</td>
            <td className="num">
              <Figure amount={payroll.gross} isPencil />
            </td>
            <td className="num">
              <Figure amount={payroll.net} isPencil />
            </td>
          </tr>
        </tfoot>
      </table>
      {payroll.isApproved ? (
        <p role="status">You have approved these figures. Thank you.</p>
      ) : (
        <div className="actions">
          <Button
            loading={approve.isPending}
            onClick={() => approve.mutate({ id: payroll.id, version: payroll.version })}
          >
            Approve these figures
          </Button>
        </div>
      )}
      <RefusedNote error={approve.error} />
    </>
  );
}

/** A payroll of the business that waits for its hours, or for its approval. */
export function OwnPayroll({ payroll }: { readonly payroll: Payroll }): ReactNode {
  return (
    <section className="section">
      <Heading payroll={payroll} />
      {payroll.status === 'open' ? <Hours payroll={payroll} /> : <Draft payroll={payroll} />}
    </section>
  );
}
