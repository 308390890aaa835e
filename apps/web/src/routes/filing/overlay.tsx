import { Button } from '@mantine/core';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { useCreateFiling } from '../../api/resources.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { ListHead } from '../../kit/list-head.js';

type Filing = Schemas['FilingView'];

/** An accepted filing under what the ledger says today: filed, now, difference, and the form that puts it right. */
export function Overlay({ filing }: { readonly filing: Filing }): ReactNode {
  const create = useCreateFiling(filing.clientId);
  const navigate = useNavigate();
  const { correction } = filing;
  if (!correction) return null;
  const isUnderWay = correction.corrections.some(({ status }) => status !== 'accepted');
  const begin = (): void =>
    create.mutate(
      { kind: correction.kind, period: filing.period },
      { onSuccess: ({ id }) => void navigate(`/filings/${id}`) },
    );
  return (
    <section className="section" aria-labelledby="overlay">
      <h2 id="overlay">
        Overlay <small>what the agency has, under what the records say today</small>
      </h2>
      {correction.differs === 0 && filing.isElsewhere ? (
        <>
          <p>The year was run elsewhere: what is right is typed on {correction.name}.</p>
          {!isUnderWay && (
            <div className="actions">
              <Button loading={create.isPending} onClick={begin}>
                Begin {correction.name}
              </Button>
            </div>
          )}
          <RefusedNote error={create.error} />
        </>
      ) : correction.differs === 0 ? (
        <p className="empty">
          Nothing differs from what was accepted. What is put right in the records shows here, and {correction.name}{' '}
          follows from it.
        </p>
      ) : (
        <>
          {correction.lines.length > 0 && (
            <table className="ruled" style={{ maxWidth: 900 }}>
              <ListHead
                columns={['Line', 'What it is', { number: 'Filed' }, { number: 'Now' }, { number: 'Difference' }]}
              />
              <tbody>
                {correction.lines.map((line) => (
                  <tr key={line.id}>
                    <td>{line.id}</td>
                    <td>{line.label}</td>
                    {[line.filed, line.now, line.now - line.filed].map((value, index) => (
                      <td key={index} className="num">
                        {line.kind === 'count' ? value : <Figure amount={value} isPencil={index > 0} />}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {correction.lines.length === 0 && (
            <p>
              {correction.differs} {correction.differs === 1 ? 'box or name differs' : 'boxes and names differ'} from
              what was accepted.
            </p>
          )}
          {!isUnderWay && (
            <div className="actions">
              <Button loading={create.isPending} onClick={begin}>
                Begin {correction.name}
              </Button>
            </div>
          )}
          <RefusedNote error={create.error} />
        </>
      )}
      {correction.corrections.length > 0 && (
        <ul>
          {correction.corrections.map(({ id, title, status }) => (
            <li key={id}>
              <Link to={`/filings/${id}`}>{title}</Link> <Status word={status} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
