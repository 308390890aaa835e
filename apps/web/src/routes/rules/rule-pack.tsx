import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { rulePackQuery, sessionQuery, useRulePackAct } from '../../api/resources.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { packWord } from './pack-word.js';
import { ShortDay } from '../../kit/day.js';
import { ListHead } from '../../kit/list-head.js';

const MOST_CHANGES = 200;

function Acts({ pack }: { readonly pack: Schemas['RulePackView'] }): ReactNode {
  const act = useRulePackAct(pack.id);
  const { data: session } = useQuery(sessionQuery);
  if (pack.status === 'withdrawn') return null;
  if (session?.user.role !== 'administrator')
    return (
      <p className="sub">
        {pack.status === 'proposed'
          ? 'It counts for nothing until an administrator accepts it.'
          : 'It counts from its first day on; an administrator can withdraw it.'}
      </p>
    );
  return (
    <>
      <div className="actions">
        {pack.status === 'proposed' && (
          <Button loading={act.isPending} onClick={() => act.mutate({ act: 'accept', version: pack.version })}>
            Accept: compute with it from its first day on
          </Button>
        )}
        <button type="button" className="plain" onClick={() => act.mutate({ act: 'withdraw', version: pack.version })}>
          withdraw it
        </button>
      </div>
      <p className="sub">
        {pack.status === 'proposed'
          ? 'Accepting changes open payrolls and all to come. What is posted stays as it is; a reviewed payroll whose figures move must be reviewed again.'
          : 'Payrolls posted with it keep their figures, also after it is withdrawn.'}
      </p>
      <RefusedNote error={act.error} />
    </>
  );
}

function Effects({ rows }: { readonly rows: readonly Schemas['RuleEffectRow'][] }): ReactNode {
  if (rows.length === 0) return <p className="empty">No client has people to pay.</p>;
  return (
    <table className="ruled">
      <ListHead
        columns={[
          'Client',
          'Checks of',
          { number: 'Employees' },
          { number: 'Moved' },
          { number: 'Net now' },
          { number: 'Net with it' },
          { number: 'Employer now' },
          { number: 'Employer with it' },
        ]}
      />
      <tbody>
        {rows.map((row) => (
          <tr key={row.clientId}>
            <td>
              <Link to={`/clients/${row.clientId}`}>{row.clientName}</Link>
              {row.note !== null && (
                <>
                  <br />
                  <span className="soft">{row.note}</span>
                </>
              )}
            </td>
            <td className="nowrap">
              <ShortDay day={row.checkDate} />
            </td>
            <td className="num">{row.people}</td>
            <td className="num">{row.moved === 0 ? '–' : row.moved}</td>
            <td className="num">
              <Figure amount={row.netBefore} />
            </td>
            <td className="num">
              <Figure amount={row.netAfter} isPencil />
            </td>
            <td className="num">
              <Figure amount={row.employerBefore} />
            </td>
            <td className="num">
              <Figure amount={row.employerAfter} isPencil />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Changes({ rows }: { readonly rows: readonly Schemas['RuleChangeRow'][] }): ReactNode {
  if (rows.length === 0)
    return <p className="empty">No value moves: the pack says what holds already, for other days.</p>;
  return (
    <>
      <table className="ruled">
        <ListHead columns={['Rule', 'From', 'Part', { number: 'Before' }, { number: 'After' }]} />
        <tbody>
          {rows.slice(0, MOST_CHANGES).map((row, index) => (
            <tr key={index}>
              <td>{row.label}</td>
              <td className="nowrap">
                <ShortDay day={row.from} />
              </td>
              <td className="soft">{row.path}</td>
              <td className="num">{row.before}</td>
              <td className="num">{row.after}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {rows.length > MOST_CHANGES && <p className="sub">And {rows.length - MOST_CHANGES} more.</p>}
    </>
  );
}

/** One rule pack: what it moves in the rules, and in the next payroll of every client. */
export function RulePackPage(): ReactNode {
  const { packId = '' } = useParams();
  const pack = useQuery(rulePackQuery(packId));
  return (
    <Waiting query={pack}>
      {(data) => (
        <>
          <p className="sub">
            <Link to="/rules">Rules</Link>
          </p>
          <div className="lead">
            <h1>{data.name}</h1>
            <Status word={packWord(data.status)} />
          </div>
          <p className="sub">
            {data.rules} {data.rules === 1 ? 'rule' : 'rules'} and {data.places}{' '}
            {data.places === 1 ? 'locality' : 'localities'}, proposed by {data.preparedBy}
            {data.acceptedBy === null ? '' : `, accepted by ${data.acceptedBy}`}.
          </p>
          <Acts pack={data} />
          <section aria-labelledby="effects" style={{ marginTop: 26 }}>
            <h2 id="effects">The next payroll of each client</h2>
            <p className="sub">Everybody at their usual pay, on the first day the pack holds.</p>
            <Effects rows={data.effects} />
          </section>
          <section aria-labelledby="changes" style={{ marginTop: 26 }}>
            <h2 id="changes">What it moves</h2>
            <Changes rows={data.changes} />
          </section>
        </>
      )}
    </Waiting>
  );
}
