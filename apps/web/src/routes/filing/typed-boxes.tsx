import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { cents, parseDollars, showDollars, toDollars } from '@zakat/core/money/cents';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { typedBoxesQuery, useTypeBoxes } from '../../api/filing-parts.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';

type Filing = Schemas['FilingView'];
/** Boxes beside the first eleven, as the server takes them. */
const BOX = /^(12 [A-Z]{1,2}|1[67] [A-Z]{2}|1[89] .+)$/;

/** One statement, box by box: as it was filed, and what is right. */
function Boxes({
  filing,
  statement,
}: {
  readonly filing: Filing;
  readonly statement: Schemas['TypedBoxes'];
}): ReactNode {
  const save = useTypeBoxes(filing.id, statement.employeeId);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const valueOf = ({ box, correct }: Schemas['TypedBox']): string => typed[box] ?? toDollars(cents(correct));
  const [added, setAdded] = useState<readonly string[]>([]);
  const [box, setBox] = useState('');
  const shown = [...statement.boxes, ...added.map((one) => ({ box: one, filed: 0, correct: 0 }))];
  const isBox = BOX.test(box.trim()) && !shown.some((one) => one.box === box.trim());
  const read = shown.map((one) => ({ box: one.box, correct: parseDollars(valueOf(one) || '0') }));
  const isRead = read.every(({ correct }) => correct !== null);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(
          {
            version: filing.version,
            boxes: read.flatMap(({ box, correct }) => (correct === null ? [] : [{ box, correct }])),
          },
          {
            onSuccess: () => {
              setTyped({});
              setAdded([]);
            },
          },
        );
      }}
    >
      <table className="ruled" style={{ maxWidth: 620 }}>
        <ListHead columns={['Box', { number: 'As filed' }, { number: 'Correct' }, { number: 'Difference' }]} />
        <tbody>
          {shown.map((one) => {
            const correct = parseDollars(valueOf(one) || '0');
            return (
              <tr key={one.box}>
                <td>{one.box}</td>
                <td className="num">{showDollars(cents(one.filed))}</td>
                <td className="num">
                  <TextInput
                    size="xs"
                    w={140}
                    styles={{ input: { textAlign: 'right' } }}
                    ml="auto"
                    aria-label={`Correct amount of box ${one.box}`}
                    inputMode="decimal"
                    value={valueOf(one)}
                    error={correct === null ? 'Write it like 1234.56.' : null}
                    onChange={(event) => {
                      const { value } = event.currentTarget;
                      setTyped((before) => ({ ...before, [one.box]: value }));
                    }}
                  />
                </td>
                <td className="num">
                  {correct === null || correct === one.filed ? '' : showDollars(cents(correct - one.filed))}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <div className="actions" style={{ alignItems: 'end' }}>
        <TextInput
          label="A box that was not filed"
          placeholder="12 D or 16 NY"
          size="xs"
          w={150}
          value={box}
          onChange={(event) => setBox(event.currentTarget.value)}
        />
        <button
          type="button"
          className="plain"
          disabled={!isBox}
          onClick={() => {
            setAdded([...added, box.trim()]);
            setBox('');
          }}
        >
          add the box
        </button>
        <Button type="submit" variant="outline" disabled={!isRead} loading={save.isPending}>
          Put them on the form
        </Button>
      </div>
      <RefusedNote error={save.error} />
    </form>
  );
}

/** A correction of statements that somebody else filed: nothing of the year is in the records, so what is right is typed. */
export function TypedBoxes({ filing }: { readonly filing: Filing }): ReactNode {
  const [employeeId, setEmployeeId] = useState('');
  const { data } = useQuery(typedBoxesQuery(filing.id, employeeId));
  if (!filing.typed || filing.status !== 'draft') return null;
  return (
    <section className="section">
      <h2>
        What is right <small>the year was run elsewhere, so the correct boxes are typed</small>
      </h2>
      <NativeSelect
        label="Employee"
        maw={320}
        value={employeeId}
        onChange={(event) => setEmployeeId(event.currentTarget.value)}
        data={[
          { value: '', label: 'choose one' },
          ...filing.typed.map(({ employeeId: value, name }) => ({ value, label: name })),
        ]}
      />
      {data && employeeId !== '' && <Boxes key={`${employeeId} ${filing.version}`} filing={filing} statement={data} />}
    </section>
  );
}
