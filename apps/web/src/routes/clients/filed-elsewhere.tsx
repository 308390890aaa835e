import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { useTakeInWageFile } from '../../api/filing-parts.js';
import { FileChoice } from '../../kit/file-choice.js';
import { RefusedNote } from '../../kit/problems.js';
import { TypedStatements } from './typed-statements.js';

/** Wage statements of an earlier year that somebody else filed: what corrects them begins from their file. */
export function FiledElsewhere({ clientId }: { readonly clientId: string }): ReactNode {
  const take = useTakeInWageFile(clientId);
  const [isTyping, setTyping] = useState(false);
  const [typed, setTyped] = useState<Schemas['TakenInWageFile'] | null>(null);
  const taken = typed ?? take.data;
  return (
    <section className="section">
      <h2>
        W-2s filed elsewhere <small>to correct them here</small>
      </h2>
      <p className="note">
        Take in the EFW2 file as the former provider sent it, then each EFW2C file that corrected it. They are kept as
        they are; Forms W-2c and W-3c are begun from what stands. Where there is no file, type what was filed.
      </p>
      <div className="actions">
        <FileChoice label="Choose the wage file" isBusy={take.isPending} onFile={(file) => take.mutateAsync(file)} />
        {!isTyping && (
          <button type="button" className="plain" onClick={() => setTyping(true)}>
            type what was filed
          </button>
        )}
      </div>
      {isTyping && (
        <TypedStatements
          clientId={clientId}
          onClose={() => setTyping(false)}
          onTaken={(made) => {
            setTyped(made);
            setTyping(false);
          }}
        />
      )}
      <RefusedNote error={take.error} />
      {taken && (
        <p role="status">
          <Link to={`/filings/${taken.id}`}>
            Forms W-2 of {taken.year}, {taken.statements} {taken.statements === 1 ? 'statement' : 'statements'}
          </Link>
          {taken.stateRecords > 0 &&
            `. ${taken.stateRecords} ${taken.stateRecords === 1 ? 'record of a state is' : 'records of states are'} not read: boxes 15 to 17 stand as they stood; compare them with the paper`}
          {taken.strangers.length > 0 &&
            `. Nobody's employee here, and taken in all the same: ${taken.strangers.slice(0, 12).join('; ')}${taken.strangers.length > 12 ? ` and ${taken.strangers.length - 12} more` : ''}`}
          .
        </p>
      )}
    </section>
  );
}
