import { create } from 'xmlbuilder2';
import type { LocalDate } from '../../calendar/local-date.js';
import { cents, toDollars } from '../../money/cents.js';
import { lineValue, periodEnd941, type Form941 } from '../../returns/form-941.js';
import { transliterate } from '../../identity/transliterate.js';
import type { PostalAddress } from '../efw2/file.js';
import { FORM_941_ELEMENTS } from './fields.js';

export interface Filer extends PostalAddress {
  readonly ein: string;
  readonly name: string;
  readonly nameControl: string;
  /** Doing business as; blank where it is the legal name. */
  readonly tradeName: string;
  readonly phone: string;
}
export interface Form941Xml {
  readonly form: Form941;
  readonly submissionId: string;
  readonly filer: Filer;
  readonly preparer: {
    readonly name: string;
    readonly ptin: string;
    readonly phone: string;
    readonly firmName: string;
    readonly firmEin: string;
    readonly firmAddress: PostalAddress;
  };
  /** Electronic filing identification number of the firm. */
  readonly efin: string;
  /** Last day on which wages were paid, of a business that has closed; null: it goes on. */
  readonly finalWagesPaid: LocalDate | null;
  readonly signature: {
    readonly name: string;
    readonly title: string;
    readonly pin: string;
    readonly signed: LocalDate;
  };
}

const address = (place: PostalAddress) => ({
  AddressLine1Txt: transliterate(place.street),
  CityNm: transliterate(place.city),
  StateAbbreviationCd: place.state,
  ZIPCd: place.zip,
});

/** The return as XML, UTF-8. Amounts in dollars with two decimals. */
export function writeForm941(input: Form941Xml): string {
  const { form, filer, preparer, signature } = input;
  // A return checked before a line was prepared here does not have it.
  const lines = FORM_941_ELEMENTS.filter(({ line }) => form.lines.some((one) => one.id === line)).map(
    ({ element, line }) => [
      element,
      line === '1' ? String(lineValue(form, line)) : toDollars(cents(lineValue(form, line))),
    ],
  );
  const schedule = form.scheduleB
    ? { SemiweeklyScheduleDepositorInd: 'X' }
    : {
        MonthlyScheduleDepositorGrp: {
          TaxLiabilityMonth1Amt: monthAmount(form, '16.1'),
          TaxLiabilityMonth2Amt: monthAmount(form, '16.2'),
          TaxLiabilityMonth3Amt: monthAmount(form, '16.3'),
        },
      };
  const scheduleB = form.scheduleB
    ? {
        IRS941ScheduleB: {
          TaxLiabilityDay: form.scheduleB.map((day) => ({ '@date': day.date, '#': toDollars(day.amount) })),
          TotalTaxLiabilityAmt: toDollars(cents(form.scheduleB.reduce((running, day) => running + day.amount, 0))),
        },
      }
    : {};
  // Line 17: a business that has closed says so with its last return.
  const final = input.finalWagesPaid ? { FutureFilingNotRequiredInd: 'X', FinalWagesPaidDt: input.finalWagesPaid } : {};
  return create(
    { version: '1.0', encoding: 'UTF-8' },
    {
      Return: {
        '@xmlns': 'http://www.irs.gov/efile',
        '@submissionId': input.submissionId,
        ReturnHeader: {
          ReturnTs: signature.signed,
          TaxYr: String(form.year),
          TaxPeriodEndDt: periodEnd941(form),
          OriginatorGrp: { EFIN: input.efin, OriginatorTypeCd: 'ERO' },
          PINEnteredByCd: 'Taxpayer',
          SignatureOptionCd: 'PIN Number',
          ReturnTypeCd: '941',
          Filer: {
            EIN: filer.ein,
            BusinessName: { BusinessNameLine1Txt: transliterate(filer.name) },
            ...(filer.tradeName === '' ? {} : { TradeName: { BusinessNameLine1Txt: transliterate(filer.tradeName) } }),
            BusinessNameControlTxt: filer.nameControl,
            USAddress: address(filer),
            PhoneNum: filer.phone,
          },
          BusinessOfficerGrp: {
            PersonNm: transliterate(signature.name),
            PersonTitleTxt: transliterate(signature.title),
            TaxpayerPIN: signature.pin,
            SignatureDt: signature.signed,
          },
          PreparerFirmGrp: {
            PreparerFirmEIN: preparer.firmEin,
            PreparerFirmName: { BusinessNameLine1Txt: transliterate(preparer.firmName) },
            PreparerUSAddress: address(preparer.firmAddress),
          },
          PreparerPersonGrp: {
            PreparerPersonNm: transliterate(preparer.name),
            PTIN: preparer.ptin,
            PhoneNum: preparer.phone,
            PreparationDt: signature.signed,
          },
        },
        ReturnData: { IRS941: { ...Object.fromEntries(lines), ...schedule, ...final }, ...scheduleB },
      },
    },
  ).end({ prettyPrint: true });
}

const monthAmount = (form: Form941, id: '16.1' | '16.2' | '16.3'): string => toDollars(cents(lineValue(form, id)));
