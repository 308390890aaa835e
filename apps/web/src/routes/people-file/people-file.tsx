import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { peopleFileProgressQuery, peopleFileQuery, useChooseMapping, usePeopleFileAct } from '../../api/set-up.js';
import { ColumnMapping } from '../../kit/column-mapping.js';
import { Problems, RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';

type FileView = Schemas['ImportView'];

function Mapping({ file }: { readonly file: FileView }): ReactNode {
  const choose = useChooseMapping(file.id);
  return (
    <section className="section">
      <h2>
        Columns <small>what each heading of the file is taken for; remembered for this client</small>
      </h2>
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
  const shown = onlyWrong ? file.rows.filter((row) => row.name === '') : file.rows;
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
        <thead>
          <tr>
            <th scope="col" className="num">
              Row
            </th>
            <th scope="col">Number</th>
            <th scope="col">Name</th>
            <th scope="col">What it says</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((row) => (
            <tr key={row.row}>
              <td className="num">{row.row}</td>
              <td>{row.number}</td>
              <td>{row.name === '' ? <span className="tag-wrong">ignored</span> : row.name}</td>
              <td>
                {row.says.join(' · ')}
                {row.problems.map((problem, index) => (
                  <div key={index} className={problem.severity === 'error' ? 'tag-wrong' : 'soft'}>
                    {problem.field}: {problem.sentence} {problem.fix}
                  </div>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {file.people > file.rows.length && (
        <p className="note">
          {file.rows.length} of {file.people} rows are shown; every one of them is checked.
        </p>
      )}
    </section>
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
        const isSound = file.wrong === 0 && file.problems.length === 0 && file.people > 0;
        return (
          <>
            <div className="lead">
              <h1>{file.fileName}</h1>
              <p className="beside">
                <Status word={file.status} />
                <br />
                read by {file.by}, {file.at.slice(0, 16).replace('T', ' ')}
              </p>
            </div>
            <p className="sub" role="status">
              {file.status === 'previewed'
                ? `${file.people} ${file.people === 1 ? 'person' : 'people'} in the file, ${file.wrong === 0 ? 'every row can be taken on' : `${file.wrong} of them cannot be imported yet`}.`
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
              <Link to={`/clients/${file.clientId}/people`}>The people of this client</Link>
            </p>
          </>
        );
      }}
    </Waiting>
  );
}
