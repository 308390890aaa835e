import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import {
  peopleFileProgressQuery,
  peopleFileQuery,
  useChangeFile,
  useChooseMapping,
  usePeopleFileAct,
} from '../../api/set-up.js';
import { ColumnMapping } from '../../kit/column-mapping.js';
import { Problems, RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { sayDay } from '../../kit/day.js';
import { ListHead } from '../../kit/list-head.js';

type FileView = Schemas['ImportView'];

function Mapping({ file }: { readonly file: FileView }): ReactNode {
  const choose = useChooseMapping(file.id);
  const change = useChangeFile(file.id);
  return (
    <section className="section">
      <h2>
        Columns <small>what each heading of the file is taken for; remembered for this client</small>
      </h2>
      <div className="actions">
        <NativeSelect
          label="Headings are in row"
          value={String(file.headingRow)}
          data={Array.from({ length: Math.max(10, file.headingRow) }, (_, index) => String(index + 1))}
          onChange={(event) =>
            change.mutate({
              what: 'heading',
              body: { version: file.version, row: Number(event.currentTarget.value) },
            })
          }
        />
        {file.above.length > 0 && <span className="soft">above them, and not read: {file.above.join(' / ')}</span>}
      </div>
      <RefusedNote error={change.error} />
      <ColumnMapping
        headings={file.headings}
        mapping={file.mapping}
        columns={file.columns}
        onChange={(mapping) => choose.mutate({ version: file.version, mapping })}
      />
      <RefusedNote error={choose.error} />
    </section>
  );
}

function Rows({ file }: { readonly file: FileView }): ReactNode {
  const [onlyWrong, setOnlyWrong] = useState(file.wrong > 0);
  const change = useChangeFile(file.id);
  const shown = onlyWrong ? file.rows.filter((row) => row.isWrong) : file.rows;
  return (
    <section className="section">
      <h2>
        Rows
        <small>
          {file.wrong > 0 && (
            <button type="button" className="plain" onClick={() => setOnlyWrong(!onlyWrong)}>
              {onlyWrong ? 'show every row' : 'show only what is wrong'}
            </button>
          )}
        </small>
      </h2>
      <table className="ruled">
        <ListHead columns={[{ number: 'Row' }, 'No.', 'Name', 'What it says']} />
        <tbody>
          {shown.map((row) => (
            <tr key={row.row}>
              <td className="num">{row.row}</td>
              <td>{row.number}</td>
              <td>
                {row.name}
                {row.isWrong && <div className="tag-wrong">cannot be imported yet</div>}
                <button
                  type="button"
                  className="plain"
                  aria-label={`skip row ${row.row}`}
                  onClick={() =>
                    change.mutate({ what: 'skip', body: { version: file.version, row: row.row, isSkipped: true } })
                  }
                >
                  skip
                </button>
              </td>
              <td>
                {row.says.join(' · ')}
                {row.problems.map((problem, index) => (
                  <div key={index} className={problem.severity === 'error' ? 'tag-wrong' : 'soft'}>
                    {problem.field}: {problem.sentence} {problem.fix}
                    {problem.column !== '' && (
                      <Cell
                        label={`${problem.field}, row ${row.row}`}
                        cell={problem.cell}
                        onSave={(value) =>
                          change.mutate({
                            what: 'cell',
                            body: { version: file.version, row: row.row, column: problem.column, value },
                          })
                        }
                      />
                    )}
                  </div>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <RefusedNote error={change.error} />
      {file.skipped.length > 0 && (
        <ul className="second-look">
          {file.skipped.map(({ row, text }) => (
            <li key={row}>
              Row {row} is skipped: {text}{' '}
              <button
                type="button"
                className="plain"
                onClick={() => change.mutate({ what: 'skip', body: { version: file.version, row, isSkipped: false } })}
              >
                take it
              </button>
            </li>
          ))}
        </ul>
      )}
      {file.people > file.rows.length && (
        <p className="note">
          {file.rows.length} of {file.people} rows are shown; every one of them is checked.
        </p>
      )}
    </section>
  );
}

/** A cell of the file, to be corrected where it stands. */
function Cell({
  label,
  cell,
  onSave,
}: {
  readonly label: string;
  readonly cell: string;
  readonly onSave: (value: string) => void;
}): ReactNode {
  const [value, setValue] = useState(cell);
  return (
    <form
      className="actions"
      onSubmit={(event) => {
        event.preventDefault();
        onSave(value);
      }}
    >
      <TextInput aria-label={label} w={220} value={value} onChange={(event) => setValue(event.currentTarget.value)} />
      <Button type="submit" variant="outline" disabled={value === cell}>
        Correct
      </Button>
    </form>
  );
}

/** How many of the file are taken on, while it happens. */
function HowFar({ fileId, isUnderWay }: { readonly fileId: string; readonly isUnderWay: boolean }): ReactNode {
  const { data } = useQuery(peopleFileProgressQuery(fileId, isUnderWay));
  if (!isUnderWay || !data || data.total === 0) return null;
  return (
    <span className="how-far" role="status">
      <progress max={data.total} value={data.done} aria-label="Employees imported" /> {data.done} of {data.total}
    </span>
  );
}

/** A file of people: its columns, every row with what is wrong in it, and the one act that takes on all or none. */
export function PeopleFilePage(): ReactNode {
  const { fileId = '' } = useParams();
  const query = useQuery(peopleFileQuery(fileId));
  const act = usePeopleFileAct(fileId);
  return (
    <Waiting query={query}>
      {(file) => {
        const isSound = file.wrong === 0 && !file.problems.some((one) => one.severity === 'error') && file.people > 0;
        return (
          <>
            <div className="lead">
              <h1>{file.fileName}</h1>
              <p className="beside">
                <Status word={file.status} />
                <br />
                read by {file.by}, {sayDay(file.at.slice(0, 10))}
              </p>
            </div>
            <p className="sub" role="status">
              {file.status === 'previewed'
                ? `${file.people} ${file.people === 1 ? 'employee' : 'employees'} in the file, ${file.wrong === 0 ? 'every row can be imported' : `${file.wrong} of them cannot be imported yet`}.`
                : `${file.people} people.`}
            </p>
            <Problems title="The file as a whole" details={file.problems} />
            <RefusedNote error={act.error} />
            {file.status === 'previewed' && (
              <>
                <div className="actions">
                  <Button
                    disabled={!isSound}
                    loading={act.isPending}
                    onClick={() => act.mutate({ act: 'accept', version: file.version })}
                  >
                    Import all {file.people}
                  </Button>
                  <button
                    type="button"
                    className="plain"
                    onClick={() => act.mutate({ act: 'discard', version: file.version })}
                  >
                    cancel the import
                  </button>
                  <HowFar fileId={file.id} isUnderWay={act.isPending} />
                  <span className="soft">all or nobody; the whole file can be undone until one of them is paid</span>
                </div>
                <Mapping file={file} />
                <Rows key={file.version} file={file} />
              </>
            )}
            {file.status === 'accepted' && (
              <div className="actions">
                <button
                  type="button"
                  className="plain"
                  onClick={() => act.mutate({ act: 'undo', version: file.version })}
                >
                  undo the import
                </button>
              </div>
            )}
            <p className="note">
              <Link to={`/clients/${file.clientId}/people`}>The employees of this client</Link>
            </p>
          </>
        );
      }}
    </Waiting>
  );
}
