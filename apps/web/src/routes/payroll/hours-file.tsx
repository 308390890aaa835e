import { Button, NativeSelect } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { useHoursFile } from '../../api/hours.js';
import { ColumnMapping } from '../../kit/column-mapping.js';
import { FileChoice } from '../../kit/file-choice.js';
import { RefusedNote } from '../../kit/problems.js';
import { ListHead } from '../../kit/list-head.js';

type View = Schemas['HoursFileView'];
type Chosen = Pick<Schemas['ReadHoursFile'], 'headingRow' | 'columns' | 'codes'>;
interface File {
  readonly fileName: string;
  readonly content: string;
}

function Totals({ view }: { readonly view: View }): ReactNode {
  const isWhole = view.totals.every(({ file, taken }) => file === taken);
  return (
    <table className="ruled" style={{ maxWidth: 620 }}>
      <ListHead columns={['Earning', { number: 'In the file' }, { number: 'Taken' }]} />
      <tbody>
        {view.totals.map(({ label, measure, file, taken }) => (
          <tr key={`${measure} ${label}`}>
            <td>
              {label} <small className="soft">{measure === 'hours' ? 'hours' : 'dollars'}</small>
            </td>
            <td className="num">{file}</td>
            <td className={`num${file === taken ? '' : ' tag-wrong'}`}>{taken}</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={3}>
            {isWhole ? 'All of the file is taken.' : 'What is not taken stands below with its reason.'}
          </td>
        </tr>
      </tfoot>
    </table>
  );
}

function Rows({ view }: { readonly view: View }): ReactNode {
  return (
    <table className="ruled">
      <thead>
        <tr>
          <th scope="col" className="num" style={{ width: 60 }}>
            Row
          </th>
          <th scope="col">In the file</th>
          <th scope="col">Employee</th>
          <th scope="col">Understood as</th>
        </tr>
      </thead>
      <tbody>
        {view.rows.map((row) => (
          <tr key={row.row}>
            <td className="num">{row.row}</td>
            <td>{row.who}</td>
            <td>{row.person}</td>
            <td>
              {row.says}
              {row.problems.map((problem) => (
                <div key={problem.sentence} className="tag-wrong">
                  {problem.sentence} {problem.fix}
                </div>
              ))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Hours of a time clock's file for an open payroll: what each column and pay code is, row by row, then taken. */
export function HoursFile({
  payrollId,
  flush,
  onTaken,
  onClose,
}: {
  readonly payrollId: string;
  /** Saves what is typed; answers with the payroll's version. */
  readonly flush: () => Promise<number>;
  readonly onTaken: () => void;
  readonly onClose: () => void;
}): ReactNode {
  const read = useHoursFile(payrollId);
  const [file, setFile] = useState<File | null>(null);
  const [chosen, setChosen] = useState<Chosen>({});
  const [view, setView] = useState<View | null>(null);
  const look = async (next: File, more: Chosen): Promise<void> => {
    const version = await flush();
    setView(await read.mutateAsync({ ...next, ...more, version, isTaken: false }));
    setFile(next);
    setChosen(more);
  };
  const again = (more: Chosen): void => {
    if (file) void look(file, { ...chosen, ...more }).catch(() => undefined);
  };
  const take = async (): Promise<void> => {
    if (!file) return;
    const version = await flush();
    await read.mutateAsync({ ...file, ...chosen, version, isTaken: true });
    onTaken();
  };
  return (
    <section className="section" aria-label="Hours from a file">
      <h2>
        Hours from a file <small>CSV or XLSX of a time clock; the columns are remembered for this client</small>
      </h2>
      <div className="actions">
        <FileChoice
          label={file === null ? 'Choose the file' : 'Choose another file'}
          isBusy={read.isPending}
          onFile={(next) => look(next, {})}
        />
        <button type="button" className="plain" onClick={onClose}>
          close
        </button>
      </div>
      <RefusedNote error={read.error} />
      {view && (
        <>
          <p>
            {view.rowCount} {view.rowCount === 1 ? 'row' : 'rows'}, {view.people}{' '}
            {view.people === 1 ? 'employee' : 'employees'} with hours
            {view.wrong > 0 && <b>, {view.wrong === 1 ? 'one row is' : `${view.wrong} rows are`} not taken</b>}
            {view.missing.length > 0 && `; nothing for ${view.missing.join(', ')}`}.
          </p>
          {view.problems.map((problem) => (
            <div key={problem.sentence} className="problem" data-severity="error">
              {problem.sentence} {problem.fix}
            </div>
          ))}
          {(view.unknownCodes.length > 0 || Object.keys(view.codes).length > 0) && (
            <div className="mapping">
              {[...new Set([...view.unknownCodes, ...Object.keys(view.codes)])].map((code) => (
                <NativeSelect
                  key={code}
                  label={`Pay code ${code === '' ? 'left blank' : code}`}
                  value={String(view.codes[code] ?? '')}
                  data={[
                    { value: '', label: 'not known' },
                    ...view.items.map(({ name, label }) => ({ value: name, label })),
                  ]}
                  onChange={(event) => again({ codes: { ...view.codes, [code]: event.currentTarget.value } })}
                />
              ))}
            </div>
          )}
          <details className="columns-taken" open={view.problems.length > 0}>
            <summary>Columns, with the headings of row {view.headingRow}</summary>
            <ColumnMapping
              headings={view.headings}
              mapping={view.columns}
              columns={view.choices}
              onChange={(columns) => again({ columns })}
            />
          </details>
          <Totals view={view} />
          <div className="actions">
            <Button
              loading={read.isPending}
              disabled={view.people === 0 || view.problems.length > 0}
              onClick={() => void take().catch(() => undefined)}
            >
              Take the hours of {view.people === 1 ? 'one employee' : `${view.people} employees`}
            </Button>
          </div>
          <Rows view={view} />
        </>
      )}
    </section>
  );
}
