import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { ownPayQuery, statementPath, useConsent, wageStatementPath } from '../../api/own-pay.js';
import { Day, ShortDay } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { Waiting } from '../../kit/waiting.js';

type Pay = Schemas['OwnPay'];

/** What is agreed to, and what agreeing to it means, before it is agreed to. */
function WageStatements({ pay }: { readonly pay: Pay }): ReactNode {
  const consent = useConsent();
  return (
    <section className="section">
      <h2>Forms W-2</h2>
      {pay.electronicSince === null ? (
        <>
          <p className="note">
            Your Form W-2 comes on paper. You may have it here instead: you then see, save and print it on this page,
            each January from the day it is filed, for as long as you may sign in. You may go back to paper at any time
            before it is filed, and you may always ask your employer for a paper copy.
          </p>
          <div className="actions">
            <Button loading={consent.isPending} onClick={() => consent.mutate(true)}>
              I agree to have it here
            </Button>
          </div>
        </>
      ) : (
        <>
          {pay.wageStatements.length === 0 ? (
            <p className="empty">None yet. The Form W-2 of a year stands here once it is filed.</p>
          ) : (
            <table className="ruled" style={{ maxWidth: 420 }}>
              <ListHead columns={['Year', '']} />
              <tbody>
                {pay.wageStatements.map(({ filingId, year, form }) => (
                  <tr key={filingId}>
                    <td>{year}</td>
                    <td>
                      <a href={wageStatementPath(filingId)} target="_blank" rel="noreferrer">
                        Form {form} (PDF)
                      </a>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          <p className="note">
            You agreed on <Day day={pay.electronicSince} /> to have it here.{' '}
            <button type="button" className="plain" onClick={() => consent.mutate(false)}>
              have it on paper again
            </button>
          </p>
        </>
      )}
      <RefusedNote error={consent.error} />
    </section>
  );
}

/** The one page of somebody who is paid: statements, Forms W-2, and what they said on their certificates. */
export function OwnPayPage(): ReactNode {
  const pay = useQuery(ownPayQuery);
  return (
    <Waiting query={pay}>
      {(data) => (
        <>
          <div className="lead">
            <h1>{data.name}</h1>
            <p className="beside">{data.employer}</p>
          </div>
          <section className="section">
            <h2>Pay statements</h2>
            {data.statements.length === 0 ? (
              <p className="empty">None yet. Each stands here from its check date.</p>
            ) : (
              <table className="ruled">
                <ListHead columns={['Check date', 'For', '', { number: 'Gross' }, { number: 'Net pay' }]} />
                <tbody>
                  {data.statements.map((row) => (
                    <tr key={row.paycheckId}>
                      <td>
                        <ShortDay day={row.checkDate} />
                      </td>
                      <td>
                        <ShortDay day={row.periodStart} /> to <ShortDay day={row.periodEnd} />
                      </td>
                      <td>
                        <a href={statementPath(row.paycheckId)} target="_blank" rel="noreferrer">
                          statement (PDF)
                        </a>
                      </td>
                      <td className="num">
                        <Figure amount={row.gross} />
                      </td>
                      <td className="num">
                        <Figure amount={row.net} />
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
          </section>
          <WageStatements pay={data} />
          <section className="section">
            <h2>
              On record <small>to change something, tell your employer</small>
            </h2>
            <table className="ruled">
              <ListHead columns={['What', 'As it stands', 'From']} />
              <tbody>
                {data.facts.map(({ label, says, from }) => (
                  <tr key={`${label} ${says}`}>
                    <td>{label}</td>
                    <td>{says}</td>
                    <td>
                      <ShortDay day={from} />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        </>
      )}
    </Waiting>
  );
}
