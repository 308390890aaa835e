import { Button, NativeSelect } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { checkSsn, isAppliedFor } from '@zakat/core/identity/numbers';
import { fix, sentence } from '@zakat/core/issues/issue';
import { useRef, useState, type FormEvent, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { useCreateEmployee } from '../../api/set-up.js';
import { Problems, RefusedNote } from '../../kit/problems.js';
import { useDraft } from '../fact-forms/use-draft.js';
import { parseDate } from '@zakat/core/calendar/local-date';
import { IdentityInput, type IdentityField } from '../identity-input.js';

const BLANK = {
  number: '',
  lastName: '',
  firstName: '',
  ssn: '',
  hiredOn: '',
  bornOn: '',
  kind: 'employee',
  street: '',
  city: '',
  state: '',
  zip: '',
};
type Draft = typeof BLANK;
interface Entry {
  readonly field: IdentityField;
  readonly width: number;
}
const entry = (name: string, label: string, width: number, more: Partial<IdentityField> = {}): Entry => ({
  field: { name, label, max: 121, ...more },
  width,
});
/** In the order of a new-hire form. A change of line is a change of row on the screen. */
const ROWS: readonly (readonly Entry[])[] = [
  [
    entry('number', 'Employee no.', 90),
    entry('lastName', 'Last name', 150, { max: 20 }),
    entry('firstName', 'First name', 130, { max: 15 }),
    entry('ssn', 'SSN', 120, { kind: 'ssn' }),
    entry('hiredOn', 'Hire date', 130, { kind: 'date' }),
    entry('bornOn', 'Date of birth', 130, { kind: 'date' }),
  ],
  [
    entry('street', 'Street', 240, { kind: 'street' }),
    entry('city', 'City', 150, { max: 22 }),
    entry('state', 'State', 90, { kind: 'state' }),
    entry('zip', 'ZIP', 90, { kind: 'zip', max: 15 }),
  ],
];
const isShown = (name: string): boolean => ROWS.flat().some(({ field }) => field.name === name);
const HINTS: Readonly<Record<string, string>> = { ssn: 'or: applied for' };

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
  const [taken, setTaken] = useState<{
    id: string;
    name: string;
    /** Work and home, as they were taken to be; blank where no place was recorded. */
    places: string;
    warnings: Schemas['ProblemDetail'][];
  } | null>(null);
  const [sent, setSent] = useState<Draft | null>(null);
  const create = useCreateEmployee(client.id);
  const first = useRef<HTMLInputElement>(null);
  const digits = draft.ssn.replace(/[\s-]/g, '');
  const ssnIssue = digits.length >= 9 && !isAppliedFor(draft.ssn) ? checkSsn(digits, 'ssn')[0] : undefined;
  const errorOf = (field: string): string | undefined => {
    // What was said of a field leaves when it is changed.
    if (sent?.[field as keyof Draft] !== draft[field as keyof Draft]) return undefined;
    const found = create.error?.problem.problems.find((detail) => detail.field === field);
    return found ? `${found.sentence} ${found.fix}` : undefined;
  };
  const save = (event: FormEvent): void => {
    event.preventDefault();
    setSent(draft);
    const { hiredOn, bornOn, kind, state, ...rest } = draft;
    const home = state === '' ? client.state : state;
    create.mutate(
      {
        ...rest,
        state,
        number: draft.number.trim() || nextNumber,
        kind: kind as 'employee',
        hiredOn: hiredOn.trim() === '' ? null : hiredOn,
        bornOn: bornOn.trim() === '' ? null : bornOn,
        middleName: '',
        suffix: '',
        isRetirementPlan: false,
        facts:
          kind === 'employee' && client.state !== ''
            ? [
                {
                  kind: 'place',
                  from: parseDate(hiredOn) ?? session?.today ?? '',
                  value: { work: client.state, residence: home },
                },
              ]
            : [],
      },
      {
        onSuccess: ({ id, warnings }) => {
          const isPlaced = kind === 'employee' && client.state !== '';
          const places = isPlaced ? `, with work taken to be in ${client.state} and home in ${home}.` : '';
          setTaken({ id, name: `${draft.firstName} ${draft.lastName}`, places, warnings });
          clear();
          first.current?.focus();
        },
      },
    );
  };
  return (
    <form onSubmit={save} className="quick" aria-label="Add employee" noValidate>
      {ROWS.map((row, line) => (
        <div className="quick-line" key={row[0]?.field.name}>
          {row.map(({ field, width }) => (
            <IdentityInput
              key={field.name}
              ref={field.name === 'lastName' ? first : null}
              field={field}
              width={width}
              placeholder={
                field.name === 'number' ? nextNumber : field.name === 'state' ? client.state : HINTS[field.name]
              }
              value={draft[field.name as keyof Draft]}
              error={
                errorOf(field.name) ??
                (field.name === 'ssn' && ssnIssue ? `${sentence(ssnIssue)} ${fix(ssnIssue)}` : undefined)
              }
              onChange={(value) => setDraft({ ...draft, [field.name]: value })}
            />
          ))}
          {line === ROWS.length - 1 && (
            <>
              <NativeSelect
                label="Worker type"
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
                Add employee
              </Button>
            </>
          )}
        </div>
      ))}
      <RefusedNote error={create.error} atField={isShown} />
      {taken && (
        <p className="sub" role="status">
          {taken.name} is added. <Link to={`/employees/${taken.id}`}>Pay, certificates and the trial paycheck</Link>
          {taken.places}
        </p>
      )}
      {taken && <Problems title="Warnings" details={taken.warnings} />}
    </form>
  );
}
