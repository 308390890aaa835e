import type { ReactNode } from 'react';
import type { Schemas } from '../api/client.js';

/** What became of many, with the reasons of those that were refused. */
export function DoneOfMany({
  answers,
  noun,
  word,
}: {
  readonly answers: readonly Schemas['DoneOfMany'][];
  /** What one is: `payment`. */
  readonly noun: string;
  /** What was done with it: `scheduled`. */
  readonly word: string;
}): ReactNode {
  const refused = answers.filter((one) => one.refused !== null);
  const done = answers.length - refused.length;
  return (
    <div {...(refused.length > 0 ? { className: 'problem' } : {})} role="status">
      {done} {done === 1 ? noun : `${noun}s`} {word}.
      {refused.length > 0 && (
        <ul>
          {refused.map(({ key, what, refused: why }) => (
            <li key={key}>
              {what}: {why}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
