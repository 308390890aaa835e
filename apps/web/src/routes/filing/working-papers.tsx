import { TextInput } from '@mantine/core';
import { wagesTogether } from '@zakat/core/filings/working-papers';
import { cents, showDollars } from '@zakat/core/money/cents';
import { useQuery } from '@tanstack/react-query';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { useClearMark, useMark, workingPapersQuery } from '../../api/working-papers.js';
import { EntryForm } from '../../kit/entry-form.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';

type Papers = Schemas['WorkingPapersView'];
type Line = Schemas['WorkingLine'];
type Mark = Schemas['TickMarkView'];
type Kind = Mark['mark'];

/** Each mark by the key that makes it on the line that has the focus. */
const KEYS: Readonly<Record<string, Exclude<Kind, 'queried'>>> = { t: 'traced', f: 'footed', a: 'agreed' };
const OF: Readonly<Record<Schemas['ReportedWagesView']['of'], string>> = {
  'income-tax': 'wages for income tax',
  medicare: 'Medicare wages',
  unemployment: 'unemployment wages',
};

function Value({ line, value }: { readonly line: Line; readonly value: number | null }): ReactNode {
  if (value === null) return '–';
  return line.kind === 'count' ? String(value) : <Figure amount={value} />;
}

/** A mark as a word, with who made it; broken where what lay under it is not there any more. */
function MarkWord({
  mark,
  isOwn,
  mayMark,
  onClear,
}: {
  readonly mark: Mark;
  readonly isOwn: boolean;
  readonly mayMark: boolean;
  readonly onClear: () => void;
}): ReactNode {
  const words = `${mark.mark === 'queried' ? mark.note : mark.mark}, ${mark.by}`;
  return (
    <span className="tick" data-cracked={mark.isCracked} data-mark={mark.mark} title={mark.note}>
      {words}
      {mark.isCracked && <b className="tag-wrong"> cracked</b>}
      {mayMark && (isOwn || mark.mark === 'queried') && (
        <>
          {' '}
          <button type="button" className="plain" onClick={onClear}>
            {mark.mark === 'queried' ? 'answer' : 'take away'}
            <span className="unseen">
              {' '}
              the mark {mark.mark} at line {mark.line}
            </span>
          </button>
        </>
      )}
    </span>
  );
}

