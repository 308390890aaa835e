import { NativeSelect, TextInput } from '@mantine/core';
import { parseDollars } from '@zakat/core/money/cents';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { useTypeFiledStatements } from '../../api/filing-parts.js';
import { employeesQuery } from '../../api/resources.js';
import { EntryForm } from '../../kit/entry-form.js';
import { TYPINGS, TypedField } from '../../kit/typed-field.js';

const BOXES = ['1', '2', '3', '4', '5', '6'] as const;
interface TypedStatement {
  readonly employeeId: string;
  readonly boxes: Readonly<Record<string, string>>;
  readonly others: string;
}
const EMPTY: TypedStatement = { employeeId: '', boxes: {}, others: '' };

/** Other boxes as one text: `12 D 500.00; 16 NY 48,200.00`. What cannot be read is given back as it is. */
export function readOthers(text: string): { boxes: Schemas['FiledBox'][]; unread: string[] } {
  const boxes: Schemas['FiledBox'][] = [];
  const unread: string[] = [];
  for (const part of text.split(';').map((one) => one.trim())) {
    if (part === '') continue;
    const [, box = '', given = ''] = /^(\d+(?:\s+.+?)?)\s+\$?([\d,]+(?:\.\d+)?)$/.exec(part) ?? [];
    const amount = parseDollars(given);
    if (amount === null || given === '') unread.push(part);
    else boxes.push({ box: box.replace(/\s+/g, ' '), amount });
  }
  return { boxes, unread };
}

/** The statements of a year that somebody else filed, typed from the paper: those that are to be corrected. */
export function TypedStatements({
  clientId,
  onTaken,
  onClose,
}: {
  readonly clientId: string;
  readonly onTaken: (taken: Schemas['TakenInWageFile']) => void;
  readonly onClose: () => void;
}): ReactNode {
  const save = useTypeFiledStatements(clientId);
  const { data: employees } = useQuery(employeesQuery(clientId));
  const [year, setYear] = useState('');
  const [source, setSource] = useState('');
  const [statements, setStatements] = useState<readonly TypedStatement[]>([EMPTY]);
  const change = (index: number, next: Partial<TypedStatement>): void =>
    setStatements(statements.map((one, at) => (at === index ? { ...one, ...next } : one)));
  /** An amount that was typed and cannot be read; it is never left out in silence. */
  const isUnread = (text: string): boolean => text.trim() !== '' && parseDollars(text) === null;
  const isRead = statements.every(
    ({ boxes, others }) => readOthers(others).unread.length === 0 && !Object.values(boxes).some(isUnread),
  );
  const body: Schemas['TypeFiledStatements'] = {
    year: Number(year),
    source,
    statements: statements.map(({ employeeId, boxes, others }) => ({
      employeeId,
      boxes: [
        ...BOXES.flatMap((box) => {
          const amount = parseDollars(boxes[box] ?? '');
          return amount === null ? [] : [{ box, amount }];
        }),
        ...readOthers(others).boxes,
      ],
    })),
  };
  return (
    <EntryForm
      label="W-2s as they were filed"
      act="Keep as filed"
      isBusy={save.isPending}
      error={save.error}
      onClose={onClose}
      onSave={() => isRead && save.mutate(body, { onSuccess: onTaken })}
    >
      <TextInput
        label="Tax year"
        w={90}
        autoFocus
        value={year}
        onChange={(event) => setYear(event.currentTarget.value)}
      />
      <TextInput
        label="Typed from"
        placeholder="copies of the former provider"
        w={280}
        value={source}
        onChange={(event) => setSource(event.currentTarget.value)}
      />
      {statements.map((statement, index) => (
        <fieldset key={index} className="fields plain-set" aria-label={`Statement ${index + 1}`}>
          <NativeSelect
            label="Employee"
            data={[
              { value: '', label: 'choose' },
              ...(employees?.rows ?? []).map(({ id, name }) => ({
                value: id,
                label: name,
              })),
            ]}
            value={statement.employeeId}
            onChange={(event) => change(index, { employeeId: event.currentTarget.value })}
          />
          {BOXES.map((box) => (
            <TypedField
              key={box}
              label={`Box ${box}`}
              typing={TYPINGS.amount}
              value={statement.boxes[box] ?? ''}
              error={isUnread(statement.boxes[box] ?? '') && 'Write it like 1234.56.'}
              onChange={(value) => change(index, { boxes: { ...statement.boxes, [box]: value } })}
            />
          ))}
          <TextInput
            label="Other boxes"
            placeholder="12 D 500.00; 16 NY 48,200.00; 17 NY 1,200.00"
            w={380}
            value={statement.others}
            error={
              readOthers(statement.others).unread.length > 0 &&
              `“${readOthers(statement.others).unread.join('; ')}” is no box with an amount. Write 12 D 500.00, with a semicolon between boxes.`
            }
            onChange={(event) => change(index, { others: event.currentTarget.value })}
          />
        </fieldset>
      ))}
      <div className="whole">
        <button type="button" className="plain" onClick={() => setStatements([...statements, EMPTY])}>
          another employee
        </button>
        <p className="note">
          Only those that are to be corrected have to be typed. They stand as filed, under what they were typed from;
          put them away and type them again while nothing corrects them. Leave the boxes empty for somebody whose
          statement went under another EIN or for another year.
        </p>
      </div>
    </EntryForm>
  );
}
