import { TextInput } from '@mantine/core';
import { cents, showDollars } from '@zakat/core/money/cents';
import type { ReactNode } from 'react';
import type { SheetRow } from '../../calc/sheet-row.js';
import { TITLES } from './titles.js';
import { ListHead } from '../../kit/list-head.js';

interface Props {
  readonly row: SheetRow;
  readonly isOpen: boolean;
  /** What was withheld for a tax, as typed; blank: as computed here. */
  readonly onWithhold: (tax: string, amount: string) => void;
}

/** What another program withheld from one person's check, tax by tax, beside what is computed here. */
export function WithheldElsewhere({ row, isOpen, onWithhold }: Props): ReactNode {
  const taxes = row.check.taxes.filter((tax) => tax.payer === 'employee');
  if (!row.isPaid || taxes.length === 0) return null;
  return (
    <section className="section" aria-label={`Withheld elsewhere, ${row.name}`}>
      <h2>
        Withheld elsewhere <small>{row.name}; blank: as it is computed here</small>
      </h2>
      <table className="ruled reported" style={{ maxWidth: 760 }}>
        <ListHead columns={['Tax', { number: 'Computed' }, { number: 'Withheld' }, { number: 'Difference' }]} />
        <tbody>
          {taxes.map(({ code, amount }) => {
            const variance = row.check.variances.find((one) => one.code === code);
            const label = TITLES[code] ?? code;
            return (
              <tr key={code}>
                <td>{label}</td>
                <td className="num">{showDollars(cents(variance?.computed ?? amount))}</td>
                <td className="num typed">
                  {isOpen ? (
                    <TextInput
                      aria-label={`Withheld: ${label}`}
                      value={row.withheld.find((line) => line.tax === code)?.amount ?? ''}
                      autoComplete="off"
                      onChange={(event) => onWithhold(code, event.currentTarget.value)}
                    />
                  ) : (
                    showDollars(cents(amount))
                  )}
                </td>
                <td className="num">{variance ? showDollars(cents(variance.withheld - variance.computed)) : '–'}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
