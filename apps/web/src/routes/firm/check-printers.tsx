import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { checkPrintersQuery, useRemoveCheckPrinter, useSaveCheckPrinter } from '../../api/checks.js';
import { RefusedNote } from '../../kit/problems.js';
import { Waiting } from '../../kit/waiting.js';
import { ListHead } from '../../kit/list-head.js';

const BLANK = { id: null as string | null, name: '', right: '', down: '' };

/** Printers of the firm, each with how far off its place it prints: measured on a sample page. */
export function CheckPrinters(): ReactNode {
  const query = useQuery(checkPrintersQuery);
  const save = useSaveCheckPrinter();
  const remove = useRemoveCheckPrinter();
  const [draft, setDraft] = useState(BLANK);
  const put = (field: 'name' | 'right' | 'down', value: string): void => setDraft({ ...draft, [field]: value });
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    save.mutate(draft, { onSuccess: () => setDraft(BLANK) });
  };
  return (
    <section className="section" id="printers">
      <h2>
        Check printers <small>inches by which each prints off its place; a sample page has the marks to measure</small>
      </h2>
      <Waiting query={query}>
        {(printers) =>
          printers.length === 0 ? (
            <p className="empty">No printer is off its place, or none was measured yet.</p>
          ) : (
            <table className="ruled" style={{ maxWidth: 620 }}>
              <ListHead columns={['Printer', 'Farther right', 'Farther down', '']} />
              <tbody>
                {printers.map((printer) => (
                  <tr key={printer.id}>
                    <td>{printer.name}</td>
                    <td>{printer.right === '' ? '–' : `${printer.right} in`}</td>
                    <td>{printer.down === '' ? '–' : `${printer.down} in`}</td>
                    <td>
                      <button type="button" className="plain" onClick={() => setDraft(printer)}>
                        change<span className="unseen"> {printer.name}</span>
                      </button>{' '}
                      ·{' '}
                      <button type="button" className="plain" onClick={() => remove.mutate(printer.id)}>
                        take away<span className="unseen"> {printer.name}</span>
                      </button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )
        }
      </Waiting>
      <form className="actions" style={{ alignItems: 'flex-end' }} onSubmit={submit}>
        <TextInput
          label="Printer"
          w={220}
          maxLength={40}
          value={draft.name}
          onChange={(event) => put('name', event.currentTarget.value)}
        />
        <TextInput
          label="Farther right, inches"
          w={150}
          maxLength={6}
          value={draft.right}
          onChange={(event) => put('right', event.currentTarget.value)}
        />
        <TextInput
          label="Farther down, inches"
          w={150}
          maxLength={6}
          value={draft.down}
          onChange={(event) => put('down', event.currentTarget.value)}
        />
        <Button type="submit" variant="outline" loading={save.isPending} disabled={draft.name.trim() === ''}>
          {draft.id === null ? 'Add the printer' : 'Save the printer'}
        </Button>
        {draft.id !== null && (
          <button type="button" className="plain" onClick={() => setDraft(BLANK)}>
            not now
          </button>
        )}
      </form>
      <RefusedNote error={save.error ?? remove.error} />
    </section>
  );
}
