import { cents, showDollars } from '@zakat/core/money/cents';
import type { ReactNode } from 'react';
import { useWorking, type Working } from './working.js';

interface FigureProps {
  readonly amount: number | null;
  /** Not yet posted or released: drawn in pencil. */
  readonly isPencil?: boolean;
  readonly working?: (() => Working) | undefined;
  readonly label?: string;
}

/** An amount: tabular, a true minus as well as red, zero as a quiet dash. With a working it can be focused and opened. */
export function Figure({ amount, isPencil, working, label }: FigureProps): ReactNode {
  const { show } = useWorking();
  if (amount === null) return <span className="figure" data-zero />;
  const text = amount === 0 ? '–' : showDollars(cents(amount));
  const marks = {
    'data-pencil': isPencil || undefined,
    'data-negative': amount < 0 || undefined,
    'data-zero': amount === 0 || undefined,
  };
  if (!working)
    return (
      <span className="figure" {...marks}>
        {text}
      </span>
    );
  return (
    <button
      type="button"
      className="figure"
      {...marks}
      aria-label={`${label ?? 'Amount'} ${text}: show the tape`}
      onFocus={() => show(working())}
      onClick={() => show(working(), true)}
    >
      {text}
    </button>
  );
}
