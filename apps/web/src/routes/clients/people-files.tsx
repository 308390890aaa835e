import { Button, FileButton } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { peopleFilesQuery, useUploadPeople } from '../../api/set-up.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';

const MOST_BYTES = 5_500_000;

/** A file's bytes in base64, as the request carries them. */
const read = (file: File): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result).replace(/^[^,]*,/, ''));
    reader.onerror = () => reject(new Error('The file cannot be read.'));
    reader.readAsDataURL(file);
  });

/** People from a file: choose it here, or go back to one. */
export function PeopleFiles({ clientId }: { readonly clientId: string }): ReactNode {
  const files = useQuery(peopleFilesQuery(clientId));
  const upload = useUploadPeople(clientId);
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const choose = (file: File | null): void => {
    if (!file) return;
    if (file.size > MOST_BYTES) {
      setProblem('The file is larger than 5 MB. Split it into several.');
      return;
    }
    setProblem(null);
    void read(file)
      .then((content) => upload.mutateAsync({ fileName: file.name.slice(0, 120), content }))
      .then((made) => navigate(`/people-files/${made.id}`))
      .catch((error: unknown) => setProblem(upload.isError || !(error instanceof Error) ? null : error.message));
  };
  return (
    <section className="section">
      <h2>
        Files of people
        <small>
          <a href={`/api/clients/${clientId}/people.csv`}>these people as CSV</a> ·{' '}
          <a href={`/api/clients/${clientId}/people.xlsx`}>as XLSX</a>
        </small>
      </h2>
      <div className="actions">
        <FileButton onChange={choose} accept=".csv,.txt,.tsv,.xlsx">
          {(props) => (
            <Button {...props} variant="outline" loading={upload.isPending}>
              Read a file (CSV or XLSX)
            </Button>
          )}
        </FileButton>
        <span className="soft">nothing is taken on before you have seen every row</span>
      </div>
      {problem && (
        <div className="problem" role="alert">
          {problem}
        </div>
      )}
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
                <td className="soft">{file.at.slice(0, 16).replace('T', ' ')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
