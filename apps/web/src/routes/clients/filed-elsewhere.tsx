import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useTakeInWageFile } from '../../api/filing-parts.js';
import { FileChoice } from '../../kit/file-choice.js';
import { RefusedNote } from '../../kit/problems.js';

/** Wage statements of an earlier year that somebody else filed: what corrects them begins from their file. */
export function FiledElsewhere({ clientId }: { readonly clientId: string }): ReactNode {
  const take = useTakeInWageFile(clientId);
  const taken = take.data;
  return (
    <section className="section">
      <h2>
        W-2s filed elsewhere <small>to correct them here</small>
      </h2>
      <p className="note">
        Take in the EFW2 file as the former provider sent it. It is kept as it is; Forms W-2c and W-3c are begun from
        it.
      </p>
      <div className="actions">
        <FileChoice label="Choose the wage file" isBusy={take.isPending} onFile={(file) => take.mutateAsync(file)} />
      </div>
      <RefusedNote error={take.error} />
      {taken && (
        <p role="status">
          <Link to={`/filings/${taken.id}`}>
            Forms W-2 of {taken.year}, {taken.statements} {taken.statements === 1 ? 'statement' : 'statements'}
          </Link>
          {taken.strangers.length > 0 &&
            `. Nobody's employee here, and taken in all the same: ${taken.strangers.slice(0, 12).join('; ')}${taken.strangers.length > 12 ? ` and ${taken.strangers.length - 12} more` : ''}`}
          .
        </p>
      )}
    </section>
  );
}
