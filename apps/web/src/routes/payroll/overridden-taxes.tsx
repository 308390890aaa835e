import { cents, showDollars } from '@zakat/core/money/cents';
import { isTaxCode, mayBeOverridden, taxOf } from '@zakat/core/tax-registry/registry';
import { useState, type ReactNode } from 'react';
import type { SheetRow } from '../../calc/sheet-row.js';
import { OverrideForm } from './override-form.js';

interface Props {
  readonly row: SheetRow;
  readonly isOpen: boolean;
  /** The amount in place of the computed one, with the reason; a blank amount restores it. */
  readonly onOverride: (tax: string, amount: string, reason: string) => void;
}

/** Income taxes of one check: as they are computed, or another amount for a reason with the computed one beside it. */
export function OverriddenTaxes({ row, isOpen, onOverride }: Props): ReactNode {
  const [asked, setAsked] = useState<string | null>(null);
  const taxes = row.check.taxes.filter(({ code }) => isTaxCode(code) && mayBeOverridden(taxOf(code)));
  if (!row.isPaid || taxes.length === 0 || (!isOpen && row.withheld.length === 0)) return null;
  return (
    <section className="section" aria-label={`Income taxes, ${row.name}`}>
      <h2>
        Income taxes <small>{row.name}; another amount takes a reason</small>
      </h2>
      <table className="ruled">
        <tbody>
          {taxes.map(({ code, amount }) => {
            const label = isTaxCode(code) ? taxOf(code).label : code;
            const own = row.withheld.find((line) => line.tax === code);
            const variance = row.check.variances.find((one) => one.code === code);
            return (
              <tr key={code}>
                <td>{label}</td>
                <td className="num">{showDollars(cents(variance?.computed ?? amount))}</td>
                <td>
                  {own ? (
                    <>
                      overridden: <b>{showDollars(cents(amount))}</b>, {own.reason}{' '}
                      {isOpen && (
                        <button type="button" className="plain" onClick={() => onOverride(code, '', '')}>
                          restore
                        </button>
                      )}
                    </>
                  ) : asked === code ? (
                    <OverrideForm
                      label={label}
                      onClose={() => setAsked(null)}
                      onChange={(next, reason) => {
                        setAsked(null);
                        onOverride(code, next, reason);
                      }}
                    />
                  ) : (
                    isOpen && (
                      <button type="button" className="plain" onClick={() => setAsked(code)}>
                        override
                      </button>
                    )
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
