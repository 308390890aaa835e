import { TextInput } from '@mantine/core';
import { cents, parseDollars, showDollars } from '@zakat/core/money/cents';
import { isTaxCode, mayBeOverridden, taxOf } from '@zakat/core/tax-registry/registry';
import { useState, type FormEvent, type ReactNode } from 'react';
import type { SheetRow } from '../../calc/sheet-row.js';

interface Props {
  readonly row: SheetRow;
  readonly isOpen: boolean;
  /** The amount in place of the computed one, with the reason; a blank amount restores it. */
  readonly onOverride: (tax: string, amount: string, reason: string) => void;
}

function Change({
  label,
  onChange,
  onClose,
}: {
  readonly label: string;
  readonly onChange: (amount: string, reason: string) => void;
  readonly onClose: () => void;
}): ReactNode {
  const [amount, setAmount] = useState('');
  const [reason, setReason] = useState('');
  const plain = amount.replace(/[$,\s]/g, '');
  const isReady = parseDollars(plain) !== null && reason.trim() !== '';
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    if (isReady) onChange(plain, reason.trim());
  };
  return (
    <form
      className="actions"
      style={{ margin: 0 }}
      aria-label={`Override ${label}`}
      onSubmit={submit}
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
    >
      <TextInput
        aria-label={`Amount of ${label}`}
        placeholder="amount"
        size="xs"
        w={100}
        autoFocus
        value={amount}
        onChange={(event) => setAmount(event.currentTarget.value)}
      />
      <TextInput
        aria-label={`Reason for another ${label}`}
        placeholder="reason, for the audit trail"
        size="xs"
        w={230}
        maxLength={120}
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      <button type="submit" className="plain" disabled={!isReady}>
        override it
      </button>
      <button type="button" className="plain" onClick={onClose}>
        not now
      </button>
    </form>
  );
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
                    <Change
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
