import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { useForeseeChanges, useMakeChanges } from '../../api/set-up.js';
import { groupsOf } from '../../calc/for-many.js';
import { DateField } from '../../kit/date-field.js';
import { shortDay } from '../../kit/day.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { itemChoices } from '../fact-forms/item-choices.js';

type Change = Schemas['ChangeForMany'];
type Row = Schemas['ForeseenChange'];

/** A number as it is typed, without its signs. */
const plain = (typed: string): string => typed.replace(/[$,%\s]/g, '');
/** What may be changed, in the words of the list; each with the change it makes of what is typed. */
const SORTS: readonly (readonly [value: string, label: string, make: (typed: string, item: string) => Change])[] = [
  [
    'pay percent',
    'raise the rate or salary by percent',
    (typed) => ({ is: 'pay', by: 'percent', value: plain(typed) }),
  ],
  [
    'pay amount',
    'raise the rate or salary by an amount',
    (typed) => ({ is: 'pay', by: 'amount', value: plain(typed) }),
  ],
  ['pay to', 'set the rate or salary to', (typed) => ({ is: 'pay', by: 'to', value: plain(typed) })],
  ['work department', 'put into the department', (value) => ({ is: 'work', field: 'department', value })],
  ['work location', 'put into the location', (value) => ({ is: 'work', field: 'location', value })],
  ['work costCentre', 'put into the cost center', (value) => ({ is: 'work', field: 'costCentre', value })],
  ['work schedule', 'pay by the schedule named', (value) => ({ is: 'work', field: 'schedule', value })],
  ['standing amount', 'each check, an amount of', (typed, item) => ({ is: 'standing', item, amount: plain(typed) })],
  [
    'standing percent',
    'each check, a percentage of gross as',
    (typed, item) => ({ is: 'standing', item, percent: plain(typed) }),
  ],
];

function Rows({
  rows,
  from,
  left,
  onLeave,
}: {
  readonly rows: readonly Row[];
  readonly from: string;
  readonly left: ReadonlySet<string>;
  readonly onLeave: (employeeId: string, isLeft: boolean) => void;
}): ReactNode {
  return (
    <table className="ruled">
      <ListHead columns={['', 'Employee', 'Stands', `From ${shortDay(from)}`]} />
      <tbody>
        {rows.map((row) => (
          <tr key={row.employeeId}>
            <td style={{ width: 34 }}>
              <Checkbox
                aria-label={`Change it for ${row.name}`}
                disabled={row.why !== ''}
                checked={row.why === '' && !left.has(row.employeeId)}
                onChange={(event) => onLeave(row.employeeId, !event.currentTarget.checked)}
              />
            </td>
            <td>
              {row.number} <Link to={`/employees/${row.employeeId}`}>{row.name}</Link>
            </td>
            <td>{row.was === '' ? <span className="soft">none</span> : row.was}</td>
            <td>{row.why === '' ? <b>{row.will}</b> : <span className="soft">{row.why}</span>}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** One change of the records of many people from a day on: every row shown before it counts, then all of them or nobody. */
export function ChangeForManyForm({
  clientId,
  own,
  today,
  onClose,
}: {
  readonly clientId: string;
  /** The client's own pay items: code and label. */
  readonly own: readonly (readonly [string, string])[];
  readonly today: string;
  readonly onClose: () => void;
}): ReactNode {
  const foresee = useForeseeChanges(clientId);
  const make = useMakeChanges(clientId);
  const [sort, setSort] = useState('pay percent');
  const [item, setItem] = useState('union-dues');
  const [typed, setTyped] = useState('');
  const [from, setFrom] = useState(today);
  const [who, setWho] = useState('');
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const change = SORTS.find(([value]) => value === sort)?.[2](typed.trim(), item) ?? { is: 'pay' };
  const asked = { change, from };
  const seen = foresee.data;
  const isSeen = foresee.variables !== undefined && JSON.stringify(foresee.variables) === JSON.stringify(asked);
  const groups = groupsOf(seen ?? []);
  const group = groups.find((one) => `${one.sort} ${one.name}` === who);
  const rows = (seen ?? []).filter((row) => !group || row[group.sort] === group.name);
  const chosen = rows.filter(({ employeeId, why }) => why === '' && !left.has(employeeId));
  const show = (event: FormEvent): void => {
    event.preventDefault();
    make.reset();
    foresee.mutate(asked);
  };
  return (
    <section className="section" aria-label="A change for many">
      <h2>
        A change for many <small>from a day on; nothing is recorded before every row was shown</small>
      </h2>
      <form className="actions" style={{ alignItems: 'flex-end' }} onSubmit={show}>
        <NativeSelect
          label="Change"
          value={sort}
          onChange={(event) => setSort(event.currentTarget.value)}
          data={SORTS.map(([value, label]) => ({ value, label }))}
        />
        {change.is === 'standing' && (
          <NativeSelect
            label="Pay item"
            value={item}
            onChange={(event) => setItem(event.currentTarget.value)}
            data={itemChoices(['earning', 'deduction', 'employer'], own).map(([value, label]) => ({ value, label }))}
          />
        )}
        <TextInput
          label={change.is === 'work' ? 'Name' : sort.endsWith('percent') ? 'Percent' : 'Amount'}
          w={140}
          autoFocus
          maxLength={40}
          value={typed}
          onChange={(event) => setTyped(event.currentTarget.value)}
        />
        <DateField label="From" w={140} value={from} onChange={setFrom} />
        <Button type="submit" variant="outline" loading={foresee.isPending}>
          Show every row
        </Button>
        <button type="button" className="plain" onClick={onClose}>
          close
        </button>
      </form>
      <RefusedNote error={foresee.error} />
      {seen && isSeen && (
        <>
          {groups.length > 0 && (
            <NativeSelect
              aria-label="Of"
              w={260}
              value={who}
              onChange={(event) => setWho(event.currentTarget.value)}
              data={[
                { value: '', label: 'everybody' },
                ...groups.map((one) => ({ value: `${one.sort} ${one.name}`, label: `${one.word} ${one.name}` })),
              ]}
            />
          )}
          <Rows
            rows={rows}
            from={from}
            left={left}
            onLeave={(employeeId, isLeft) => {
              const next = new Set(left);
              if (isLeft) next.add(employeeId);
              else next.delete(employeeId);
              setLeft(next);
            }}
          />
          <div className="actions">
            <Button
              disabled={chosen.length === 0 || make.isSuccess}
              loading={make.isPending}
              onClick={() =>
                make.mutate({ ...asked, people: chosen.map(({ employeeId, was }) => ({ employeeId, was })) })
              }
            >
              Record it for {chosen.length === 1 ? 'one employee' : `${chosen.length} employees`}
            </Button>
            {make.isSuccess && (
              <span role="status">
                Recorded for {make.variables.people.length}; each stands in the employee’s record and in the audit
                trail.
              </span>
            )}
          </div>
          <RefusedNote error={make.error} />
        </>
      )}
    </section>
  );
}
