import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { judge943, judge944, judge945 } from './annual-rules.js';
import { judgeCorrection } from './correction-rules.js';
import { judge940 } from './form-940-rules.js';
import { judge941 } from './form-941-rules.js';
import { cents, child, text, type Refusal, type TypeRules } from './form-reader.js';

/** The returns that are taken, by their type. */
const TYPES: Readonly<Record<string, TypeRules>> = {
  '941': judge941,
  '943': judge943,
  '944': judge944,
  '945': judge945,
  '940': judge940,
  '941-X': judgeCorrection('941-X'),
  '943-X': judgeCorrection('943-X'),
  '944-X': judgeCorrection('944-X'),
  '945-X': judgeCorrection('945-X'),
};

export interface Taxpayer {
  readonly ein: string;
  readonly nameControl: string;
}
export interface Judged {
  readonly refusals: Refusal[];
  readonly type: string;
  readonly ein: string;
  readonly period: string;
  readonly total: string;
  /** It may follow one of the same period that was accepted: a correction, or an amended return. */
  readonly isAmended: boolean;
}

const parser = new XMLParser({ ignoreAttributes: false, parseTagValue: false, attributeNamePrefix: '@' });

/** Every refusal of a return; empty when it can be accepted. `known` is the agency's own register of taxpayers. */
export function judgeReturn(content: string, known: readonly Taxpayer[], today: string): Judged {
  const nothing = { type: '', ein: '', period: '', total: '', isAmended: false };
  if (XMLValidator.validate(content) !== true)
    return {
      ...nothing,
      refusals: [{ code: 'X0000-005', field: 'Return', message: 'The XML is not well formed.' }],
    };
  const root = child(parser.parse(content), 'Return');
  const header = child(root, 'ReturnHeader');
  const type = text(header, 'ReturnTypeCd');
  const rules = TYPES[type];
  const refusals = headerRefusals(header, known, today);
  const named = { type, ein: text(header, 'Filer', 'EIN'), period: text(header, 'TaxPeriodEndDt') };
  if (!rules)
    return {
      ...named,
      total: '',
      isAmended: false,
      refusals: [
        ...refusals,
        { code: 'R0000-904-03', field: 'ReturnTypeCd', message: `Returns of type ${type} are not taken.` },
      ],
    };
  const data = child(root, 'ReturnData');
  const judged = rules(data);
  return {
    ...named,
    total: judged.total,
    isAmended: type.endsWith('-X') || text(data, `IRS${type}`, 'AmendedReturnInd') === 'X',
    refusals: [...refusals, ...judged.refusals, ...paymentRefusals(child(data, 'IRSPayment'), judged.balance, today)],
  };
}

function headerRefusals(header: unknown, known: readonly Taxpayer[], today: string): Refusal[] {
  const refusals: Refusal[] = [];
  const refuse = (code: string, field: string, message: string): void => void refusals.push({ code, field, message });
  const ein = text(header, 'Filer', 'EIN');
  if (!/^\d{9}$/.test(ein)) refuse('R0000-900-01', 'EIN', 'The EIN is not nine digits.');
  const taxpayer = known.find((candidate) => candidate.ein === ein);
  if (taxpayer && taxpayer.nameControl !== text(header, 'Filer', 'BusinessNameControlTxt'))
    refuse('R0000-922-01', 'BusinessNameControlTxt', 'The name control does not match the EIN in the e-file database.');
  const pin = text(header, 'BusinessOfficerGrp', 'TaxpayerPIN');
  if (!/^\d{5}$/.test(pin) || pin === '00000') refuse('R0000-031', 'TaxpayerPIN', 'The taxpayer PIN is missing.');
  if (!/^P\d{8}$/.test(text(header, 'PreparerPersonGrp', 'PTIN')))
    refuse('R0000-112', 'PTIN', 'The preparer PTIN is not valid.');
  const designee = child(header, 'ThirdPartyDesigneeGrp');
  const isDesignated = text(designee, 'DiscussWithThirdPartyYesInd') === 'X';
  if (designee !== undefined && isDesignated === (text(designee, 'DiscussWithThirdPartyNoInd') === 'X'))
    refuse('R0000-150', 'ThirdPartyDesigneeGrp', 'Whether a third party may be asked is not said, or said both ways.');
  if (isDesignated && !/^\d{5}$/.test(text(designee, 'ThirdPartyDesigneePIN')))
    refuse('R0000-151', 'ThirdPartyDesigneePIN', 'The PIN of the third-party designee is missing.');
  if (text(header, 'TaxPeriodEndDt') >= today) refuse('R0000-098', 'TaxPeriodEndDt', 'The tax period has not ended.');
  return refusals;
}

/** A balance that is to be taken from an account: what is owed and no more, on a day that is to come. */
function paymentRefusals(payment: unknown, balance: bigint, today: string): Refusal[] {
  if (payment === undefined) return [];
  const refusals: Refusal[] = [];
  const refuse = (code: string, field: string, message: string): void => void refusals.push({ code, field, message });
  if (cents(text(payment, 'PaymentAmt')) !== balance)
    refuse('FPYMT-072', 'PaymentAmt', 'The payment is not the balance due of the return.');
  if (!/^\d{9}$/.test(text(payment, 'RoutingTransitNum')))
    refuse('FPYMT-057', 'RoutingTransitNum', 'The routing number is not nine digits.');
  if (text(payment, 'BankAccountNum') === '')
    refuse('FPYMT-058', 'BankAccountNum', 'The number of the bank account is missing.');
  if (text(payment, 'RequestedPaymentDt') < today)
    refuse('FPYMT-086', 'RequestedPaymentDt', 'The day of the payment is past.');
  return refusals;
}
