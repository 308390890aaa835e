import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { newHiresQuery, useReportNewHires } from '../../api/set-up.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { ShortDay, shortDay } from '../../kit/day.js';
import { ListHead } from '../../kit/list-head.js';

/** Gives a file to the browser to keep. */
function hand(fileName: string, content: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([content], { type: 'text/csv' }));
  link.download = fileName;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** Who was hired lately and whether the state knows. */
export function NewHires({ clientId }: { readonly clientId: string }): ReactNode {
  const hires = useQuery(newHiresQuery(clientId));
  const report = useReportNewHires(clientId);
  const rows = hires.data ?? [];
  if (rows.length === 0) return null;
  const states = [...new Set(rows.filter((row) => row.reportedOn === null).map((row) => row.state))];
  return (
    <section className="section">
      <h2>
        New hires <small>of the last sixty days, to be reported to the state of work</small>
      </h2>
      <table className="ruled">
        <ListHead columns={['Due', 'Name', 'State', 'Hired', 'Standing']} />
        <tbody>
          {rows.map((row) => (
            <tr key={row.employeeId}>
              <td className="nowrap" title={row.rule}>
                <ShortDay day={row.due} />
              </td>
              <td>{row.name}</td>
              <td>{row.state}</td>
              <td>{shortDay(row.hiredOn)}</td>
              <td>
                {row.reportedOn !== null ? (
                  <>
                    <Status word="reported" /> {shortDay(row.reportedOn)}
                  </>
                ) : row.missing.length > 0 ? (
                  <span className="tag-wait">needs {row.missing.join(', ')}</span>
                ) : (
                  <Status word="open" />
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <RefusedNote error={report.error} />
      <div className="actions">
        {states.map((state) => (
          <Button
            key={state}
            variant="outline"
            loading={report.isPending}
            onClick={() => report.mutate({ state }, { onSuccess: (file) => hand(file.fileName, file.content) })}
          >
            Make the {state} report
          </Button>
        ))}
      </div>
    </section>
  );
}
