import { TextInput, type TextInputProps } from '@mantine/core';
import { parseDollars, showDollars, toDollars } from '@zakat/core/money/cents';
import { stateNamed } from '@zakat/core/jurisdictions/state-named';
import { useState, type ReactNode } from 'react';

/** How a value is read from what people type and shown to them; null is not readable yet. */
export interface Typing {
  readonly read: (text: string) => string | null;
  readonly show: (value: string) => string;
  /** What to type when it cannot be read; without it the server or the form says what is wrong. */
  readonly fault?: (text: string) => string;
}

const digits = (text: string, count: number): string | null => {
  const found = text.replace(/[\s().-]/g, '');
  return new RegExp(`^\\d{${count}}$`).test(found) ? found : null;
};
const grouped = (value: string, shape: RegExp, by: string): string =>
  shape.test(value) ? value.replace(shape, by) : value;

/** The fields of the trade. Each is typed as people write it, and shows the one way it is written when it is left. */
export const TYPINGS = {
  amount: {
    read: (text) => {
      const amount = parseDollars(text.replace(/\s/g, ''));
      return amount === null ? null : toDollars(amount);
    },
    show: (value) => {
      const amount = parseDollars(value);
      return amount === null ? value : showDollars(amount).replace('−', '-');
    },
  },
  ssn: {
    read: (text) => digits(text, 9),
    show: (value) => grouped(value, /^(\d{3})(\d{2})(\d{4})$/, '$1-$2-$3'),
  },
  ein: {
    read: (text) => digits(text, 9),
    show: (value) => grouped(value, /^(\d{2})(\d{7})$/, '$1-$2'),
  },
  phone: {
    read: (text) => digits(text.replace(/^\s*\+?1(?=\D)/, ''), 10),
    show: (value) => grouped(value, /^(\d{3})(\d{3})(\d{4})$/, '$1-$2-$3'),
  },
  /** Letters are those of another country's postal code. */
  zip: {
    read: (text) => /^(\d{5})(?:-?\d{4})?$/.exec(text.trim())?.[1] ?? text.trim(),
    show: (value) => value,
  },
  state: {
    read: (text) => stateNamed(text),
    show: (value) => value,
    fault: (text) => `${text} is not a state. Type its name or its two letters.`,
  },
} satisfies Record<string, Typing>;

export interface TypedFieldProps extends Omit<TextInputProps, 'value' | 'onChange'> {
  readonly typing: Typing;
  /** What is stored, or what was typed and cannot be read. */
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** A text field that gives what is stored as soon as the typing can be read, and shows it written out when it is left. */
export function TypedField({ typing, value, onChange, onBlur, error, ...rest }: TypedFieldProps): ReactNode {
  const [typed, setTyped] = useState<string | null>(null);
  const isUnread = typed === null && value.trim() !== '' && typing.read(value) === null;
  return (
    <TextInput
      autoComplete="off"
      {...rest}
      error={error ?? (isUnread ? typing.fault?.(value) : undefined)}
      value={typed ?? typing.show(value)}
      onChange={(event) => {
        const text = event.currentTarget.value;
        setTyped(text);
        onChange(typing.read(text) ?? text);
      }}
      onBlur={(event) => {
        setTyped(null);
        onBlur?.(event);
      }}
    />
  );
}
