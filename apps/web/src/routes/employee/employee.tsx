import { useQuery } from '@tanstack/react-query';
import { parseDate } from '@zakat/core/calendar/local-date';
import { EMPLOYEE_FACTS } from '@zakat/core/facts/employee-facts';
import { showDollars, cents } from '@zakat/core/money/cents';
import { useCallback, useEffect, useState, type ReactNode } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import {
  clientQuery,
  employeeQuery,
  sessionQuery,
  useRemoveEmployee,
  useReveal,
  useSaveEmployee,
} from '../../api/resources.js';
import { crossingsQuery, useAddFact } from '../../api/set-up.js';
import { LifeLine, type LifeMark } from '../../kit/life-line.js';
import { AddedByMistake } from '../../kit/added-by-mistake.js';
import { Waiting } from '../../kit/waiting.js';
import type { FormFact } from '../fact-forms/fact-form.js';
import { FactSheet } from '../fact-forms/fact-sheet.js';
import { IdentityForm, type IdentityField } from '../identity-form.js';
import { StateCertificates } from './state-certificates.js';
import { EmployeeSignInPart } from './own-sign-in.js';
import { Trial } from './trial.js';
import { ownItemChoices } from '../fact-forms/item-choices.js';
import { standingFields } from './standing-fields.js';
import { Day, sayDay } from '../../kit/day.js';

const FIELDS: readonly IdentityField[] = [
  { name: 'number', label: 'Employee no.', max: 12, help: 'May be changed; old checks keep to the person' },
  { name: 'firstName', label: 'First name', max: 15 },
  { name: 'middleName', label: 'Middle name', max: 15 },
  { name: 'lastName', label: 'Last name', max: 20 },
  { name: 'suffix', label: 'Suffix', max: 4 },
  { name: 'ssn', label: 'Social security number', max: 11, kind: 'ssn', help: 'Leave blank to keep the one on file' },
  { name: 'street', label: 'Street', max: 121, kind: 'street' },
  { name: 'city', label: 'City', max: 22 },
  { name: 'state', label: 'State', max: 2, kind: 'state' },
  { name: 'zip', label: 'ZIP or postal code', max: 15, kind: 'zip' },
  { name: 'country', label: 'Country, if abroad', max: 2, help: 'Two letters, such as CA for Canada' },
  { name: 'province', label: 'Province, if abroad', max: 23 },
  { name: 'hiredOn', label: 'Hire date', max: 20, kind: 'date' },
  { name: 'bornOn', label: 'Date of birth', max: 20, kind: 'date' },
  { name: 'kind', label: 'Worker type', max: 12, choices: ['employee', 'contractor', 'partner'] },
  { name: 'isRetirementPlan', label: 'Retirement plan (box 13)', max: 5, choices: ['no', 'yes'] },
];
const SHOWN = EMPLOYEE_FACTS.kinds.map((kind) => kind.kind).filter((kind) => kind !== 'state-certificate');

type Person = Schemas['EmployeeView'];
const valuesOf = (person: Person): Record<string, string> =>
  Object.fromEntries(
    FIELDS.map(({ name }) => {
      if (name === 'ssn') return [name, ''];
      if (name === 'isRetirementPlan') return [name, person.isRetirementPlan ? 'yes' : 'no'];
      return [name, String(person[name as keyof Person] ?? '')];
    }),
  );

