import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { RefusedNote } from './problems.js';

/** Shows a query's data, or that it is coming, or why it is not. */
export function Waiting<T>({
  query,
  children,
}: {
  readonly query: UseQueryResult<T>;
  readonly children: (data: T) => ReactNode;
}): ReactNode {
  if (query.data !== undefined) return children(query.data);
  if (query.isError) {
    return (
      <>
        <RefusedNote error={query.error} />
        <button type="button" className="plain" onClick={() => void query.refetch()}>
          try again
        </button>
      </>
    );
  }
  return <p className="empty">One moment.</p>;
}
