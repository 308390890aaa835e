import { Button } from '@mantine/core';
import type { FactKind } from '@zakat/core/facts/fact-kind';
import { isAsked, type FactField } from '@zakat/core/facts/field';
import { fix, sentence, type Issue } from '@zakat/core/issues/issue';
import { readTypedDate } from '@zakat/core/calendar/typed-date';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Refused } from '../../api/client.js';
import { RefusedNote } from '../../kit/problems.js';
import { FieldInput } from './field-input.js';
import { typedFrom, valueFrom, type Typed } from './fact-value.js';
import { useDraft } from './use-draft.js';
import { DateField } from '../../kit/date-field.js';
import { useFocusInvalid } from '../../kit/focus-invalid.js';

export interface FormFact {
  readonly kind: string;
  readonly from: string;
  readonly value: Record<string, unknown>;
}
interface Props {
  readonly kind: FactKind;
  readonly fields: readonly FactField[];
  readonly initial: Readonly<Record<string, unknown>>;
  readonly today: string;
  /** The day proposed for the entry to count from. */
  readonly from: string;
  /** Keeps what is typed apart from that of other forms. */
  readonly draftKey: string;
  readonly check: (value: Record<string, unknown>) => readonly Issue[];
  /** The typed fields as the stored value, where they are not the same (a state's certificate). */
  readonly wrap?: (value: Record<string, unknown>) => Record<string, unknown>;
  readonly isSaving: boolean;
  readonly error: Error | null;
  readonly onSave: (fact: FormFact, done: () => void) => void;
  readonly onConsider?: (fact: FormFact | null) => void;
  readonly onClose: () => void;
}
interface Draft {
  readonly from: string;
  readonly typed: Typed;
}

const tailOf = (field: string): string => field.replace(/^.*?value\./, '').replace(/^certificate\./, '');

/** What the date an entry counts from means. */
const fromWords = (from: string, today: string): string =>
  from > today
    ? 'Counts from then; until then everything stays.'
    : from < today
      ? 'In the past: posted checks stay as they are, the next one is computed with it.'
      : 'Counts from today.';

/** A form for one effective-dated fact, drawn from its table of fields; what it will say is read back while typing. */
export function FactForm(props: Props): ReactNode {
  const { kind, fields, initial, today, draftKey, check, isSaving, error, onSave, onConsider, onClose } = props;
  const wrap = props.wrap ?? ((value: Record<string, unknown>) => value);
  const [draft, setDraft, clear] = useDraft<Draft>(draftKey, {
    from: props.from,
    typed: typedFrom(fields, initial),
  });
  const [tries, setTries] = useState(0);
  const wasTried = tries > 0;
  const form = useRef<HTMLFormElement>(null);
  const value = wrap(valueFrom(fields, draft.typed));
  const issues = check(value);
  const from = readTypedDate(draft.from) ?? '';
  const errors: Record<string, string> = {};
  if (wasTried) for (const issue of issues) errors[tailOf(issue.field)] ??= `${sentence(issue)} ${fix(issue)}`;
  if (error instanceof Refused)
    for (const detail of error.problem.problems) errors[tailOf(detail.field)] ??= `${detail.sentence} ${detail.fix}`;
  const isSound = issues.length === 0 && from !== '';
  const considered = JSON.stringify(isSound ? { kind: kind.kind, from, value } : null);
  useEffect(() => {
    onConsider?.(JSON.parse(considered) as FormFact | null);
    return () => onConsider?.(null);
    // Told again only when what is typed says something else.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [considered]);
  useFocusInvalid(form, tries);
  useEffect(() => {
    form.current?.querySelector<HTMLElement>('input, select')?.focus();
  }, []);
  const asked = fields.filter((field) => isAsked(field, valueFrom(fields, draft.typed)));
  return (
    <form
      ref={form}
      className="fact-form"
      aria-label={kind.label}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
      onSubmit={(event) => {
        event.preventDefault();
        setTries(tries + 1);
        if (!isSound) return;
        onSave({ kind: kind.kind, from, value }, () => {
          clear();
          onClose();
        });
      }}
    >
      <div className="fields">
        {asked.map((field) => (
          <FieldInput
            key={field.name}
            field={field}
            id={`${draftKey}-${field.name}`}
            value={draft.typed[field.name]}
            error={errors[field.name]}
            errors={errors}
            beside={draft.typed}
            onChange={(next) => setDraft({ ...draft, typed: { ...draft.typed, [field.name]: next } })}
          />
        ))}
        <DateField
          label="From"
          value={draft.from}
          error={wasTried && from === '' ? 'Type month, day and year, like 01/31/2026.' : undefined}
          description={from === '' ? undefined : fromWords(from, today)}
          onChange={(day) => setDraft({ ...draft, from: day })}
        />
      </div>
      {isSound && (
        <p className="reads" aria-live="polite">
          {kind.says(value)}
        </p>
      )}
      <RefusedNote error={error} atField={(field) => asked.some(({ name }) => name === tailOf(field))} />
      <div className="actions">
        <Button type="submit" loading={isSaving}>
          Record
        </Button>
        <button
          type="button"
          className="plain"
          onClick={() => {
            clear();
            onClose();
          }}
        >
          cancel
        </button>
      </div>
    </form>
  );
}
