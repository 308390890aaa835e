import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { FormEvent, ReactNode } from 'react';
import { ownClientQuery, useAnswerOwn } from '../../api/contacts.js';
import type { Schemas } from '../../api/client.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { TaxLetter } from '../../kit/tax-letter.js';
import { Waiting } from '../../kit/waiting.js';
import { OwnPayroll } from './own-payroll.js';
import { useDraft } from '../fact-forms/use-draft.js';
import { Day, ShortDay } from '../../kit/day.js';
import { ListHead } from '../../kit/list-head.js';

type Asked = Schemas['AskedOfClient'];

function Question({ question }: { readonly question: Asked }): ReactNode {
  const [answer, setAnswer, clearAnswer] = useDraft(`answer.${question.id}.${question.version}`, '');
  const send = useAnswerOwn();
  const save = (event: FormEvent): void => {
    event.preventDefault();
    send.mutate({ id: question.id, version: question.version, answer }, { onSuccess: () => clearAnswer() });
  };
  return (
    <div className="question">
      <Status word={question.status} />
      <div>
        <b>{question.who === '' ? 'The business' : question.who}</b>: {question.asks}
        {question.status === 'answered' && <p className="answer">{question.answer}</p>}
        <RefusedNote error={send.error} />
      </div>
      <div className="question-acts">
        {question.status === 'asked' ? (
          <form onSubmit={save} style={{ display: 'flex', gap: 8 }}>
            <TextInput
              aria-label={`Answer: ${question.who} ${question.asks}`}
              placeholder="your answer"
              value={answer}
              onChange={(event) => setAnswer(event.currentTarget.value)}
            />
            <Button type="submit" variant="outline" loading={send.isPending} disabled={answer.trim() === ''}>
              Answer
            </Button>
          </form>
        ) : (
          <span className="soft">in process into the records</span>
        )}
        <span className="soft nowrap">
          by <Day day={question.chaseOn} />
        </span>
      </div>
    </div>
  );
}

/** What is taken from the client's account, when, and what is held of it. */
function Funds({ funds }: { readonly funds: Schemas['FundsOfClient'] }): ReactNode {
  return (
    <section className="section">
      <h2>
        Taken from your account{' '}
        <small>
          we hold <Figure amount={funds.held} /> for your taxes and pay
        </small>
      </h2>
      <table className="ruled">
        <ListHead columns={['Day', 'Reference', 'Status', { number: 'Amount' }]} />
        <tbody>
          {funds.taken.map((row) => (
            <tr key={row.reference}>
              <td>
                <ShortDay day={row.settles} />
              </td>
              <td>{row.reference}</td>
              <td>
                <Status word={row.status} />
                {row.returnedReason && <div className="sub">{row.returnedReason}</div>}
              </td>
              <td className="num">
                <Figure amount={row.amount} isPencil={row.status === 'planned'} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Done({ done }: { readonly done: readonly Schemas['DoneForClient'][] }): ReactNode {
  if (done.length === 0)
    return <p className="empty">Nothing yet. Deposits and returns stand here once they have left.</p>;
  return (
    <table className="ruled">
      <ListHead columns={['Day', 'What', 'To', 'Status', 'Confirmation', { number: 'Amount' }]} />
      <tbody>
        {done.map((row, index) => (
          <tr key={index}>
            <td className="nowrap">
              <ShortDay day={row.day} />
            </td>
            <td>{row.what}</td>
            <td>{row.to}</td>
            <td>
              <Status word={row.standing} />
              {row.returnedId && (
                <div className="sub">
                  <a
                    href={`/api/own-client/remittances/${row.returnedId}/returned.pdf`}
                    target="_blank"
                    rel="noreferrer"
                  >
                    why, and what to do (PDF)
                  </a>
                </div>
              )}
            </td>
            <td className="soft">{row.confirmation ?? ''}</td>
            <td className="num">{row.amount !== null && <Figure amount={row.amount} />}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The one page of somebody who signs in for a client: what is asked, and what is filed and paid for the business. */
export function OwnClient(): ReactNode {
  const query = useQuery(ownClientQuery);
  return (
    <Waiting query={query}>
      {(home) => {
        const asked = home.questions.filter((question) => question.status === 'asked').length;
        return (
          <>
            <div className="lead">
              <h1>{home.clientName}</h1>
              <p className="beside">{home.einTail === '' ? '' : `EIN ending ${home.einTail}`}</p>
            </div>
            <section className="section">
              <h2>
                What we need from you
                <small>{asked === 0 ? '' : `${asked} ${asked === 1 ? 'question' : 'questions'}`}</small>
              </h2>
              {home.questions.length === 0 && <p className="empty">Nothing is asked. Thank you.</p>}
              {home.questions.map((question) => (
                <Question key={`${question.id} ${question.version}`} question={question} />
              ))}
            </section>
            {home.payrolls.map((payroll) => (
              <OwnPayroll key={`${payroll.id} ${payroll.sentAt ?? ''} ${payroll.version}`} payroll={payroll} />
            ))}
            {home.funds && <Funds funds={home.funds} />}
            <section className="section">
              <h2>
                Filed and paid for you <TaxLetter base="/api/own-client" />
              </h2>
              <Done done={home.done} />
            </section>
          </>
        );
      }}
    </Waiting>
  );
}
