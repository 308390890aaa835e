import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { PURPOSE_WORDS, type Purpose } from '@zakat/core/readiness/gap';
import { addDays, parseDate } from '@zakat/core/calendar/local-date';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { questionsQuery, readinessQuery, useAskQuestions, usePassGap } from '../../api/set-up.js';
import { LetPass } from '../../kit/let-pass.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { useClient } from './client-frame.js';
import { NewHires } from './new-hires.js';
import { SignIns } from './sign-ins.js';
import { QuestionLine } from './question-line.js';
import { ShortDay } from '../../kit/day.js';

type Gap = Schemas['GapView'];
const MOVES: Readonly<Record<Gap['move'], string>> = { client: 'the client', firm: 'us', agency: 'the agency' };

/** Where the field of a gap is entered. */
function placeOf(gap: Pick<Gap, 'personId' | 'field'>, clientId: string): string {
  if (gap.personId !== null) return `/employees/${gap.personId}?field=${encodeURIComponent(gap.field)}`;
  const agency = /^payment (.+)$/.exec(gap.field)?.[1];
  if (agency !== undefined) return `/firm/agencies?agency=${encodeURIComponent(agency)}`;
  if (gap.field === 'people' || gap.field === 'brought-in') return `/clients/${clientId}/${gap.field}`;
  return `/clients/${clientId}/facts?field=${encodeURIComponent(gap.field)}`;
}

function Pass({ gap, clientId }: { readonly gap: Gap; readonly clientId: string }): ReactNode {
  const pass = usePassGap(clientId);
  return (
    <LetPass
      what={`${gap.who} ${gap.says}`}
      because={gap.passedBecause}
      error={pass.error}
      onPass={(reason) => pass.mutate({ key: gap.key, personId: gap.personId, reason })}
    />
  );
}

function Gaps({
  gaps,
  clientId,
  isSenior,
}: {
  readonly gaps: readonly Gap[];
  readonly clientId: string;
  readonly isSenior: boolean;
}): ReactNode {
  return (
    <table className="ruled gaps">
      <thead>
        <tr>
          <th scope="col">By</th>
          <th scope="col">For</th>
          <th scope="col">Missing or doubtful</th>
          <th scope="col">Needed for</th>
          <th scope="col" style={{ width: 92 }}>
            Waiting on
          </th>
          <th scope="col" style={{ width: 150 }}>
            Next paycheck
          </th>
        </tr>
      </thead>
      <tbody>
        {gaps.map((gap) => (
          <tr key={`${gap.personId ?? ''} ${gap.key}`}>
            <td className="nowrap">{gap.by ? <ShortDay day={gap.by} /> : <span className="soft">no day set</span>}</td>
            <td>{gap.personId === null ? 'the business' : gap.who}</td>
            <td>
              {gap.says} <Link to={placeOf(gap, clientId)}>{gap.fix}</Link>
            </td>
            <td>{gap.neededFor.map((purpose) => PURPOSE_WORDS[purpose as Purpose]).join(', ')}</td>
            <td>{MOVES[gap.move]}</td>
            <td>
              {gap.blocksPaycheck && gap.passedBecause === null && <span className="tag-wait">waits for it</span>}{' '}
              {gap.blocksPaycheck && (isSenior || gap.passedBecause !== null) && <Pass gap={gap} clientId={clientId} />}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What is missing of the client and its people: for what, by when, whose move; and the one letter that asks for it. */
export function ReadinessPage(): ReactNode {
  const client = useClient();
  const readiness = useQuery(readinessQuery(client.id));
  const questions = useQuery(questionsQuery(client.id));
  const { data: session } = useQuery(sessionQuery);
  const ask = useAskQuestions(client.id);
  const today = parseDate(session?.today ?? '');
  const isSenior = session?.user.role !== 'preparer';
  return (
    <Waiting query={readiness}>
      {({ gaps, letter }) => {
        const blocking = gaps.filter((gap) => gap.blocksPaycheck && gap.passedBecause === null);
        const open = (questions.data ?? []).filter((question) => ['asked', 'answered'].includes(question.status));
        return (
          <>
            <p className="sub" style={{ fontSize: 16 }}>
              {gaps.length === 0 ? (
                <>
                  <Status word="ready" /> Nothing is missing: paychecks, deposits, returns and wage statements can be
                  made.
                </>
              ) : blocking.length === 0 ? (
                <>
                  <Status word="ready" /> Nothing holds the next payroll. {gaps.length}{' '}
                  {gaps.length === 1 ? 'fact is' : 'facts are'} still needed later.
                </>
              ) : (
                <>
                  <Status word="held" /> {blocking.length} of {gaps.length} missing facts hold the next payroll.
                </>
              )}
            </p>
            {gaps.length > 0 && <Gaps gaps={gaps} clientId={client.id} isSenior={isSenior} />}
            <section className="section">
              <h2>
                Questions to the client
                <small>
                  <a href={`/api/clients/${client.id}/letter.pdf`} target="_blank" rel="noreferrer">
                    the letter as PDF
                  </a>
                </small>
              </h2>
              {letter.length === 0 && open.length === 0 && <p className="empty">There is nothing to ask.</p>}
              {open.map((question) => (
                <QuestionLine
                  key={question.id}
                  question={question}
                  isSenior={isSenior}
                  place={placeOf(question, client.id)}
                />
              ))}
              {letter.length > 0 && (
                <div className="actions">
                  <Button
                    loading={ask.isPending}
                    disabled={!today}
                    onClick={() => today && ask.mutate({ chaseOn: addDays(today, 7) })}
                  >
                    Ask everything that is not asked yet
                  </Button>
                  <span className="soft">followed up after seven days</span>
                </div>
              )}
              <RefusedNote error={ask.error} />
            </section>
            <SignIns clientId={client.id} isAdministrator={session?.user.role === 'administrator'} />
            <NewHires clientId={client.id} />
          </>
        );
      }}
    </Waiting>
  );
}
