import { TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { useQuestionAct } from '../../api/set-up.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { shortDay } from '../../kit/day.js';

/** One question in process: asked, answered in the client's words, accepted by a second person. */
export function QuestionLine({
  question,
  isSenior,
  place,
}: {
  readonly question: Schemas['QuestionView'];
  readonly isSenior: boolean;
  /** Where the answer is entered. */
  readonly place: string;
}): ReactNode {
  const act = useQuestionAct();
  const [answer, setAnswer] = useState('');
  const go = (what: 'answer' | 'reopen' | 'accept' | 'withdraw'): void =>
    act.mutate({ id: question.id, act: what, version: question.version, answer });
  const save = (event: FormEvent): void => {
    event.preventDefault();
    go('answer');
  };
  return (
    <div className="question">
      <Status word={question.status} />
      <div>
        <b>{question.who === '' ? 'The business' : question.who}</b>: {question.asks}
        {question.status === 'answered' && <p className="answer">{question.answer}</p>}
        {question.status === 'answered' && !question.entersItself && (
          <p className="soft">
            <Link to={place}>Enter it in the record</Link>, then accept.
          </p>
        )}
        <RefusedNote error={act.error} />
      </div>
      <div className="question-acts">
        {question.status === 'asked' && (
          <form onSubmit={save}>
            <TextInput
              aria-label={`Answer: ${question.asks}`}
              placeholder="the answer that came"
              value={answer}
              onChange={(event) => setAnswer(event.currentTarget.value)}
            />
          </form>
        )}
        {question.status === 'answered' && isSenior && (
          <button type="button" className="plain" onClick={() => go('accept')}>
            {question.entersItself ? 'accept and enter' : 'accept'}
          </button>
        )}
        {question.status === 'answered' && (
          <button type="button" className="plain" onClick={() => go('reopen')}>
            ask again
          </button>
        )}
        <button type="button" className="plain" onClick={() => go('withdraw')}>
          withdraw
        </button>
        <span className="soft nowrap">follow up {shortDay(question.chaseOn)}</span>
      </div>
    </div>
  );
}
