import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Refused } from '../api/client.js';

interface Detail {
  readonly field: string;
  readonly severity: string;
  readonly sentence: string;
  readonly fix: string;
}
/** Where a field of a problem is corrected; null when it is on this page. */
export type Route = (field: string) => string | null;

export function Problems({
  details,
  title,
  route,
}: {
  readonly details: readonly Detail[];
  readonly title: string;
  readonly route?: Route;
}): ReactNode {
  if (details.length === 0) return null;
  const severity = details.some((detail) => detail.severity === 'error') ? 'error' : 'warning';
  return (
    <div className="problem" data-severity={severity} role={severity === 'error' ? 'alert' : 'status'}>
      <b>{title}</b>
      <ul>
        {details.map((detail, index) => {
          const to = route?.(detail.field) ?? null;
          return (
            <li key={index}>
              {detail.sentence} {detail.fix} {to && <Link to={to}>Go to the field</Link>}
            </li>
          );
        })}
      </ul>
    </div>
  );
}

/** What the server refused, in its own words. */
export function RefusedNote({ error, route }: { readonly error: Error | null; readonly route?: Route }): ReactNode {
  if (!error) return null;
  const details = error instanceof Refused ? error.problem.problems : [];
  if (details.length > 0)
    return <Problems title="This cannot be done yet" details={details} {...(route ? { route } : {})} />;
  return (
    <div className="problem" role="alert">
      {error.message}
    </div>
  );
}
