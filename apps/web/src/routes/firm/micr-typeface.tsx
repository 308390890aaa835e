import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { micrTypefaceQuery, useRemoveMicrTypeface, useSaveMicrTypeface } from '../../api/checks.js';
import { FileChoice } from '../../kit/file-choice.js';
import { RefusedNote } from '../../kit/problems.js';
import { Waiting } from '../../kit/waiting.js';

/** The firm's typeface for the line of magnetic ink on blank check stock. */
export function MicrTypeface({ isAdministrator }: { readonly isAdministrator: boolean }): ReactNode {
  const query = useQuery(micrTypefaceQuery);
  const save = useSaveMicrTypeface();
  const remove = useRemoveMicrTypeface();
  return (
    <section className="section">
      <h2>
        Magnetic ink <small>the line at the foot of checks on blank stock</small>
      </h2>
      <Waiting query={query}>
        {({ name, size }) => (
          <p className="note">
            {name === null
              ? 'No typeface: checks are printed on stock that has the bank’s line. No E-13B typeface comes with Zakat: one that the firm has a license for is added here, and measured.'
              : `${name}, set at ${size ?? ''} points: eight characters to the inch, as E-13B asks. Each bank tests a sample before checks are printed; positions are recalled, not compared with the standard.`}
          </p>
        )}
      </Waiting>
      {isAdministrator && (
        <div className="actions">
          <FileChoice
            label={query.data?.name ? 'Another typeface' : 'Add a typeface'}
            accept=".ttf,.otf"
            isBusy={save.isPending}
            onFile={({ fileName, content }) => save.mutateAsync({ name: fileName, content })}
          />
          {query.data?.name && (
            <button type="button" className="plain" onClick={() => remove.mutate(undefined)}>
              take it away
            </button>
          )}
        </div>
      )}
      <RefusedNote error={save.error ?? remove.error} />
    </section>
  );
}
