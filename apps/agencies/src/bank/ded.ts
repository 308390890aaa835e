import { shortDay } from '../records/record.js';
import { AchFault } from './ach-fault.js';

/** Income withholding and its kin, as payees of support take them. */
const APPLICATIONS = ['CS', 'II', 'IT', 'IO', 'RI', 'RT', 'RO'];

/**
 * The DED segment of a payment of support, as a state disbursement unit reads it (Child Support Application Banking
 * Convention; recalled): `DED*CS*case*YYMMDD*cents*SSN*Y|N|W*name*FIPS*Y\`, the amount being that of the entry.
 */
export function supportPart(information: string, amount: number): string {
  const text = information.trimEnd();
  const refuse = (message: string): never => {
    throw new AchFault('E-DED', message);
  };
  if (!text.endsWith('\\')) refuse('the DED segment is not ended with a backslash');
  const parts = text.slice(0, -1).split('*');
  const [
    ,
    application = '',
    caseId = '',
    day = '',
    cents = '',
    ssn = '',
    medical = '',
    name = '',
    fips = '',
    ended = '',
  ] = parts;
  if (parts.length > 10) refuse('the DED segment has more than nine elements');
  if (!APPLICATIONS.includes(application)) refuse('DED01, the application identifier, is not known');
  if (!/^[0-9A-Z -]{1,20}$/i.test(caseId)) refuse('DED02, the case identifier, is missing or too long');
  if (shortDay(day) === null) refuse('DED03, the pay date, is no day');
  if (!/^\d{1,10}$/.test(cents) || Number(cents) !== amount) refuse('DED04, the amount, is not that of the entry');
  if (!/^\d{9}$/.test(ssn)) refuse('DED05, the social security number, has not nine digits');
  if (!['Y', 'N', 'W'].includes(medical)) refuse('DED06, medical support, is neither yes, no nor not applicable');
  if (!/^[A-Z]{1,7},?[A-Z]{0,3}$/.test(name) || name.length > 11)
    refuse('DED07, the name, is not as the convention has it');
  if (fips !== '' && !/^(\d{5}|\d{7})$/.test(fips)) refuse('DED08, the FIPS code, has neither five nor seven digits');
  if (!['', 'Y'].includes(ended)) refuse('DED09, the end of employment, is neither blank nor yes');
  return parts.join('*');
}
