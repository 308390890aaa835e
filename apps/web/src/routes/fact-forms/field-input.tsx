import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import { findState } from '@zakat/core/jurisdictions/states';
import { stateNamed } from '@zakat/core/jurisdictions/state-named';
import type { FactField } from '@zakat/core/facts/field';
import type { ReactNode } from 'react';
import { DateField } from '../../kit/date-field.js';
import { TYPINGS, TypedField } from '../../kit/typed-field.js';
import { percentEcho, type Typed } from './fact-value.js';
import { itemChoices } from './item-choices.js';

interface Props {
  readonly field: FactField;
  readonly id: string;
  readonly value: Typed[string] | undefined;
  readonly error: string | undefined;
  readonly errors: Readonly<Record<string, string>>;
  /** What is typed in the fields beside it. */
  readonly beside?: Typed;
  readonly onChange: (value: Typed[string]) => void;
}

const describe = (field: FactField, text: string): string | undefined =>
  (field.kind === 'percent' ? percentEcho(text) : null) ?? field.help;

/** Names of the localities of a state that have a tax of their own, found while their letters are typed. */
function placesOf(state: Typed[string] | undefined): readonly string[] {
  const code = typeof state === 'string' ? stateNamed(state) : null;
  return code === null ? [] : (findState(code)?.local?.places.map(({ name }) => name) ?? []);
}

/** One field of a fact, whatever its kind. */
export function FieldInput({ field, id, value, error, errors, beside = {}, onChange }: Props): ReactNode {
  const text = typeof value === 'string' ? value : '';
  const common = { id, label: field.label, error, description: describe(field, text) };
  switch (field.kind) {
    case 'flag':
      return (
        <Checkbox
          id={id}
          label={field.label}
          description={field.help}
          error={error}
          checked={value === true}
          onChange={(event) => onChange(event.currentTarget.checked)}
          className="check-field"
        />
      );
    case 'choice':
    case 'item': {
      const choices = field.kind === 'item' ? itemChoices(field.lists ?? []) : (field.choices ?? []);
      return (
        <NativeSelect
          {...common}
          value={text}
          data={[{ value: '', label: '' }, ...choices.map(([choice, word]) => ({ value: choice, label: word }))]}
          onChange={(event) => onChange(event.currentTarget.value)}
        />
      );
    }
    case 'rows':
      return (
        <Rows
          field={field}
          id={id}
          rows={Array.isArray(value) ? (value as readonly Typed[]) : []}
          errors={errors}
          onChange={onChange}
        />
      );
    case 'date':
      return <DateField {...common} value={text} onChange={onChange} />;
    case 'amount':
    case 'state':
      return <TypedField {...common} typing={TYPINGS[field.kind]} value={text} onChange={onChange} />;
    default: {
      const places = field.placeOf === undefined ? [] : placesOf(beside[field.placeOf]);
      const input = (
        <TextInput
          {...common}
          value={text}
          autoComplete="off"
          {...(places.length === 0 ? {} : { list: `${id}-places` })}
          onChange={(event) => onChange(event.currentTarget.value)}
        />
      );
      if (places.length === 0) return input;
      return (
        <>
          {input}
          <datalist id={`${id}-places`}>
            {places.map((place) => (
              <option key={place} value={place} />
            ))}
          </datalist>
        </>
      );
    }
  }
}

interface RowsProps {
  readonly field: FactField;
  readonly id: string;
  readonly rows: readonly Typed[];
  readonly errors: Readonly<Record<string, string>>;
  /** What is typed in the fields beside it. */
  readonly beside?: Typed;
  readonly onChange: (value: readonly Typed[]) => void;
}

function Rows({ field, id, rows, errors, onChange }: RowsProps): ReactNode {
  const put = (index: number, name: string, value: Typed[string]): void =>
    onChange(rows.map((row, at) => (at === index ? { ...row, [name]: value } : row)));
  return (
    <fieldset className="rows-field">
      <legend>{field.label}</legend>
      {rows.map((row, index) => (
        <div key={index} className="rows-line">
          {(field.of ?? []).map((inner) => (
            <FieldInput
              key={inner.name}
              field={inner}
              id={`${id}-${index}-${inner.name}`}
              value={row[inner.name]}
              error={errors[`${field.name}[${index}].${inner.name}`]}
              errors={{}}
              beside={row}
              onChange={(value) => put(index, inner.name, value)}
            />
          ))}
          <button type="button" className="plain" onClick={() => onChange(rows.filter((_, at) => at !== index))}>
            take out
          </button>
        </div>
      ))}
      <Button variant="outline" onClick={() => onChange([...rows, {}])}>
        Add
      </Button>
    </fieldset>
  );
}
