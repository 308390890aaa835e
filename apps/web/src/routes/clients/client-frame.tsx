import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, NavLink, Outlet, useOutletContext, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { clientQuery } from '../../api/resources.js';
import { WORK } from '../../kit/arrival.js';
import { Waiting } from '../../kit/waiting.js';

const PLACES: readonly (readonly [path: string, label: string])[] = [
  ['', 'Tie-out'],
  ['payrolls', 'Payrolls'],
  ['deposits', 'Deposits'],
  ['funds', 'Funds'],
  ['returns', 'Returns'],
  ['ledger', 'Ledger'],
  ['reports', 'Reports'],
  ['people', 'Employees'],
  ['facts', 'Setup'],
  ['items', 'Earnings and deductions'],
  ['brought-in', 'Prior payroll'],
  ['readiness', 'Readiness'],
  ['proof', 'Proof set'],
];
export const useClient = (): Schemas['ClientView'] => useOutletContext<Schemas['ClientView']>();

/** A client's pages: which client this is stays in view on all of them. */
export function ClientFrame(): ReactNode {
  const { clientId = '' } = useParams();
  const client = useQuery(clientQuery(clientId));
  return (
    <Waiting query={client}>
      {(data) => (
        <>
          <div className="lead">
            <h1>
              {data.legalName}
              {data.tradeName !== '' && <small className="trade">{data.tradeName}</small>}
            </h1>
            <p className="beside">
              {data.ein === '' ? 'EIN applied for' : `EIN ending ${data.ein.slice(-4)}`} · {data.key}
              <br />
              {data.depositSchedule} depositor, {data.payFrequency} pay ·{' '}
              <Link to={`/trail?client=${clientId}`}>audit trail</Link>
            </p>
          </div>
          <nav className="places" aria-label="Client">
            {PLACES.map(([path, label]) => (
              <NavLink
                key={path}
                to={path === '' ? `/clients/${clientId}` : `/clients/${clientId}/${path}`}
                end={path === ''}
              >
                {label}
              </NavLink>
            ))}
          </nav>
          <div className="of-place" tabIndex={-1} {...WORK}>
            <Outlet context={data} />
          </div>
        </>
      )}
    </Waiting>
  );
}
