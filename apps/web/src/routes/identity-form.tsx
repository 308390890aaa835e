import { Button, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useEffect, type ReactNode } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { Refused } from '../api/client.js';
import { RefusedNote } from '../kit/problems.js';

export interface IdentityField {
  readonly name: string;
  readonly label: string;
  readonly max: number;
  readonly help?: string;
}
interface Props {
  readonly fields: readonly IdentityField[];
  readonly values: Readonly<Record<string, string>>;
  readonly isSaving: boolean;
  readonly error: Error | null;
  readonly onSave: (values: Record<string, string>, done: () => void) => void;
}

/** Facts that files carry. Coming from a refused field, that field has the focus; saving leads back. */
export function IdentityForm({ fields, values, isSaving, error, onSave }: Props): ReactNode {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const wanted = search.get('field');
  const back = search.get('back');
  const form = useForm({
    initialValues: { ...values },
    validate: Object.fromEntries(
      fields.map((field) => [
        field.name,
        (value: string) => (value.length > field.max ? `At most ${field.max} characters fit in the files.` : null),
      ]),
    ),
  });
  useEffect(() => {
    if (wanted) document.getElementById(`field-${wanted}`)?.focus();
  }, [wanted]);
  useEffect(() => {
    if (error instanceof Refused)
      form.setErrors(
        Object.fromEntries(error.problem.problems.map((detail) => [detail.field, `${detail.sentence} ${detail.fix}`])),
      );
    // Only a new answer of the server sets errors.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [error]);
  const save = form.onSubmit((given) =>
    onSave(given, () => back?.startsWith('/') && !back.startsWith('//') && void navigate(back)),
  );
  return (
    <form onSubmit={save}>
      <div className="fields">
        {fields.map((field) => (
          <TextInput
            key={field.name}
            id={`field-${field.name}`}
            label={field.label}
            description={field.help}
            {...form.getInputProps(field.name)}
          />
        ))}
      </div>
      <div className="actions">
        <Button type="submit" loading={isSaving} disabled={!form.isDirty()}>
          {back ? 'Save and go back' : 'Save'}
        </Button>
      </div>
      <RefusedNote error={error} />
    </form>
  );
}
