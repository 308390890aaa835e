import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useEffect, useState, type FormEvent, type ReactNode } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { Refused } from '../api/client.js';
import { RefusedNote } from '../kit/problems.js';
import { wayBack } from '../kit/way-back.js';
import { useDraft } from './fact-forms/use-draft.js';

export interface IdentityField {
  readonly name: string;
  readonly label: string;
  readonly max: number;
  readonly help?: string;
  readonly choices?: readonly string[];
}
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
  const of = (name: string): string => typed[name] ?? values[name] ?? '';
  const isDirty = fields.some((field) => of(field.name) !== (values[field.name] ?? ''));
  const errors: Record<string, string> = {};
  for (const field of fields)
    if (of(field.name).length > field.max) errors[field.name] = `At most ${field.max} characters fit in the files.`;
  if (error instanceof Refused)
    for (const detail of error.problem.problems) errors[detail.field] = `${detail.sentence} ${detail.fix}`;
  useEffect(() => {
    if (wanted) document.getElementById(`field-${wanted}`)?.focus();
  }, [wanted]);
  const save = (event: FormEvent): void => {
    event.preventDefault();
    setTried(true);
    if (fields.some((field) => of(field.name).length > field.max)) return;
    onSave(Object.fromEntries(fields.map((field) => [field.name, of(field.name)])), () => {
      clear();
      if (back !== null) void navigate(back);
    });
  };
  const shown = (field: IdentityField): string | undefined =>
    errors[field.name] !== undefined && (wasTried || of(field.name).length > field.max)
      ? errors[field.name]
      : undefined;
  return (
    <form onSubmit={save} aria-label="Identity">
      <div className="fields">
        {fields.map((field) =>
          field.choices ? (
            <NativeSelect
              key={field.name}
              id={`field-${field.name}`}
              label={field.label}
              data={[...field.choices]}
              value={of(field.name)}
              error={shown(field)}
              onChange={(event) => setTyped({ ...typed, [field.name]: event.currentTarget.value })}
            />
          ) : (
            <TextInput
              key={field.name}
              id={`field-${field.name}`}
              label={field.label}
              description={field.help}
              autoComplete="off"
              value={of(field.name)}
              error={shown(field)}
              onChange={(event) => setTyped({ ...typed, [field.name]: event.currentTarget.value })}
            />
          ),
        )}
      </div>
      <div className="actions">
        <Button type="submit" loading={isSaving} disabled={!isDirty}>
          {back ? 'Save and go back' : 'Save'}
        </Button>
        {isDirty && (
          <button type="button" className="plain" onClick={clear}>
            as it was
          </button>
        )}
      </div>
      <RefusedNote error={error} />
    </form>
  );
}