function Lines({ papers }: { readonly papers: Papers }): ReactNode {
  const { data: session } = useQuery(sessionQuery);
  const mark = useMark(papers.filingId);
  const clear = useClearMark(papers.filingId);
  const [asking, setAsking] = useState<string | null>(null);
  const [answering, setAnswering] = useState<string | null>(null);
  const [words, setWords] = useState('');
  const put = (line: string, kind: Kind, note = ''): void => mark.mutate({ line, mark: kind, note });
  const ask = (line: string): void => {
    setWords('');
    setAsking(line);
  };
  const keys = (event: KeyboardEvent<HTMLTableRowElement>, line: string): void => {
    if (event.target !== event.currentTarget || event.ctrlKey || event.altKey || event.metaKey) return;
    const move = { ArrowDown: 'nextElementSibling', ArrowUp: 'previousElementSibling' }[event.key] as
      'nextElementSibling' | 'previousElementSibling' | undefined;
    const kind = KEYS[event.key];
    if (move) (event.currentTarget[move] as HTMLElement | null)?.focus();
    else if (kind) put(line, kind);
    else if (event.key === 'q') ask(line);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <>
      <table className="ruled">
        <ListHead
          columns={[
            'Line',
            '',
            { number: 'This return' },
            { number: papers.periodBefore },
            { number: papers.periodYearBefore },
            'Marks',
            '',
          ]}
        />
        <tbody>
          {papers.lines.map((line) => (
            <tr
              key={line.id}
              tabIndex={papers.mayMark ? 0 : undefined}
              aria-label={`Line ${line.id}`}
              onKeyDown={(event) => papers.mayMark && keys(event, line.id)}
            >
              <td>{line.id}</td>
              <td>
                {line.label}
                {papers.toMark.includes(line.id) && <span className="soft"> to be marked</span>}
              </td>
              <td className="num">
                <Value line={line} value={line.value} />
              </td>
              <td className="num soft">
                <Value line={line} value={line.before} />
              </td>
              <td className="num soft">
                <Value line={line} value={line.yearBefore} />
              </td>
              <td>
                {line.marks.map((one) => (
                  <div key={one.id}>
                    <MarkWord
                      mark={one}
                      isOwn={one.byId === session?.user.id}
                      mayMark={papers.mayMark}
                      onClear={() => {
                        if (one.mark !== 'queried') return clear.mutate({ id: one.id, answer: '' });
                        setWords('');
                        setAnswering(one.id);
                      }}
                    />
                    {answering === one.id && (
                      <EntryForm
                        label={`Answer at line ${line.id}`}
                        act="Settle it"
                        isBusy={clear.isPending}
                        error={clear.error}
                        onClose={() => setAnswering(null)}
                        onSave={() =>
                          clear.mutate({ id: one.id, answer: words }, { onSuccess: () => setAnswering(null) })
                        }
                      >
                        <TextInput
                          label="Answer"
                          autoFocus
                          maxLength={500}
                          value={words}
                          onChange={(event) => setWords(event.currentTarget.value)}
                        />
                      </EntryForm>
                    )}
                  </div>
                ))}
                {asking === line.id && (
                  <EntryForm
                    label={`Question at line ${line.id}`}
                    act="Ask"
                    isBusy={mark.isPending}
                    error={mark.error}
                    onClose={() => setAsking(null)}
                    onSave={() =>
                      mark.mutate({ line: line.id, mark: 'queried', note: words }, { onSuccess: () => setAsking(null) })
                    }
                  >
                    <TextInput
                      label="Question"
                      autoFocus
                      maxLength={500}
                      value={words}
                      onChange={(event) => setWords(event.currentTarget.value)}
                    />
                  </EntryForm>
                )}
              </td>
              <td className="tick-acts">
                {papers.mayMark && (
                  <>
                    {Object.values(KEYS).map((kind) => (
                      <button
                        key={kind}
                        type="button"
                        className="plain"
                        tabIndex={-1}
                        style={{ marginRight: 10 }}
                        onClick={() => put(line.id, kind)}
                      >
                        {kind}
                      </button>
                    ))}
                    <button type="button" className="plain" tabIndex={-1} onClick={() => ask(line.id)}>
                      ask…
                    </button>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <RefusedNote error={asking === null && answering === null ? (mark.error ?? clear.error) : null} />
    </>
  );
}

function Rates({ papers }: { readonly papers: Papers }): ReactNode {
  if (papers.rates.length === 0) return null;
  return (
    <section className="section">
      <h2>
        Rate and base <small>what each tax came to of its taxable wages</small>
      </h2>
      <table className="ruled">
        <ListHead
          columns={[
            'Tax',
            { number: 'Taxable wages' },
            { number: 'Tax' },
            { number: 'Percent' },
            { number: papers.periodBefore },
          ]}
        />
        <tbody>
          {papers.rates.map((rate) => (
            <tr key={rate.tax}>
              <td>{rate.label}</td>
              <td className="num">
                <Figure amount={rate.wages} />
              </td>
              <td className="num">
                <Figure amount={rate.amount} />
              </td>
              <td className="num">{rate.percent}</td>
              <td className="num soft">{rate.percentBefore}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Wages of the returns of the quarter, and the states together against the federal return. */
function Wages({ papers }: { readonly papers: Papers }): ReactNode {
  if (papers.wages.length < 2) return null;
  const together = wagesTogether(papers.wages.map((row) => ({ ...row, wages: cents(row.wages) })));
  return (
    <section className="section">
      <h2>
        Wages of the quarter’s returns <small>the states together against the federal return</small>
      </h2>
      <table className="ruled">
        <ListHead columns={['Return', 'Line', 'What', { number: 'Wages' }, { number: 'Difference' }]} />
        <tbody>
          {papers.wages.map((row) => (
            <tr key={`${row.title} ${row.line}`}>
              <td>{row.filingId === null ? row.title : <Link to={`/filings/${row.filingId}`}>{row.title}</Link>}</td>
              <td>{row.line}</td>
              <td>{OF[row.of]}</td>
              <td className="num">
                <Figure amount={row.wages} />
              </td>
              <td />
            </tr>
          ))}
        </tbody>
        {together.length > 0 && (
          <tfoot>
            {together.map(({ of, states, difference }) => (
              <tr key={of}>
                <td colSpan={3}>
                  {of === 'unemployment'
                    ? 'Unemployment wages of the states, against Medicare wages'
                    : 'Wages for income tax of the states, against the federal'}
                </td>
                <td className="num">
                  <Figure amount={states} />
                </td>
                <td className="num">
                  {difference === 0 ? 'agrees' : `${difference > 0 ? '+' : ''}${showDollars(difference)}`}
                </td>
              </tr>
            ))}
          </tfoot>
        )}
      </table>
    </section>
  );
}

function Excess({ papers }: { readonly papers: Papers }): ReactNode {
  if (papers.excess.length === 0) return null;
  return (
    <section className="section">
      <h2>
        Wages over the base <small>of each person, against the year to date</small>
      </h2>
      <table className="ruled">
        <ListHead
          columns={[
            'Employee',
            { number: 'Wages' },
            { number: 'Over the base' },
            { number: 'Year' },
            { number: 'Year, taxable' },
            '',
          ]}
        />
        <tbody>
          {papers.excess.map((row) => (
            <tr key={row.employeeId}>
              <td>
                <Link to={`/employees/${row.employeeId}`}>{row.name}</Link>
              </td>
              {[row.wages, row.excess, row.yearWages, row.yearTaxable].map((amount, index) => (
                <td key={index} className="num">
                  <Figure amount={amount} />
                </td>
              ))}
              <td>{row.says === '' ? 'agrees' : <span className="problem">{row.says}</span>}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** A return line by line with the marks of preparer and reviewer, beside what it is compared with. */
export function WorkingPapersPage(): ReactNode {
  const { filingId = '' } = useParams();
  const query = useQuery(workingPapersQuery(filingId));
  return (
    <Waiting query={query}>
      {(papers) => (
        <>
          <p className="sub">
            <Link to={`/clients/${papers.clientId}/returns`}>{papers.clientName}</Link>
          </p>
          <div className="lead">
            <h1>Working papers, {papers.title}</h1>
            <p className="beside">
              <Status word={papers.status} />
              <br />
              <Link to={`/filings/${papers.filingId}`}>the return</Link>
            </p>
          </div>
          {papers.mayMark && (
            <p className="note">
              On a line: <kbd>t</kbd> traced to its entries, <kbd>f</kbd> footed, <kbd>a</kbd> agreed with another
              record, <kbd>q</kbd> a question, which holds the release until it is answered. A mark cracks when what
              lies under it moves.
            </p>
          )}
          {papers.held.map((words) => (
            <p key={words} className="problem" role="status">
              {words}
            </p>
          ))}
          <Lines papers={papers} />
          <Rates papers={papers} />
          <Wages papers={papers} />
          <Excess papers={papers} />
        </>
      )}
    </Waiting>
  );
}
