import type { ReactNode } from 'react';
import { PrinterChoice, usePrinter } from '../checks/printer-choice.js';

const LAYOUTS = [
  ['top', 'check at the top'],
  ['middle', 'in the middle'],
  ['bottom', 'at the bottom'],
] as const;

/** How a page of each layout would come out, before any check exists. */
export function CheckSamples({ clientId }: { readonly clientId: string }): ReactNode {
  const [printer, choosePrinter] = usePrinter();
  const of = printer === '' ? '' : `&printer=${printer}`;
  return (
    <div className="soft">
      <PrinterChoice printer={printer} onChoose={choosePrinter} />
      See a sample page:{' '}
      {LAYOUTS.map(([layout, words], index) => (
        <span key={layout}>
          {index > 0 && ', '}
          <a href={`/api/clients/${clientId}/check-sample.pdf?layout=${layout}${of}`} target="_blank" rel="noreferrer">
            {words}
          </a>
        </span>
      ))}
    </div>
  );
}
