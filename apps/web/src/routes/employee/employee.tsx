import { useQuery } from '@tanstack/react-query';
import { parseDate } from '@zakat/core/calendar/local-date';
import type { ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { employeeQuery, useReveal, useSaveEmployee } from '../../api/resources.js';
import { Day } from '../../kit/day.js';
import { LifeLine } from '../../kit/life-line.js';
import { Waiting } from '../../kit/waiting.js';
import { IdentityForm, type IdentityField } from '../identity-form.js';

const KINDS: Readonly<Record<string, string>> = {
  pay: 'Pay',
  'federal-certificate': 'Form W-4',
  'state-certificate': 'State certificate',
  place: 'Place',
};
const FIELDS: readonly IdentityField[] = [
  { name: 'firstName', label: 'First name', max: 15 },
  { name: 'middleName', label: 'Middle name', max: 15 },
  { name: 'lastName', label: 'Last name', max: 20 },
  { name: 'suffix', label: 'Suffix', max: 4 },
  { name: 'ssn', label: 'Social security number', max: 11, help: 'Leave blank to keep the one on file' },
  { name: 'street', label: 'Street', max: 22 },
  { name: 'city', label: 'City', max: 22 },
  { name: 'state', label: 'State', max: 2 },
  { name: 'zip', label: 'ZIP', max: 5 },
];

function Facts({ person }: { readonly person: Schemas['EmployeeView'] }): ReactNode {
  const [, setSearch] = useSearchParams();
  const on = parseDate(person.on);
  return (
    <section className="section">
      <h2>
        <span>
          On <Day day={person.on} />
        </span>{' '}
        <small>what a check of that day is computed with</small>
      </h2>
      {on && (
        <LifeLine
          marks={person.facts.map((fact) => ({ day: fact.from, label: KINDS[fact.kind] ?? fact.kind }))}
          on={on}
          onPick={(day) => setSearch({ on: day })}
        />
      )}
      <table className="ruled">
        <thead>
          <tr>
            <th scope="col">Fact</th>
            <th scope="col">In words</th>
            <th scope="col">From</th>
            <th scope="col">Stands</th>
          </tr>
        </thead>
        <tbody>
          {person.facts.map((fact, index) => (
            <tr key={index} style={fact.isInForce ? {} : { color: 'var(--pencil)' }}>
              <td>{KINDS[fact.kind] ?? fact.kind}</td>
              <td>{fact.sentence}</td>
              <td>{fact.from}</td>
              <td>{fact.isInForce ? 'in force' : fact.from > person.on ? 'still to come' : 'replaced'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

export function EmployeePage(): ReactNode {
  const { employeeId = '' } = useParams();
  const [search] = useSearchParams();
  const person = useQuery(employeeQuery(employeeId, search.get('on') ?? ''));
  const save = useSaveEmployee(employeeId);
  const reveal = useReveal(employeeId);
  return (
    <Waiting query={person}>
      {(data) => (
        <>
          <p className="sub">
            <Link to={`/clients/${data.clientId}/people`}>{data.clientName}</Link>
          </p>
          <div className="lead">
            <h1>
              {[data.firstName, data.middleName, data.lastName, data.suffix].filter((part) => part !== '').join(' ')}
            </h1>
            <p className="beside">
              Number {data.number} · SSN {reveal.data ? reveal.data.ssn : `ending ${data.ssnTail}`}{' '}
              {!reveal.data && (
                <button type="button" className="plain" onClick={() => reveal.mutate()}>
                  show it (recorded)
                </button>
              )}
              <br />
              hired {data.hiredOn}
              {data.isRetirementPlan ? ', in the retirement plan' : ''}
            </p>
          </div>
          <Facts person={data} />
          <section className="section">
            <h2>
              Identity <small>as on the social security card; the wage file carries it</small>
            </h2>
            <IdentityForm
              key={data.version}
              fields={FIELDS}
              values={{
                ...Object.fromEntries(
                  FIELDS.map((field) => [
                    field.name,
                    field.name === 'ssn' ? '' : String(data[field.name as keyof typeof data]),
                  ]),
                ),
              }}
              isSaving={save.isPending}
              error={save.error}
              onSave={(given, done) =>
                save.mutate(
                  { ...(given as Omit<Schemas['UpdateEmployeeIdentity'], 'version'>), version: data.version },
                  { onSuccess: done },
                )
              }
            />
          </section>
        </>
      )}
    </Waiting>
  );
}
