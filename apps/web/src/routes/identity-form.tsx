import { Button } from '@mantine/core';
import { useEffect, useState, type FormEvent, type ReactNode } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { Refused } from '../api/client.js';
import { RefusedNote } from '../kit/problems.js';
import { wayBack } from '../kit/way-back.js';
import { useDraft } from './fact-forms/use-draft.js';
import { IdentityInput, lengthFault, type IdentityField } from './identity-input.js';

export type { IdentityField };

interface Props {
  readonly fields: readonly IdentityField[];
  readonly values: Readonly<Record<string, string>>;
  /** Keeps what is typed through a reload. */
  readonly draftKey: string;
  readonly isSaving: boolean;
  readonly error: Error | null;
  readonly onSave: (values: Record<string, string>, done: () => void) => void;
}

/** Facts that files carry. Coming from a refused field, that field has the focus; saving leads back. */
export function IdentityForm({ fields, values, draftKey, isSaving, error, onSave }: Props): ReactNode {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const wanted = search.get('field');
  // The way back belongs to a tax account that is asked for, where one is.
  const back = search.has('account') ? null : wayBack(search.get('back'));
  const [typed, setTyped, clear] = useDraft<Record<string, string>>(`identity.${draftKey}`, {});
  const [wasTried, setTried] = useState(false);
  const [sent, setSent] = useState<Readonly<Record<string, string>> | null>(null);
  const of = (name: string): string => typed[name] ?? values[name] ?? '';
  const isDirty = fields.some((field) => of(field.name) !== (values[field.name] ?? ''));
  const errors: Record<string, string> = {};
  if (error instanceof Refused)
    for (const detail of error.problem.problems)
      // What was said of a field leaves when it is changed.
      if (sent?.[detail.field] === of(detail.field)) errors[detail.field] = `${detail.sentence} ${detail.fix}`;
  useEffect(() => {
    if (wanted) document.getElementById(`field-${wanted}`)?.focus();
  }, [wanted]);
  const save = (event: FormEvent): void => {
    event.preventDefault();
    setTried(true);
    if (fields.some((field) => lengthFault(field, of(field.name)))) return;
    const given = Object.fromEntries(fields.map((field) => [field.name, of(field.name)]));
    setSent(given);
    onSave(given, () => {
      clear();
      if (back !== null) void navigate(back);
    });
  };
  return (
    <form onSubmit={save} aria-label="Identity">
      <div className="fields">
        {fields.map((field) => (
          <IdentityInput
            key={field.name}
            field={field}
            value={of(field.name)}
            error={wasTried ? errors[field.name] : undefined}
            onChange={(value) => setTyped({ ...typed, [field.name]: value })}
          />
        ))}
      </div>
      <div className="actions">
        <Button type="submit" loading={isSaving} disabled={!isDirty}>
          {back ? 'Save and go back' : 'Save'}
        </Button>
        {isDirty && (
          <button type="button" className="plain" onClick={clear}>
            reset
          </button>
        )}
      </div>
      <RefusedNote error={error} atField={(field) => fields.some((one) => one.name === field)} />
    </form>
  );
}
