import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { trailQuery } from '../../api/resources.js';
import { verificationQuery } from '../../api/set-up.js';
import { Waiting } from '../../kit/waiting.js';

/** Who did what, newest first; each entry is chained to the one before. */
export function TrailPage(): ReactNode {
  const trail = useQuery(trailQuery);
  const verified = useQuery(verificationQuery);
  return (
    <>
      <div className="lead">
        <h1>Audit trail</h1>
        <p className="beside">
          the newest 500 acts; each entry carries the hash of the one before
          <br />
          {verified.data &&
            (verified.data.brokenAt === null
              ? `all ${verified.data.entries} entries recomputed: the chain holds`
              : `the chain is broken at entry ${verified.data.brokenAt}`)}
        </p>
      </div>
      <Waiting query={trail}>
        {(rows) => (
          <table className="ruled">
            <thead>
              <tr>
                <th scope="col" className="num">
                  No.
                </th>
                <th scope="col">When</th>
                <th scope="col">Who</th>
                <th scope="col">Act</th>
                <th scope="col">Detail</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.seq}>
                  <td className="num">{row.seq}</td>
                  <td>{row.at.slice(0, 16).replace('T', ' ')}</td>
                  <td>{row.by}</td>
                  <td>{row.action}</td>
                  <td style={{ overflowWrap: 'anywhere' }}>
                    {Object.entries(row.detail)
                      .map(
                        ([name, value]) =>
                          `${name} ${typeof value === 'object' ? JSON.stringify(value) : String(value)}`,
                      )
                      .join(', ')}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Waiting>
    </>
  );
}
