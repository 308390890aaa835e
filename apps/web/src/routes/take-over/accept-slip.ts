import { cents, showDollars, sum } from '@zakat/core/money/cents';
import type { Schemas } from '../../api/client.js';
import type { Slip } from '../../kit/release-slip.js';

type TakeOver = Schemas['TakeOverView'];

/** What accepting brought-in balances does, in words. */
export function acceptSlip(takeOver: TakeOver, clientName: string, isSenior: boolean): Slip {
  const paid = takeOver.figures.filter((figure) => figure.kind === 'paid' && figure.amount !== null);
  const filed = takeOver.figures.filter((figure) => figure.code === 'US-941.filed' && figure.amount !== null);
  const open = takeOver.differences.filter((one) => one.severity === 'error' && one.passedBecause === null);
  return {
    title: `Balances of ${takeOver.year} for ${clientName}`,
    act: 'accept',
    figures: [
      { label: 'Rows', value: String(takeOver.rows) },
      { label: 'Gross pay', value: showDollars(sum(takeOver.days.map((line) => cents(line.gross)))) },
      { label: 'Deposited elsewhere', value: showDollars(sum(paid.map((figure) => cents(figure.amount ?? 0)))) },
      { label: 'Returns filed elsewhere', value: filed.map((figure) => `Q${figure.quarter}`).join(', ') || 'none' },
    ],
    leaves:
      'Nothing leaves the house. The balances become payrolls paid elsewhere, with their ledger lines and payments; the next check, the returns and the W-2s count on from them.',
    becomesImpossible: 'Rows and figures can no longer be changed.',
    wayBack: 'Until a payroll of the year is posted, all of it can be taken back: each line is then reversed.',
    checks: [
      {
        label: 'Every row is read',
        isPassed: takeOver.rows > 0 && takeOver.wrong === 0 && takeOver.problems.length === 0,
        says: takeOver.wrong === 0 ? `${takeOver.rows} rows` : `${takeOver.wrong} rows are wrong`,
      },
      {
        label: 'Rows, returns and deposits tie out',
        isPassed: open.length === 0,
        says:
          open.length === 0
            ? 'to the cent, or let pass with a reason'
            : open.length === 1
              ? 'a difference is open'
              : `${open.length} differences are open`,
      },
      {
        label: 'A reviewer accepts',
        isPassed: isSenior,
        says: isSenior ? 'another person than the one who gathered them' : 'ask a reviewer',
      },
    ],
    mayRelease: takeOver.tiesOut && isSenior,
    file: '',
  };
}
