import type { EntityManager } from 'typeorm';
import { refuseField } from '../../http/refusal.js';
import { BankAccount, type Client, type Firm } from './entities.js';

/** The account that a payment for a client leaves from: one of its own, or the trust account that holds its money. */
export async function findPayingAccount(manager: EntityManager, clientId: string, id: string): Promise<BankAccount> {
  const bank = await manager.findOneBy(BankAccount, { id });
  if (!bank || (bank.clientId !== clientId && !bank.isTrust))
    throw refuseField(
      'bankAccountId',
      'This bank account is not one of the client.',
      'Choose one of the client’s accounts, or the trust account.',
    );
  return bank;
}

/** Whom the bank knows as the sender of a file: whoever the account belongs to. */
export const senderOf = (
  bank: BankAccount,
  client: Client,
  firm: Pick<Firm, 'ein' | 'name'>,
): { companyId: string; companyName: string } =>
  bank.isTrust
    ? { companyId: `1${firm.ein}`, companyName: firm.name }
    : { companyId: `1${client.ein}`, companyName: client.legalName };

/** How an account stands on a slip or a page. */
export const accountWords = ({ label, bankName, accountTail }: BankAccount): string =>
  `${label}, ${bankName}, account ending ${accountTail}`;