function History({ person }: { readonly person: Person }): ReactNode {
  const [, setSearch] = useSearchParams();
  const crossings = useQuery(crossingsQuery(person.id));
  const on = parseDate(person.on);
  const ahead = crossings.data ?? [];
  const marks: LifeMark[] = [
    ...person.facts.map((fact) => ({ day: fact.from, label: EMPLOYEE_FACTS.find(fact.kind)?.label ?? fact.kind })),
    ...ahead.map((crossing) => ({
      day: crossing.checkDate,
      label: `${crossing.label} ${crossing.what}`,
      isAhead: true,
    })),
  ];
  return (
    <section className="section">
      <h2>
        <span>
          Timeline, <Day day={person.on} />
        </span>
        <small>what a check of that day is computed with; pick a day to see it</small>
      </h2>
      {on && <LifeLine marks={marks} on={on} onPick={(day) => setSearch({ on: day })} />}
      {ahead.length > 0 && (
        <ul className="crossings">
          {ahead.map((crossing) => (
            <li key={crossing.figure}>
              <Day day={crossing.checkDate} />: {crossing.label} {crossing.what} after{' '}
              {showDollars(cents(crossing.below))} of {showDollars(cents(crossing.subject))}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Page({ data }: { readonly data: Person }): ReactNode {
  const [search] = useSearchParams();
  const { data: session } = useQuery(sessionQuery);
  const save = useSaveEmployee(data.id);
  const reveal = useReveal(data.id);
  const add = useAddFact(data.id);
  const [considered, setConsidered] = useState<FormFact | null>(null);
  const remove = useRemoveEmployee(data.id);
  const navigate = useNavigate();
  const consider = useCallback((fact: FormFact | null) => setConsidered(fact), []);
  const record = (fact: FormFact, done: () => void): void => add.mutate(fact, { onSuccess: done });
  const { data: client } = useQuery(clientQuery(data.clientId));
  const own = ownItemChoices(client?.facts ?? []);
  const field = search.get('field');
  useEffect(() => {
    if (field) document.getElementById(`fact-${field.split(' ')[0] ?? ''}`)?.scrollIntoView({ block: 'center' });
  }, [field]);
  const isEmployee = data.kind === 'employee';
  const today = session?.today ?? data.on;
  return (
    <>
      <p className="sub">
        <Link to={`/clients/${data.clientId}/people`}>{data.clientName}</Link>
      </p>
      <div className="lead">
        <h1>{[data.firstName, data.middleName, data.lastName, data.suffix].filter((part) => part !== '').join(' ')}</h1>
        <p className="beside">
          Employee no. {data.number} · SSN{' '}
          {reveal.data ? reveal.data.ssn : data.ssnTail === '' ? 'applied for' : `ending ${data.ssnTail}`}{' '}
          {!reveal.data && (
            <button type="button" className="plain" onClick={() => reveal.mutate()}>
              show it (recorded)
            </button>
          )}
          <br />
          {data.hiredOn ? `hired ${sayDay(data.hiredOn)}` : 'hire date missing'}
          {data.isRetirementPlan ? ', in the retirement plan' : ''} ·{' '}
          <Link to={`/trail?employee=${data.id}`}>audit trail</Link>
        </p>
      </div>
      <div className={isEmployee ? 'beside-trial' : ''}>
        <div>
          {isEmployee && (
            <section className="section">
              <h2>
                Current settings <small>each entry counts from its day; nothing is overwritten</small>
              </h2>
              <FactSheet
                kinds={EMPLOYEE_FACTS}
                shown={SHOWN.slice(0, 2)}
                facts={data.facts}
                today={today}
                firstFrom={data.hiredOn ?? today}
                draftKey={`person.${data.id}`}
                isSaving={add.isPending}
                error={add.error}
                onSave={record}
                onConsider={consider}
              />
              <StateCertificates
                person={data}
                today={today}
                isSaving={add.isPending}
                error={add.error}
                onSave={record}
                onConsider={consider}
              />
              <FactSheet
                kinds={EMPLOYEE_FACTS}
                shown={SHOWN.slice(2)}
                facts={data.facts}
                today={today}
                firstFrom={data.hiredOn ?? today}
                draftKey={`person.${data.id}`}
                isSaving={add.isPending}
                error={add.error}
                onSave={record}
                onConsider={consider}
                fieldsOf={(kind) => (kind.kind === 'standing' ? standingFields(own) : kind.fields)}
              />
            </section>
          )}
          {!isEmployee && (
            <p className="note">
              {data.kind === 'partner'
                ? 'A partner is not paid wages: draws are entered in the books, nothing is withheld, and there is no Form W-2 (Rev. Rul. 69-184).'
                : 'A contractor is not on the payroll: nothing is withheld; payments are reported on Form 1099-NEC.'}
            </p>
          )}
          <section className="section" id="identity">
            <h2>
              Identity <small>as on the social security card; the wage file carries it</small>
            </h2>
            <IdentityForm
              key={data.version}
              fields={FIELDS}
              values={valuesOf(data)}
              draftKey={`person.${data.id}`}
              isSaving={save.isPending}
              error={save.error}
              onSave={(given, done) => {
                const { hiredOn = '', bornOn = '', isRetirementPlan, kind, ...rest } = given;
                save.mutate(
                  {
                    ...(rest as unknown as Omit<Schemas['UpdateEmployeeIdentity'], 'version' | 'hiredOn' | 'bornOn'>),
                    hiredOn: hiredOn === '' ? null : hiredOn,
                    bornOn: bornOn === '' ? null : bornOn,
                    kind: kind as Person['kind'],
                    isRetirementPlan: isRetirementPlan === 'yes',
                    version: data.version,
                  },
                  { onSuccess: done },
                );
              }}
            />
          </section>
          {isEmployee && <EmployeeSignInPart employeeId={data.id} />}
          {isEmployee && <History person={data} />}
          <AddedByMistake
            what="employee"
            question={`Remove ${data.firstName} ${data.lastName}? This is for somebody added by mistake and never paid.`}
            act={remove}
            onRemove={() =>
              remove.mutate(data.version, {
                onSuccess: () => void navigate(`/clients/${data.clientId}/people`, { replace: true }),
              })
            }
          />
        </div>
        {isEmployee && <Trial clientId={data.clientId} employeeId={data.id} considered={considered} />}
      </div>
    </>
  );
}

export function EmployeePage(): ReactNode {
  const { employeeId = '' } = useParams();
  const [search] = useSearchParams();
  const person = useQuery(employeeQuery(employeeId, search.get('on') ?? ''));
  return <Waiting query={person}>{(data) => <Page key={data.id} data={data} />}</Waiting>;
}
