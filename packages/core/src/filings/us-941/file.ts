import { yearOf } from '../../calendar/local-date.js';
import { mefLines, writeMefReturn, type MefElements, type MefField } from '../../formats/mef/return.js';
import { sum, toDollars } from '../../money/cents.js';
import { mefHeader, mefPayment } from '../mef-header.js';
import type { Sending } from '../kind.js';
import { lineOf } from '../return-lines.js';
import type { Form941 } from './form.js';

/** Which element of IRS941 carries which line, in the schema's order (recalled; see writeMefReturn). */
export const ELEMENTS: readonly MefField[] = [
  { element: 'EmployeeCnt', line: '1' },
  { element: 'WagesAmt', line: '2' },
  { element: 'FederalIncomeTaxWithheldAmt', line: '3' },
  { element: 'SocialSecurityTaxCashWagesAmt', line: '5a.1' },
  { element: 'SocialSecurityTaxAmt', line: '5a.2' },
  { element: 'TaxableSocSecTipsAmt', line: '5b.1' },
  { element: 'TaxOnSocialSecurityTipsAmt', line: '5b.2' },
  { element: 'TaxableMedicareWagesTipsAmt', line: '5c.1' },
  { element: 'TaxOnMedicareWagesTipsAmt', line: '5c.2' },
  { element: 'TaxableWagesTipsSubjAddnlMedAmt', line: '5d.1' },
  { element: 'TaxOnWageTipsSubjAddnlMedcrAmt', line: '5d.2' },
  { element: 'TotSocialSecurityMedicareTaxAmt', line: '5e' },
  { element: 'TaxOnUnreportedTips3121qAmt', line: '5f' },
  { element: 'TotalTaxBeforeAdjustmentAmt', line: '6' },
  { element: 'CurrentQtrFractionsCentsAmt', line: '7' },
  { element: 'CurrentQuarterSickPaymentAmt', line: '8' },
  { element: 'CurrentQtrTipGrpTermLifeInsAdjAmt', line: '9' },
  { element: 'TotalTaxAfterAdjustmentAmt', line: '10' },
  { element: 'PayrollTaxCreditAmt', line: '11' },
  { element: 'TotalTaxAmt', line: '12' },
  { element: 'TotalTaxDepositAmt', line: '13' },
  { element: 'BalanceDueAmt', line: '14' },
  { element: 'OverpaidAmt', line: '15' },
];

/** Form 941 with Schedule B as XML. */
export function write941(form: Form941, sending: Sending): string {
  const { employer } = sending;
  const { period } = sending.facts;
  const month = (id: string): string => toDollars(lineOf(form.lines, id));
  const schedule: MefElements = form.scheduleB
    ? { SemiweeklyScheduleDepositorInd: 'X' }
    : {
        MonthlyScheduleDepositorGrp: {
          TaxLiabilityMonth1Amt: month('16.1'),
          TaxLiabilityMonth2Amt: month('16.2'),
          TaxLiabilityMonth3Amt: month('16.3'),
        },
      };
  const scheduleB: MefElements = form.scheduleB
    ? {
        IRS941ScheduleB: {
          TaxLiabilityDay: form.scheduleB.map((day) => ({ '@date': day.date, '#': toDollars(day.amount) })),
          TotalTaxLiabilityAmt: toDollars(sum(form.scheduleB.map((day) => day.amount))),
        },
      }
    : {};
  const { lastWages } = employer;
  // Line 17: a business that has closed says so with its last return.
  const final: MefElements =
    lastWages !== null && lastWages >= period.start && lastWages <= period.end
      ? { FutureFilingNotRequiredInd: 'X', FinalWagesPaidDt: lastWages }
      : {};
  // Line 18: a seasonal employer says so with every return (Form 941, line 18).
  const seasonal: MefElements = employer.isSeasonal ? { SeasonalEmployerInd: 'X' } : {};
  return writeMefReturn(mefHeader('941', sending, yearOf(period.end)), {
    IRS941: { ...mefLines(ELEMENTS, form.lines), ...schedule, ...final, ...seasonal },
    ...scheduleB,
    ...mefPayment(sending),
  });
}
