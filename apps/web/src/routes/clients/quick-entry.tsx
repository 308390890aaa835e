import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { checkSsn } from '@zakat/core/identity/numbers';
import { fix, sentence } from '@zakat/core/issues/issue';
import { readTypedDate } from '@zakat/core/calendar/typed-date';
import { useRef, useState, type FormEvent, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { useCreateEmployee } from '../../api/set-up.js';
import { Problems, RefusedNote } from '../../kit/problems.js';
import { useDraft } from '../fact-forms/use-draft.js';

const BLANK = { number: '', lastName: '', firstName: '', ssn: '', hiredOn: '', bornOn: '', kind: 'employee' };
type Draft = typeof BLANK;
const FIELDS: readonly (readonly [name: Exclude<keyof Draft, 'kind'>, label: string, width: number, help: string])[] = [
  ['number', 'Number', 90, ''],
  ['lastName', 'Last name', 150, ''],
  ['firstName', 'First name', 130, ''],
  ['ssn', 'SSN', 120, 'nine digits'],
  ['hiredOn', 'Hired', 118, 'year-month-day'],
  ['bornOn', 'Born', 118, 'year-month-day'],
];

/** One line that takes on a person: the name and the social security number are the least. */
export function QuickEntry({
  client,
  nextNumber,
}: {
  readonly client: Schemas['ClientView'];
  readonly nextNumber: string;
}): ReactNode {
  const { data: session } = useQuery(sessionQuery);
  const [draft, setDraft, clear] = useDraft<Draft>(`quick.${client.id}`, BLANK);
  const [taken, setTaken] = useState<{ id: string; name: string; warnings: Schemas['ProblemDetail'][] } | null>(null);
  const create = useCreateEmployee(client.id);
  const first = useRef<HTMLInputElement>(null);
  const digits = draft.ssn.replace(/[\s-]/g, '');
  const ssnIssue = digits.length >= 9 ? checkSsn(digits, 'ssn')[0] : undefined;
  const errorOf = (field: string): string | undefined => {
    const found = create.error?.problem.problems.find((detail) => detail.field === field);
    return found ? `${found.sentence} ${found.fix}` : undefined;
  };
  const save = (event: FormEvent): void => {
    event.preventDefault();
    const { hiredOn, bornOn, kind, ...rest } = draft;
    create.mutate(
      {
        ...rest,
        number: draft.number.trim() || nextNumber,
        kind: kind as 'employee',
        hiredOn: hiredOn.trim() === '' ? null : (readTypedDate(hiredOn.trim()) ?? hiredOn),
        bornOn: bornOn.trim() === '' ? null : (readTypedDate(bornOn.trim()) ?? bornOn),
        middleName: '',
        suffix: '',
        street: '',
        city: '',
        state: '',
        zip: '',
        isRetirementPlan: false,
        facts:
          kind === 'employee' && client.state !== ''
            ? [
                {
                  kind: 'place',
                  from: readTypedDate(hiredOn.trim()) ?? session?.today ?? '',
                  value: { work: client.state, residence: client.state },
                },
              ]
            : [],
      },
      {
        onSuccess: ({ id, warnings }) => {
          setTaken({ id, name: `${draft.firstName} ${draft.lastName}`, warnings });
          clear();
          first.current?.focus();
        },
      },
    );
  };
  return (
    <form onSubmit={save} className="quick" aria-label="Take on a person" noValidate>
      <div className="quick-line">
        {FIELDS.map(([name, label, width, help]) => (
          <TextInput
            key={name}
            ref={name === 'lastName' ? first : null}
            label={label}
            w={width}
            autoComplete="off"
            placeholder={name === 'number' ? nextNumber : help}
            value={draft[name]}
            error={errorOf(name) ?? (name === 'ssn' && ssnIssue ? `${sentence(ssnIssue)} ${fix(ssnIssue)}` : undefined)}
            onChange={(event) => setDraft({ ...draft, [name]: event.currentTarget.value })}
          />
        ))}
        <NativeSelect
          label="Kind"
          w={120}
          value={draft.kind}
          data={[
            { value: 'employee', label: 'employee' },
            { value: 'contractor', label: 'contractor' },
            { value: 'partner', label: 'partner' },
          ]}
          onChange={(event) => setDraft({ ...draft, kind: event.currentTarget.value })}
        />
        <Button type="submit" loading={create.isPending}>
          Take on
        </Button>
      </div>
      <RefusedNote error={create.error} />
      {taken && (
        <p className="sub" role="status">
          {taken.name} is taken on. <Link to={`/employees/${taken.id}`}>Pay, certificates and the trial paycheck</Link>
          {client.state !== '' && ', with work and home taken to be in '}
          {client.state}.
        </p>
      )}
      {taken && <Problems title="Worth a look" details={taken.warnings} />}
    </form>
  );
}
