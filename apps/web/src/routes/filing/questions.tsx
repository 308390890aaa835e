import { Button, NativeSelect, Textarea } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { useAnswerQuestions } from '../../api/resources.js';
import { DateField } from '../../kit/date-field.js';
import { shortDay } from '../../kit/day.js';
import { RefusedNote } from '../../kit/problems.js';

type Filing = Schemas['FilingView'];
type Question = Filing['questions'][number];

function Field({
  question,
  value,
  onChange,
}: {
  readonly question: Question;
  readonly value: string;
  readonly onChange: (value: string) => void;
}): ReactNode {
  const { label, help } = question;
  if (question.kind === 'day')
    return <DateField label={label} description={help} value={value} onChange={onChange} maw={320} />;
  if (question.kind === 'choice')
    return (
      <NativeSelect
        label={label}
        description={help}
        maw={620}
        value={value}
        onChange={(event) => onChange(event.currentTarget.value)}
        data={[{ value: '', label: 'not answered' }, ...question.choices]}
      />
    );
  return (
    <Textarea
      label={label}
      description={help}
      maw={620}
      rows={3}
      maxLength={2000}
      value={value}
      onChange={(event) => onChange(event.currentTarget.value)}
    />
  );
}

/** What a return asks in words: answered while it is a draft, said afterwards. */
export function Questions({ filing }: { readonly filing: Filing }): ReactNode {
  const save = useAnswerQuestions(filing.id);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  if (filing.questions.length === 0) return null;
  const valueOf = ({ name, answer }: Question): string => typed[name] ?? answer;
  const said = ({ kind, answer, choices }: Question): string =>
    kind === 'day' && answer !== ''
      ? shortDay(answer)
      : (choices.find(({ value }) => value === answer)?.label ?? (answer === '' ? 'not answered' : answer));
  if (filing.status !== 'draft')
    return (
      <section className="section">
        <h2>Answers</h2>
        <table className="ruled" style={{ maxWidth: 900 }}>
          <tbody>
            {filing.questions.map((question) => (
              <tr key={question.name}>
                <td>{question.label}</td>
                <td>{said(question)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    );
  return (
    <section className="section">
      <h2>
        To be answered <small>before it is checked</small>
      </h2>
      <form
        style={{ display: 'grid', gap: 12 }}
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate(
            {
              version: filing.version,
              answers: filing.questions.map((question) => ({ name: question.name, answer: valueOf(question) })),
            },
            { onSuccess: () => setTyped({}) },
          );
        }}
      >
        {filing.questions.map((question) => (
          <Field
            key={question.name}
            question={question}
            value={valueOf(question)}
            onChange={(value) => setTyped((before) => ({ ...before, [question.name]: value }))}
          />
        ))}
        <div className="actions">
          <Button type="submit" variant="outline" loading={save.isPending}>
            Save the answers
          </Button>
        </div>
      </form>
      <RefusedNote error={save.error} />
    </section>
  );
}
