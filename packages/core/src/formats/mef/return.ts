import { create } from 'xmlbuilder2';
import type { LocalDate } from '../../calendar/local-date.js';
import { transliterate } from '../../identity/transliterate.js';
import { cents, toDollars } from '../../money/cents.js';
import { streetInFile } from '../../identity/street.js';

/** A place as the header of a return has it. */
interface Place {
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
}
/** The parties of a return in the IRS's Modernized e-File. */
export interface MefHeader {
  readonly returnType: string;
  readonly submissionId: string;
  readonly taxYear: number;
  readonly periodEnd: LocalDate;
  readonly efin: string;
  readonly filer: Place & {
    readonly ein: string;
    readonly name: string;
    readonly nameControl: string;
    readonly tradeName: string;
    readonly phone: string;
    readonly signerName: string;
    readonly signerTitle: string;
  };
  readonly firm: Place & {
    readonly ein: string;
    readonly name: string;
    readonly phone: string;
    readonly preparerName: string;
    readonly preparerPtin: string;
  };
  /** `agent`: who signs as reporting agent; null: the filer's own signer. */
  readonly signature: { readonly pin: string; readonly signed: LocalDate; readonly agent: string | null };
  /** Whom the IRS may ask; null: nobody. */
  readonly designee: { readonly name: string; readonly phone: string; readonly pin: string } | null;
}
/** An element with text, an element with elements, or several of one name. */
export interface MefElements {
  readonly [element: string]: string | MefElements | readonly MefElements[];
}

/** Characters of an address line in the header (the IRS's MeF type StreetAddressType; recalled, not yet verified). */
const MEF_ADDRESS = 35;
function addressLines(street: string): MefElements {
  const { delivery, location } = streetInFile(transliterate(street), MEF_ADDRESS);
  return { AddressLine1Txt: delivery, ...(location === '' ? {} : { AddressLine2Txt: location }) };
}
const address = (place: Place): MefElements => ({
  ...addressLines(place.street),
  CityNm: transliterate(place.city),
  StateAbbreviationCd: place.state,
  ZIPCd: place.zip,
});

/**
 * A return as XML, UTF-8, in the order of the schema. Amounts in dollars with two decimals. Element names, and how a
 * reporting agent signs, are recalled from the public 94x schemas and not yet compared with them.
 */
export function writeMefReturn(header: MefHeader, data: MefElements): string {
  const { filer, firm, signature, designee } = header;
  return create(
    { version: '1.0', encoding: 'UTF-8' },
    {
      Return: {
        '@xmlns': 'http://www.irs.gov/efile',
        '@submissionId': header.submissionId,
        ReturnHeader: {
          ReturnTs: signature.signed,
          TaxYr: String(header.taxYear),
          TaxPeriodEndDt: header.periodEnd,
          OriginatorGrp: { EFIN: header.efin, OriginatorTypeCd: signature.agent === null ? 'ERO' : 'ReportingAgent' },
          PINEnteredByCd: signature.agent === null ? 'Taxpayer' : 'ReportingAgent',
          SignatureOptionCd: 'PIN Number',
          ReturnTypeCd: header.returnType,
          Filer: {
            EIN: filer.ein,
            BusinessName: { BusinessNameLine1Txt: transliterate(filer.name) },
            ...(filer.tradeName === '' ? {} : { TradeName: { BusinessNameLine1Txt: transliterate(filer.tradeName) } }),
            BusinessNameControlTxt: filer.nameControl,
            USAddress: address(filer),
            PhoneNum: filer.phone,
          },
          BusinessOfficerGrp: {
            PersonNm: transliterate(signature.agent ?? filer.signerName),
            PersonTitleTxt: signature.agent === null ? transliterate(filer.signerTitle) : 'Reporting agent',
            TaxpayerPIN: signature.pin,
            SignatureDt: signature.signed,
          },
          ThirdPartyDesigneeGrp:
            designee === null
              ? { DiscussWithThirdPartyNoInd: 'X' }
              : {
                  DiscussWithThirdPartyYesInd: 'X',
                  ThirdPartyDesigneeNm: transliterate(designee.name),
                  ThirdPartyDesigneePhoneNum: designee.phone,
                  ThirdPartyDesigneePIN: designee.pin,
                },
          PreparerFirmGrp: {
            PreparerFirmEIN: firm.ein,
            PreparerFirmName: { BusinessNameLine1Txt: transliterate(firm.name) },
            PreparerUSAddress: address(firm),
          },
          PreparerPersonGrp: {
            PreparerPersonNm: transliterate(firm.preparerName),
            PTIN: firm.preparerPtin,
            PhoneNum: firm.phone,
            PreparationDt: signature.signed,
          },
        },
        ReturnData: data,
      },
    },
  ).end({ prettyPrint: true });
}

/** Which element carries which line of a form. */
export interface MefField {
  readonly element: string;
  readonly line: string;
}
/** The lines of a form by their elements, in the order of the table; a line the form does not have is left out. */
export const mefLines = (
  fields: readonly MefField[],
  lines: readonly { readonly id: string; readonly value: number; readonly kind: 'count' | 'amount' }[],
): MefElements =>
  Object.fromEntries(
    fields.flatMap(({ element, line }) => {
      const found = lines.find(({ id }) => id === line);
      if (!found) return [];
      return [[element, found.kind === 'count' ? String(found.value) : toDollars(cents(found.value))]];
    }),
  );
