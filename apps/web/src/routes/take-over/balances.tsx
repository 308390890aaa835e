import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { useMapBalances, useUploadBalances } from '../../api/take-overs.js';
import { ColumnMapping } from '../../kit/column-mapping.js';
import { Figure } from '../../kit/figure.js';
import { FileChoice } from '../../kit/file-choice.js';
import { Problems, RefusedNote } from '../../kit/problems.js';
import { ShortDay } from '../../kit/day.js';
import { ListHead } from '../../kit/list-head.js';

type TakeOver = Schemas['TakeOverView'];
interface Props {
  readonly takeOver: TakeOver;
}

function WrongRows({ takeOver }: Props): ReactNode {
  return (
    <table className="ruled">
      <ListHead columns={[{ number: 'Row' }, 'Who', 'What is wrong']} />
      <tbody>
        {takeOver.wrongRows.map((row) => (
          <tr key={row.row}>
            <td className="num">{row.row}</td>
            <td>{row.who}</td>
            <td>
              {row.problems.map((problem, index) => (
                <div key={index} className="tag-wrong">
                  {problem.field}: {problem.sentence} {problem.fix}
                </div>
              ))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Days({ takeOver }: Props): ReactNode {
  const isPencil = takeOver.status === 'open';
  return (
    <table className="ruled" style={{ maxWidth: 720 }}>
      <ListHead columns={['Paid', { number: 'Employees' }, { number: 'Gross' }, { number: 'Net' }]} />
      <tbody>
        {takeOver.days.map((line) => (
          <tr key={`${line.from} ${line.day}`}>
            <td>
              {line.from === line.day ? (
                <ShortDay day={line.day} />
              ) : (
                <>
                  the quarter to <ShortDay day={line.day} />
                </>
              )}
            </td>
            <td className="num">{line.people}</td>
            <td className="num">
              <Figure amount={line.gross} isPencil={isPencil} />
            </td>
            <td className="num">
              <Figure amount={line.net} isPencil={isPencil} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What each person was paid and withheld: the sheet to fill in, the file, what is wrong in it, and its totals. */
export function Balances({ takeOver }: Props): ReactNode {
  const upload = useUploadBalances(takeOver.id);
  const map = useMapBalances(takeOver.id);
  const isOpen = takeOver.status === 'open';
  const form = `/api/take-overs/${takeOver.id}/form`;
  return (
    <section className="section">
      <h2>
        What each person was paid
        <small>{takeOver.fileName}</small>
      </h2>
      {isOpen && (
        <div className="actions">
          <FileChoice
            label={takeOver.rows === 0 ? 'Read a file (CSV or XLSX)' : 'Read another file'}
            isBusy={upload.isPending}
            onFile={(file) => upload.mutateAsync({ ...file, version: takeOver.version })}
          />
          <span className="soft">
            a row for each person and quarter, or check date; a sheet with your people in it:{' '}
            <a href={`${form}.xlsx`}>XLSX</a> · <a href={`${form}.csv`}>CSV</a>
          </span>
        </div>
      )}
      <RefusedNote error={upload.error ?? map.error} />
      <Problems title="The file as a whole" details={takeOver.problems} />
      {takeOver.wrongRows.length > 0 && <WrongRows takeOver={takeOver} />}
      {takeOver.days.length > 0 && <Days takeOver={takeOver} />}
      {isOpen && takeOver.headings.length > 0 && (
        <details open={takeOver.problems.length > 0} className="columns-taken">
          <summary>
            Columns: {takeOver.mapping.filter((name) => name !== '').length} of {takeOver.headings.length} headings
            taken
          </summary>
          <ColumnMapping
            headings={takeOver.headings}
            mapping={takeOver.mapping}
            columns={takeOver.columns}
            onChange={(mapping) => map.mutate({ version: takeOver.version, mapping })}
          />
        </details>
      )}
    </section>
  );
}
