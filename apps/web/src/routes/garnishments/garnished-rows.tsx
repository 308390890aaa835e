import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { ShortDay } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';

/** What checks withheld by order, each with its case. */
export function GarnishedRows({
  items,
  isPencil,
}: {
  readonly items: readonly Schemas['GarnishedView'][];
  readonly isPencil: boolean;
}): ReactNode {
  return (
    <table className="ruled">
      <ListHead columns={['Check date', 'Employee', 'Order', 'Case', { number: 'Withheld' }]} />
      <tbody>
        {items.map((item) => (
          <tr key={`${item.paycheckId} ${item.label}`}>
            <td>
              <ShortDay day={item.checkDate} />
            </td>
            <td>{item.employee}</td>
            <td>{item.label}</td>
            <td>{item.caseId}</td>
            <td className="num">
              <Figure amount={item.amount} isPencil={isPencil} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
