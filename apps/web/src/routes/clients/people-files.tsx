import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { peopleFilesQuery, useUploadPeople } from '../../api/set-up.js';
import { FileChoice } from '../../kit/file-choice.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { shortMoment } from '../../kit/day.js';

/** People from a file: choose it here, or go back to one. */
export function PeopleFiles({ clientId }: { readonly clientId: string }): ReactNode {
  const files = useQuery(peopleFilesQuery(clientId));
  const upload = useUploadPeople(clientId);
  const navigate = useNavigate();
  return (
    <section className="section">
      <h2>
        Employee import
        <small>
          <a href={`/api/clients/${clientId}/people.csv`}>export these employees as CSV</a> ·{' '}
          <a href={`/api/clients/${clientId}/people.xlsx`}>as XLSX</a>
        </small>
      </h2>
      <div className="actions">
        <FileChoice
          label="Read a file (CSV or XLSX)"
          isBusy={upload.isPending}
          onFile={async (file) => navigate(`/people-files/${(await upload.mutateAsync(file)).id}`)}
        />
        <span className="soft">nothing is imported before you have seen every row</span>
      </div>
      <RefusedNote error={upload.error} />
      {(files.data ?? []).length > 0 && (
        <table className="ruled">
          <tbody>
            {(files.data ?? []).map((file) => (
              <tr key={file.id}>
                <td>
                  <Link to={`/people-files/${file.id}`}>{file.fileName}</Link>
                </td>
                <td>
                  <Status word={file.status} />
                </td>
                <td className="num">{file.people === 0 ? '' : `${file.people} people`}</td>
                <td>{file.by}</td>
                <td className="soft">{shortMoment(file.at)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
