import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { CLIENT_FACTS } from '@zakat/core/facts/client-facts';
import type { FactField } from '@zakat/core/facts/field';
import { isAsked } from '@zakat/core/facts/field';
import { proposeNameControl } from '@zakat/core/identity/numbers';
import { fix, sentence } from '@zakat/core/issues/issue';
import { useRef, useState, type FormEvent, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { clientsQuery, sessionQuery } from '../../api/resources.js';
import { useCreateClient } from '../../api/set-up.js';
import { RefusedNote } from '../../kit/problems.js';
import { FieldInput } from '../fact-forms/field-input.js';
import { valueFrom, type Typed } from '../fact-forms/fact-value.js';
import { useDraft } from '../fact-forms/use-draft.js';
import { CLIENT_FIELDS } from './client-fields.js';
import { TYPINGS, TypedField } from '../../kit/typed-field.js';
import { IdentityInput, lengthFault } from '../identity-input.js';
import { useFocusInvalid } from '../../kit/focus-invalid.js';

const EMPLOYER = CLIENT_FACTS.find('employer')?.fields ?? [];
// The first schedule of a client is its main one: it needs no name.
const SCHEDULE = (CLIENT_FACTS.find('schedule')?.fields ?? []).filter(({ name }) => name !== 'name');
const FIRST_ASKED = ['kind', 'entity', 'formFamily', 'firstWages'];
const YEAR_START = (today: string): string => `${today.slice(0, 4)}-01-01`;

interface Draft {
  readonly identity: Readonly<Record<string, string>>;
  readonly employer: Typed;
  readonly schedule: Typed;
  readonly startFrom: string;
}
const BLANK: Draft = {
  identity: Object.fromEntries([...CLIENT_FIELDS, { name: 'einAgain' }, { name: 'key' }].map(({ name }) => [name, ''])),
  employer: { kind: 'business' },
  schedule: { whenClosed: 'before' },
  startFrom: 'defaults',
};

/** A key from the first word of the name that is long enough. */
const proposeKey = (name: string): string =>
  (
    name
      .toUpperCase()
      .replace(/[^A-Z0-9 ]/g, '')
      .split(' ')
      .find((word) => word.length > 2 && word !== 'THE') ?? ''
  ).slice(0, 12);

interface PartProps {
  readonly title: string;
  readonly fields: readonly FactField[];
  readonly typed: Typed;
  readonly errors: Readonly<Record<string, string>>;
  readonly prefix: string;
  readonly says: string;
  readonly onChange: (next: Typed) => void;
}
function FactPart({ title, fields, typed, errors, prefix, says, onChange }: PartProps): ReactNode {
  return (
    <section className="section">
      <h2>
        {title} <small>{says}</small>
      </h2>
      <div className="fields">
        {fields
          .filter((field) => isAsked(field, valueFrom(fields, typed)))
          .map((field) => (
            <FieldInput
              key={field.name}
              field={field}
              id={`${prefix}-${field.name}`}
              value={typed[field.name]}
              error={errors[`${prefix}.${field.name}`]}
              errors={{}}
              onChange={(next) => onChange({ ...typed, [field.name]: next })}
            />
          ))}
      </div>
    </section>
  );
}

/** Issues of the two facts a new client begins with, by `employer.kind` or `schedule.periodEnd`. */
function factErrors(kind: 'employer' | 'schedule', value: Record<string, unknown>): Record<string, string> {
  return Object.fromEntries(
    CLIENT_FACTS.issues(kind, value, kind).map((issue) => [issue.field, `${sentence(issue)} ${fix(issue)}`]),
  );
}

export function NewClientPage(): ReactNode {
  const { data: session } = useQuery(sessionQuery);
  const { data: clients } = useQuery(clientsQuery(''));
  const [draft, setDraft, clear, isKept] = useDraft<Draft>('new-client', BLANK);
  const [tries, setTries] = useState(0);
  const [sent, setSent] = useState<Readonly<Record<string, string>> | null>(null);
  const form = useRef<HTMLFormElement>(null);
  const create = useCreateClient();
  const navigate = useNavigate();
  const today = session?.today ?? '';
  const { identity } = draft;
  const text = (name: string): string => identity[name] ?? '';
  const put = (name: string, value: string): void => setDraft({ ...draft, identity: { ...identity, [name]: value } });
  const employer = valueFrom(EMPLOYER, draft.employer);
  const schedule = valueFrom(SCHEDULE, draft.schedule);
  const copies = draft.startFrom !== '';
  const hasSchedule = typeof schedule['frequency'] === 'string';
  const own = {
    ...(employer['entity'] === undefined && copies ? {} : factErrors('employer', employer)),
    ...(hasSchedule ? factErrors('schedule', schedule) : {}),
  };
  const errors: Record<string, string> = tries > 0 ? { ...own } : {};
  for (const detail of create.error?.problem.problems ?? [])
    // What was said of a field leaves when it is changed.
    if (sent?.[detail.field] === identity[detail.field]) errors[detail.field] = `${detail.sentence} ${detail.fix}`;
  const save = (event: FormEvent): void => {
    event.preventDefault();
    setTries(tries + 1);
    if (Object.keys(own).length > 0 || today === '') return;
    if (CLIENT_FIELDS.some((field) => lengthFault(field, text(field.name)))) return;
    setSent(identity);
    const { key = '', einAgain = '', ...who } = identity;
    const from = YEAR_START(today);
    create.mutate(
      {
        ...(who as unknown as Omit<Schemas['CreateClient'], 'key'>),
        key: key || proposeKey(text('legalName')),
        state: text('state').toUpperCase(),
        nameControl: text('nameControl').toUpperCase(),
        einAgain,
        startFrom: draft.startFrom,
        facts: [
          ...(employer['entity'] === undefined ? [] : [{ kind: 'employer' as const, from, value: employer }]),
          ...(hasSchedule ? [{ kind: 'schedule' as const, from, value: { daysToCheck: 0, ...schedule } }] : []),
        ],
      },
      {
        onSuccess: ({ id }) => {
          clear();
          void navigate(`/clients/${id}/people`);
        },
      },
    );
  };
  useFocusInvalid(form, tries);
  const control = proposeNameControl(text('legalName'));
  return (
    <form onSubmit={save} noValidate ref={form}>
      <div className="lead">
        <h1>Add client</h1>
        <p className="beside">
          {isKept ? 'kept in this tab until you save it' : 'only the legal name is needed to begin'}
          <br />
          what is missing later is said under Readiness
        </p>
      </div>
      <section className="section" style={{ marginTop: 12 }}>
        <h2>Identity</h2>
        <div className="fields">
          {CLIENT_FIELDS.map((field) => [
            <IdentityInput
              key={field.name}
              field={field}
              value={text(field.name)}
              error={errors[field.name]}
              description={
                field.name === 'nameControl' && control !== '' && text('nameControl') === ''
                  ? `Blank: ${control}, from the legal name`
                  : undefined
              }
              autoFocus={field.name === 'legalName'}
              onChange={(value) => put(field.name, value)}
            />,
            field.name === 'ein' && (
              <TypedField
                key="einAgain"
                id="field-einAgain"
                typing={TYPINGS.ein}
                label="Confirm EIN"
                value={text('einAgain')}
                error={errors['einAgain']}
                onPaste={(event) => event.preventDefault()}
                onChange={(value) => put('einAgain', value)}
              />
            ),
          ])}
          <TextInput
            id="field-key"
            label="Client code"
            value={text('key')}
            error={errors['key']}
            maxLength={12}
            description={
              text('key') === '' && proposeKey(text('legalName')) !== ''
                ? `Blank: ${proposeKey(text('legalName'))}`
                : 'Short and one of a kind: capital letters and digits'
            }
            onChange={(event) => put('key', event.currentTarget.value.toUpperCase())}
          />
        </div>
      </section>
      <section className="section">
        <h2>
          Setup <small>pay items, schedule and preferences are copied; people and history never</small>
        </h2>
        <div className="fields">
          <NativeSelect
            label="Copy setup from"
            value={draft.startFrom}
            data={[
              { value: 'defaults', label: "the firm's client defaults" },
              { value: '', label: 'nothing' },
              ...(clients?.rows ?? []).map((client) => ({ value: client.id, label: client.legalName })),
            ]}
            onChange={(event) => setDraft({ ...draft, startFrom: event.currentTarget.value })}
          />
        </div>
      </section>
      <FactPart
        title="Employer type"
        prefix="employer"
        fields={EMPLOYER.filter((field) => FIRST_ASKED.includes(field.name))}
        typed={draft.employer}
        errors={errors}
        says={CLIENT_FACTS.issues('employer', employer, '').length === 0 ? CLIENT_FACTS.says('employer', employer) : ''}
        onChange={(next) => setDraft({ ...draft, employer: next })}
      />
      <FactPart
        title="Pay schedule"
        prefix="schedule"
        fields={SCHEDULE}
        typed={draft.schedule}
        errors={errors}
        says={CLIENT_FACTS.issues('schedule', schedule, '').length === 0 ? CLIENT_FACTS.says('schedule', schedule) : ''}
        onChange={(next) => setDraft({ ...draft, schedule: next })}
      />
      <RefusedNote
        error={create.error}
        atField={(field) => field in errors && document.getElementById(`field-${field}`) !== null}
      />
      <div className="actions">
        <Button type="submit" loading={create.isPending}>
          Add client
        </Button>
        {isKept && (
          <button type="button" className="plain" onClick={clear}>
            clear
          </button>
        )}
      </div>
    </form>
  );
}
