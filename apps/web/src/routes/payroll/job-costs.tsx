import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { TotalsTable } from './totals-table.js';

interface Props {
  readonly costs: readonly (Schemas['JobCostView'] & { readonly people?: number })[];
  readonly isPencil?: boolean;
}

/** What each job or customer costs; nothing where no pay is booked to any. */
export function JobCosts({ costs, isPencil = false }: Props): ReactNode {
  if (costs.length === 0) return null;
  return (
    <TotalsTable
      heading="By job"
      of="Job or customer"
      columns={['Gross', 'Employer taxes', 'Employer pays', 'Cost']}
      rows={costs.map(({ job, people, gross, employerTaxes, employerPaid }) => ({
        name: job === '' ? 'no job' : job,
        people,
        amounts: [gross, employerTaxes, employerPaid, gross + employerTaxes + employerPaid],
      }))}
      isPencil={isPencil}
    />
  );
}
