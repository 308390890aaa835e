import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { correctionsQuery, useBeginCorrections } from '../../api/corrections.js';
import { ShortDay } from '../../kit/day.js';
import { DoneOfMany } from '../../kit/done-of-many.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { ListHead } from '../../kit/list-head.js';

/** What was accepted and is no longer what the records say, with what puts it right: begun together. */
export function CorrectionsSection({ clientId }: { readonly clientId: string }): ReactNode {
  const due = useQuery(correctionsQuery(clientId));
  const begin = useBeginCorrections(clientId);
  const rows = due.data ?? [];
  const waiting = rows.filter(({ openId, differs }) => openId === null && differs > 0);
  if (rows.length === 0 && !begin.data) return null;
  return (
    <section className="section">
      <h2>
        To be corrected <small>accepted, and no longer what the records say</small>
      </h2>
      {waiting.length > 0 && (
        <div className="actions">
          <Button variant="outline" loading={begin.isPending} onClick={() => begin.mutate()}>
            Begin {waiting.length === 1 ? 'the correction' : `all ${waiting.length} corrections`}
          </Button>
        </div>
      )}
      <RefusedNote error={begin.error ?? due.error} />
      {begin.data && <DoneOfMany noun="correction" word="begun" answers={begin.data} />}
      <table className="ruled">
        <ListHead
          columns={['Accepted', 'Corrected by', 'Differs in', 'By', 'Status', { number: 'Total changes by' }]}
        />
        <tbody>
          {rows.map((row) => (
            <tr key={`${row.kind} ${row.period}`}>
              <td>
                {row.filingId === null ? (
                  <>
                    {row.title}
                    <div className="sub">filed by the former provider</div>
                  </>
                ) : (
                  <Link to={`/filings/${row.filingId}`}>{row.title}</Link>
                )}
              </td>
              <td>{row.openId === null ? row.name : <Link to={`/filings/${row.openId}`}>{row.name}</Link>}</td>
              <td>
                {row.differs} {row.differs === 1 ? 'line' : 'lines'}
              </td>
              <td>{row.due === null ? 'as soon as it is found' : <ShortDay day={row.due} />}</td>
              <td>{row.openStatus === null ? 'to be begun' : <Status word={row.openStatus} />}</td>
              <td className="num">
                <Figure amount={row.change} isPencil />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
