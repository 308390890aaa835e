import { NativeSelect, TextInput } from '@mantine/core';
import type { ReactNode, Ref } from 'react';
import { DateField } from '../kit/date-field.js';
import { TYPINGS, TypedField } from '../kit/typed-field.js';

export interface IdentityField {
  readonly name: string;
  readonly label: string;
  readonly max: number;
  readonly help?: string;
  readonly choices?: readonly string[];
  /** How it is typed, where it is more than text. */
  readonly kind?: 'date' | 'street' | keyof typeof TYPINGS;
}

/** What is too long for the files, said before it is sent. Nothing is cut. */
export const lengthFault = (field: IdentityField, value: string): string | undefined =>
  value.length > field.max
    ? `${field.label}: at most ${field.max} characters fit; these are ${value.length}.`
    : undefined;

interface Props {
  readonly field: IdentityField;
  readonly value: string;
  readonly error: string | undefined;
  readonly description?: string | undefined;
  readonly autoFocus?: boolean;
  readonly placeholder?: string | undefined;
  /** In pixels; as wide as its column otherwise. */
  readonly width?: number;
  readonly ref?: Ref<HTMLInputElement>;
  readonly onChange: (value: string) => void;
}

/** One field of who somebody is, typed as the trade types it. */
export function IdentityInput({
  field,
  value,
  error,
  description,
  autoFocus,
  placeholder,
  width,
  ref,
  onChange,
}: Props): ReactNode {
  const common = {
    id: `field-${field.name}`,
    label: field.label,
    description: description ?? field.help,
    error: error ?? lengthFault(field, value),
    autoFocus: autoFocus === true,
    autoComplete: 'off',
    ...(placeholder === undefined ? {} : { placeholder }),
    ...(width === undefined ? {} : { w: width }),
  };
  if (field.choices)
    return (
      <NativeSelect
        {...common}
        data={[...field.choices]}
        value={value}
        onChange={(event) => onChange(event.currentTarget.value)}
      />
    );
  if (field.kind === 'street') {
    // As typed, blanks at the end of a word included: they are taken off where the street is read.
    const [street = '', unit = ''] = value.split('\n');
    const join = (first: string, second: string): string => (second === '' ? first : `${first}\n${second}`);
    return (
      <>
        <TextInput {...common} value={street} onChange={(event) => onChange(join(event.currentTarget.value, unit))} />
        <TextInput
          label="Apartment, suite"
          {...(width === undefined ? {} : { w: Math.round(width * 0.6) })}
          autoComplete="off"
          value={unit}
          onChange={(event) => onChange(join(street, event.currentTarget.value))}
        />
      </>
    );
  }
  if (field.kind === 'date') return <DateField {...common} value={value} onChange={onChange} />;
  if (field.kind) return <TypedField {...common} typing={TYPINGS[field.kind]} value={value} onChange={onChange} />;
  return (
    <TextInput {...common} ref={ref ?? null} value={value} onChange={(event) => onChange(event.currentTarget.value)} />
  );
}
