import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { proofsQuery, useProofAct } from '../../api/set-up.js';
import { Figure } from '../../kit/figure.js';
import { Problems, RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { useClient } from './client-frame.js';
import { sayDay } from '../../kit/day.js';
import { ListHead } from '../../kit/list-head.js';

function Proof({ proof }: { readonly proof: Schemas['ProofView'] }): ReactNode {
  const act = useProofAct();
  const shown = proof.figures.filter((one) =>
    proof.isMoved ? one.expected !== one.now : ['gross', 'net'].includes(one.figure),
  );
  return (
    <section className="section">
      <h2>
        <span>
          <Link to={`/employees/${proof.employeeId}`}>{proof.employeeName}</Link>: {proof.name}
        </span>
        <small>
          agreed by {proof.agreedBy} for {sayDay(proof.checkDate)}, computed again for {sayDay(proof.computedFor)}
        </small>
      </h2>
      <p className="sub">
        <Status word={proof.isMoved ? 'moved' : 'agrees'} />
      </p>
      <Problems title="The trial says" details={proof.problems} />
      <table className="ruled" style={{ maxWidth: 620 }}>
        <ListHead columns={['Figure', { number: 'Agreed' }, { number: 'Now' }, { number: 'Difference' }]} />
        <tbody>
          {shown.map((one) => (
            <tr key={one.figure}>
              <td>{one.label}</td>
              <td className="num">
                <Figure amount={one.expected} />
              </td>
              <td className="num">
                <Figure amount={one.now} isPencil />
              </td>
              <td className="num">
                <Figure amount={one.now === null || one.expected === null ? null : one.now - one.expected} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <RefusedNote error={act.error} />
      <div className="actions">
        {proof.isMoved && (
          <button type="button" className="plain" onClick={() => act.mutate({ id: proof.id, act: 'accept' })}>
            agree to what moved
          </button>
        )}
        <button type="button" className="plain" onClick={() => act.mutate({ id: proof.id, act: 'withdraw' })}>
          take it out of the set
        </button>
      </div>
    </section>
  );
}

/** Example checks that were agreed by hand, computed again with today's rules and rates. */
export function ProofPage(): ReactNode {
  const client = useClient();
  const proofs = useQuery(proofsQuery(client.id));
  return (
    <Waiting query={proofs}>
      {(rows) => {
        const moved = rows.filter((proof) => proof.isMoved).length;
        return rows.length === 0 ? (
          <p className="empty">
            No check is agreed yet. On the page of a person, keep the trial paycheck once you have agreed it by hand; it
            is computed again whenever a rule or a rate changes.
          </p>
        ) : (
          <>
            <p className="sub">
              {moved > 0
                ? `${moved} of ${rows.length} agreed checks have moved.`
                : rows.length === 1
                  ? 'The agreed check still comes out to the cent.'
                  : `All ${rows.length} agreed checks still come out to the cent.`}
            </p>
            {[...rows]
              .sort((a, b) => Number(b.isMoved) - Number(a.isMoved))
              .map((proof) => (
                <Proof key={proof.id} proof={proof} />
              ))}
          </>
        );
      }}
    </Waiting>
  );
}
