import { Button, TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { useSaveReported } from '../../api/take-overs.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { useDraft } from '../fact-forms/use-draft.js';
import { distanceOf, draftOf, faultOf, inputsOf, keyOf, type TypedFigure } from './reported-draft.js';
import { shortDay } from '../../kit/day.js';
import { DateField } from '../../kit/date-field.js';
import { ListHead } from '../../kit/list-head.js';

type TakeOver = Schemas['TakeOverView'];
type FigureLine = Schemas['FigureView'];

interface LineProps {
  readonly figure: FigureLine;
  readonly typed: TypedFigure;
  readonly isOpen: boolean;
  readonly isShown: boolean;
  readonly onChange: (typed: TypedFigure) => void;
}

function Line({ figure, typed, isOpen, isShown, onChange }: LineProps): ReactNode {
  const fault = isShown ? faultOf(typed) : null;
  return (
    <tr>
      <td>{figure.label}</td>
      <td className="num">
        <Figure amount={figure.balances} isPencil={isOpen} />
      </td>
      <td className="num typed">
        {isOpen ? (
          <TextInput
            aria-label={`${figure.label}, quarter ${figure.quarter}`}
            value={typed.amount}
            error={fault}
            autoComplete="off"
            onChange={(event) => onChange({ ...typed, amount: event.currentTarget.value })}
          />
        ) : (
          <Figure amount={figure.amount} />
        )}
      </td>
      <td className="typed">
        {figure.kind === 'paid' &&
          (isOpen ? (
            <DateField
              aria-label={`Last deposit of ${figure.label}, quarter ${figure.quarter}`}
              value={typed.day}
              onChange={(day) => onChange({ ...typed, day })}
            />
          ) : (
            shortDay(figure.day ?? '')
          ))}
      </td>
      <td className="num">
        <Figure amount={distanceOf(figure, typed)} />
      </td>
    </tr>
  );
}

/** What the former provider filed and deposited, quarter by quarter, beside what the rows add up to. */
export function Reported({ takeOver }: { readonly takeOver: TakeOver }): ReactNode {
  const [draft, setDraft, clearDraft, isKept] = useDraft(
    `reported.${takeOver.id}.${takeOver.version}`,
    draftOf(takeOver.figures),
  );
  const [isAsked, setAsked] = useState(false);
  const save = useSaveReported(takeOver.id);
  const isOpen = takeOver.status === 'open';
  const quarters = [...new Set(takeOver.figures.map((figure) => figure.quarter))];
  const blank: TypedFigure = { amount: '', day: '' };
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    setAsked(true);
    if (Object.values(draft).some((typed) => faultOf(typed) !== null)) return;
    save.mutate(
      { version: takeOver.version, figures: inputsOf(takeOver.figures, draft) },
      { onSuccess: () => clearDraft() },
    );
  };
  if (quarters.length === 0) return null;
  return (
    <section className="section">
      <h2>
        What was filed and deposited
        <small>{isOpen ? 'leave blank what the former provider did not file or pay' : ''}</small>
      </h2>
      <form onSubmit={submit}>
        <table className="ruled reported">
          <ListHead
            columns={[
              'Figure',
              { number: 'The rows say' },
              { number: 'Filed or paid' },
              'Last deposit',
              { number: 'Difference' },
            ]}
          />
          {quarters.map((quarter) => (
            <tbody key={quarter}>
              <tr className="band">
                <th scope="rowgroup" colSpan={5}>
                  Quarter {quarter}, {takeOver.year}
                </th>
              </tr>
              {takeOver.figures
                .filter((figure) => figure.quarter === quarter)
                .map((figure) => (
                  <Line
                    key={keyOf(figure)}
                    figure={figure}
                    typed={draft[keyOf(figure)] ?? blank}
                    isOpen={isOpen}
                    isShown={isAsked}
                    onChange={(typed) => setDraft({ ...draft, [keyOf(figure)]: typed })}
                  />
                ))}
            </tbody>
          ))}
        </table>
        {isOpen && (
          <div className="actions">
            <Button type="submit" variant="outline" loading={save.isPending}>
              Keep and compare
            </Button>
            {isKept && <span className="soft">typed and not kept yet</span>}
          </div>
        )}
        <RefusedNote error={save.error} />
      </form>
    </section>
  );
}
