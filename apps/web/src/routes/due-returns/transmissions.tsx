import { useQuery } from '@tanstack/react-query';
import { Fragment, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { transmissionsQuery } from '../../api/transmissions.js';
import { shortMoment } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';

type Transmission = Schemas['TransmissionRow'];

/** How far the answers have come, in words. */
function answers({ sentAt, delayed, refused, count, accepted, rejected }: Transmission): string {
  if (refused !== null) return `${refused} Its returns went one by one.`;
  if (sentAt === null)
    return delayed === null ? 'waiting to be sent' : `not sent yet: ${delayed}; tried again by itself`;
  const open = count - accepted - rejected;
  return [
    ...(accepted > 0 ? [`${accepted} accepted`] : []),
    ...(rejected > 0 ? [`${rejected} rejected`] : []),
    ...(open > 0 ? [`${open} not answered yet`] : []),
  ].join(', ');
}

function Returns({ of }: { readonly of: Transmission }): ReactNode {
  return of.returns.map((one) => (
    <tr key={one.filingId}>
      <td />
      <td colSpan={4}>
        <Link to={`/filings/${one.filingId}`}>{one.title}</Link>, {one.clientName}
      </td>
      <td colSpan={2}>
        <Status word={one.verdict === 'waiting' ? 'released' : one.verdict} />
      </td>
    </tr>
  ));
}

function Rows({ rows }: { readonly rows: readonly Transmission[] }): ReactNode {
  // What was refused, or is not answered yet, is what one looks for.
  const [opened, setOpened] = useState<ReadonlyMap<string, boolean>>(new Map());
  const isOpen = (row: Transmission): boolean => opened.get(row.id) ?? row.accepted < row.count;
  return rows.map((row) => (
    <Fragment key={row.id}>
      <tr data-late={row.rejected > 0 || row.refused !== null}>
        <td>
          <button
            type="button"
            className="plain"
            aria-expanded={isOpen(row)}
            aria-label={`Returns of transmission ${row.number}`}
            onClick={() => setOpened(new Map([...opened, [row.id, !isOpen(row)]]))}
          >
            {row.number}
          </button>
        </td>
        <td>
          <time dateTime={row.sentAt ?? row.madeAt}>{shortMoment(row.sentAt ?? row.madeAt)}</time>
        </td>
        <td>
          {row.receiver}
          {row.reference && <div className="note">{row.reference}</div>}
        </td>
        <td className="num">{row.count}</td>
        <td className="num">
          <Figure amount={row.amount} isPencil={row.accepted < row.count} />
        </td>
        <td>{answers(row)}</td>
        <td>
          <a href={`/api/transmissions/${row.id}/file`}>as sent</a>
          {row.isAcknowledged && (
            <>
              , <a href={`/api/transmissions/${row.id}/acknowledgements`}>acknowledgements</a>
            </>
          )}
        </td>
      </tr>
      {isOpen(row) && <Returns of={row} />}
    </Fragment>
  ));
}

/** Files of several returns to the IRS: when they left, with which control totals, and what became of each return. */
export function TransmissionsPage(): ReactNode {
  const transmissions = useQuery(transmissionsQuery);
  return (
    <Waiting query={transmissions}>
      {(rows) => (
        <>
          <div className="lead">
            <h1>Transmissions</h1>
            <p className="beside">
              <Link to="/returns">Returns</Link> that were released together and left in one file; each is judged by
              itself
            </p>
          </div>
          {rows.length === 0 ? (
            <p className="empty">
              Nothing has left together yet. Two or more returns to the IRS that are released at once leave in one file.
            </p>
          ) : (
            <table className="ruled">
              <thead>
                <tr>
                  <th scope="col" style={{ width: 60 }}>
                    No.
                  </th>
                  <th scope="col">Sent</th>
                  <th scope="col">To</th>
                  <th scope="col" className="num">
                    Returns
                  </th>
                  <th scope="col" className="num">
                    Control total
                  </th>
                  <th scope="col">Answers</th>
                  <th scope="col">Files</th>
                </tr>
              </thead>
              <tbody>
                <Rows rows={rows} />
              </tbody>
            </table>
          )}
        </>
      )}
    </Waiting>
  );
}
