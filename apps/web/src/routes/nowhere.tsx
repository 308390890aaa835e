import type { ReactNode } from 'react';
import { Link } from 'react-router';

export function Nowhere(): ReactNode {
  return (
    <div className="page">
      <h1>There is no such page</h1>
      <p className="note">
        The address may be mistyped. <Link to="/">Go to the ladder</Link>.
      </p>
    </div>
  );
}
