import { mefLines, writeMefReturn, type MefElements, type MefField } from '../../formats/mef/return.js';
import { sum, toDollars } from '../../money/cents.js';
import type { Sending } from '../kind.js';
import { mefHeader, mefPayment } from '../mef-header.js';
import { lineOf } from '../return-lines.js';
import type { Exemption, Form940 } from './form.js';

/** Which element of IRS940 carries which line, in the schema's order (recalled; see writeMefReturn). */
export const ELEMENTS: readonly MefField[] = [
  { element: 'TotalWagesAmt', line: '3' },
  { element: 'ExemptWagesAmt', line: '4' },
  { element: 'WagesOverLimitAmt', line: '5' },
  { element: 'TotalExemptWagesAmt', line: '6' },
  { element: 'TotalTaxableWagesAmt', line: '7' },
  { element: 'FUTATaxBeforeAdjustmentsAmt', line: '8' },
  { element: 'MaximumCreditAmt', line: '9' },
  { element: 'AdjustmentsToFUTATaxAmt', line: '10' },
  { element: 'CreditReductionAmt', line: '11' },
  { element: 'FUTATaxAfterAdjustmentsAmt', line: '12' },
  { element: 'TotalTaxDepositedAmt', line: '13' },
  { element: 'BalanceDueAmt', line: '14' },
  { element: 'OverpaymentAmt', line: '15' },
];
const EXEMPT_ELEMENTS: Readonly<Record<Exemption, string>> = {
  '4a': 'FringeBenefitsInd',
  '4b': 'GroupTermLifeInsuranceInd',
  '4c': 'RetirementPensionInd',
  '4d': 'DependentCareInd',
  '4e': 'OtherExemptPaymentsInd',
};
const QUARTERS: readonly MefField[] = [
  { element: 'Quarter1LiabilityAmt', line: '16a' },
  { element: 'Quarter2LiabilityAmt', line: '16b' },
  { element: 'Quarter3LiabilityAmt', line: '16c' },
  { element: 'Quarter4LiabilityAmt', line: '16d' },
  { element: 'TotalYearLiabilityAmt', line: '17' },
];

/** Form 940 with Schedule A as XML. */
export function write940(form: Form940, sending: Sending): string {
  const mark = (is: boolean, element: string): MefElements => (is ? { [element]: 'X' } : {});
  const isReduced = lineOf(form.lines, '11') !== 0;
  const types: MefElements = {
    ...mark(form.isSuccessor, 'SuccessorEmployerInd'),
    ...mark(!form.hasPaid, 'NoPaymentsToEmployeesInd'),
    ...mark(form.isFinal, 'FinalBusinessClosedInd'),
    ...(form.state === null
      ? mark(form.scheduleA.length > 1, 'MultiStateContributionInd')
      : { SingleStateCd: form.state }),
    ...mark(isReduced, 'CreditReductionInd'),
  };
  const exempt: MefElements = Object.fromEntries(form.exemptions.map((box) => [EXEMPT_ELEMENTS[box], 'X']));
  const quarters: MefElements =
    lineOf(form.lines, '17') === 0 ? {} : { QuarterlyLiabilityGrp: mefLines(QUARTERS, form.lines) };
  const scheduleA: MefElements =
    form.scheduleA.length === 0
      ? {}
      : {
          IRS940ScheduleA: {
            StateGrp: form.scheduleA.map((row) => ({
              StateAbbreviationCd: row.state,
              FUTATaxableWagesAmt: toDollars(row.wages),
              ReductionRt: row.rate,
              CreditReductionAmt: toDollars(row.reduction),
            })),
            TotalCreditReductionAmt: toDollars(sum(form.scheduleA.map((row) => row.reduction))),
          },
        };
  return writeMefReturn(mefHeader('940', sending, form.year), {
    IRS940: {
      ...(sending.isAmended ? { AmendedReturnInd: 'X' } : {}),
      ...types,
      ...mefLines(ELEMENTS, form.lines),
      ...exempt,
      ...quarters,
    },
    ...scheduleA,
    ...mefPayment(sending),
  });
}
