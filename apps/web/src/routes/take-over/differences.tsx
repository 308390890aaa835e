import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { usePassDifference } from '../../api/take-overs.js';
import { Figure } from '../../kit/figure.js';
import { LetPass } from '../../kit/let-pass.js';

type TakeOver = Schemas['TakeOverView'];

/** What does not tie out: by person, by tax, against what was filed and paid. */
export function Differences({
  takeOver,
  isSenior,
}: {
  readonly takeOver: TakeOver;
  readonly isSenior: boolean;
}): ReactNode {
  const pass = usePassDifference(takeOver.id);
  if (takeOver.differences.length === 0) return null;
  return (
    <section className="section">
      <h2>What does not tie out</h2>
      <table className="ruled">
        <thead>
          <tr>
            <th scope="col">Of</th>
            <th scope="col">Difference</th>
            <th scope="col" className="num">
              Amount
            </th>
            <th scope="col" style={{ width: 190 }}>
              Status
            </th>
          </tr>
        </thead>
        <tbody>
          {takeOver.differences.map((difference) => (
            <tr key={difference.key}>
              <td className="nowrap">{difference.about}</td>
              <td>
                {difference.sentence} <span className="soft">{difference.fix}</span>
              </td>
              <td className="num">
                <Figure amount={difference.amount} />
              </td>
              <td>
                {difference.severity === 'warning' ? (
                  <span className="soft">known, and no hindrance</span>
                ) : takeOver.status === 'open' && (isSenior || difference.passedBecause !== null) ? (
                  <LetPass
                    what={difference.sentence}
                    because={difference.passedBecause}
                    error={pass.error}
                    onPass={(reason) => pass.mutate({ key: difference.key, reason })}
                  />
                ) : difference.passedBecause === null ? (
                  <span className="tag-wrong">holds the balances</span>
                ) : (
                  <span className="soft">let pass: {difference.passedBecause}</span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
