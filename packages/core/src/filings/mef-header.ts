import type { MefElements, MefHeader } from '../formats/mef/return.js';
import { toDollars } from '../money/cents.js';
import type { Sending } from './kind.js';

/** The header of a return to the IRS from what is sent with every filing. */
export const mefHeader = (returnType: string, sending: Sending, taxYear: number): MefHeader => ({
  returnType,
  submissionId: sending.submissionId,
  taxYear,
  periodEnd: sending.facts.period.end,
  efin: sending.facts.firm.efin,
  filer: sending.facts.filer,
  firm: sending.facts.firm,
  signature: sending.signature,
  designee: sending.facts.designee ?? null,
});

/** A balance that the IRS takes from an account by itself (electronic funds withdrawal); element names are recalled. */
export const mefPayment = ({ payment }: Sending): MefElements =>
  payment === null
    ? {}
    : {
        IRSPayment: {
          RoutingTransitNum: payment.routing,
          BankAccountNum: payment.account,
          BankAccountTypeCd: '1',
          PaymentAmt: toDollars(payment.amount),
          RequestedPaymentDt: payment.on,
          TaxpayerDaytimePhoneNum: payment.phone,
        },
      };

/** Where an element that the IRS refuses is in our records. */
const OUR_FIELDS: readonly (readonly [theirs: RegExp, ours: string])[] = [
  [/BusinessNameControlTxt/, 'client.nameControl'],
  [/\bEIN\b/, 'client.ein'],
  [/BusinessNameLine1Txt/, 'client.legalName'],
  [/TaxpayerPIN/, 'filing.pin'],
  [/ThirdPartyDesignee/, 'client.designee'],
  [/PTIN/, 'firm.preparerPtin'],
  [/EFIN/, 'firm.efin'],
];
export const mefFieldOf = (theirs: string): string | null =>
  OUR_FIELDS.find(([pattern]) => pattern.test(theirs))?.[1] ?? null;
