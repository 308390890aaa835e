import { text } from '@zakat/core/facts/fact-kind';
import { clientOnDay } from '@zakat/core/facts/on-day';
import { scheduleNamed } from '@zakat/core/facts/schedule';
import type { EntityManager } from 'typeorm';
import { refuseField } from '../../http/refusal.js';
import type { FactStore } from '../facts/index.js';
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

/** The account of a client with this label. */
export async function accountLabelled(manager: EntityManager, clientId: string, label: string): Promise<string | null> {
  const bank = await manager.findOneBy(BankAccount, { clientId, label });
  return bank?.id ?? null;
}

/** The account that a pay schedule is paid from, as it says on a day; null: it says nothing. */
export async function accountOfSchedule(
  manager: EntityManager,
  store: FactStore,
  {
    clientId,
    schedule,
    checkDate,
  }: { readonly clientId: string; readonly schedule: string; readonly checkDate: string },
): Promise<string | null> {
  const facts = clientOnDay(await store.ofClient(manager, clientId), checkDate);
  const label = text(scheduleNamed(facts, schedule) ?? {}, 'account');
  return label === '' ? null : accountLabelled(manager, clientId, label);
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
