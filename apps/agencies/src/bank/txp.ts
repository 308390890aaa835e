import { shortDay } from '../records/record.js';
import { AchFault } from './ach-fault.js';

const MOST_AMOUNTS = 3;

/**
 * The TXP segment of a tax payment (Federation of Tax Administrators, TXP banking convention; recalled):
 * `TXP*taxpayer*tax type*YYMMDD*amount type*amount*...\`, one to three amounts in cents that add up to the entry, and a
 * verification after them at the most.
 */
export function taxPart(information: string, amount: number): string {
  const text = information.trimEnd();
  const refuse = (message: string): never => {
    throw new AchFault('E-TXP', message);
  };
  if (!text.startsWith('TXP*')) throw new AchFault('E-ADD', 'a tax payment has no TXP addenda');
  if (!text.endsWith('\\')) refuse('the TXP segment is not ended with a backslash');
  const parts = text.slice(0, -1).split('*');
  const [, taxpayer = '', taxType = '', period = '', ...rest] = parts;
  if (!/^[A-Z0-9-]{1,15}$/.test(taxpayer)) refuse('TXP01, the taxpayer identification, is missing or too long');
  if (!/^[A-Z0-9]{1,5}$/.test(taxType)) refuse('TXP02, the tax type code, is missing or too long');
  if (shortDay(period) === null) refuse('TXP03, the end of the tax period, is no day');
  const hasVerification = rest.length % 2 === 1;
  const pairs = hasVerification ? rest.slice(0, -1) : rest;
  if (pairs.length === 0) refuse('the TXP segment has no amount');
  if (pairs.length / 2 > MOST_AMOUNTS) refuse('the TXP segment has more than three amounts');
  if (hasVerification && !/^[A-Z0-9]{0,6}$/.test(rest.at(-1) ?? '')) refuse('TXP10, the verification, is too long');
  let total = 0;
  for (let index = 0; index < pairs.length; index += 2) {
    const [type = '', cents = ''] = pairs.slice(index, index + 2);
    if (!/^[A-Z0-9]{1,5}$/.test(type)) refuse('an amount type of the TXP segment is missing');
    if (!/^\d{1,10}$/.test(cents)) refuse('an amount of the TXP segment is not one to ten digits');
    total += Number(cents);
  }
  if (total !== amount) refuse('the TXP amounts do not add up to the entry');
  return parts.join('*');
}
