import { Inject, Injectable } from '@nestjs/common';
import type {
  BankAccountView,
  ClientRow,
  ClientView,
  CreateBankAccount,
  CreateClient,
  CreateTaxAccount,
  TaxAccountView,
  UpdateClientIdentity,
} from '@zakat/contract/clients';
import { scheduleFromLookback } from '@zakat/core/deposits/federal-schedule';
import { checkEin, checkRouting, normalDigits, proposeNameControl } from '@zakat/core/identity/numbers';
import { problem } from '@zakat/core/issues/issue';
import { cents } from '@zakat/core/money/cents';
import { parsePercent, parseRate, ratePerThousand, showRate, type Rate } from '@zakat/core/money/rate';
import { findState } from '@zakat/core/jurisdictions/states';
import { AGENCIES, agencyName, unemploymentStateOf } from '@zakat/core/taxes/registry';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, notFound, refuse } from '../../http/refusal.js';
import { Audit } from '../audit/audit.js';
import { BankAccount, Client, TaxAccount } from './entities.js';

const IDENTITY_FIELDS = [
  'legalName',
  'tradeName',
  'ein',
  'nameControl',
  'street',
  'city',
  'state',
  'zip',
  'phone',
  'email',
  'contactName',
  'signerName',
  'signerTitle',
] as const;
@Injectable()
export class ClientsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Secrets) private readonly secrets: Secrets,
  ) {}

  list(actor: Actor): Promise<ClientRow[]> {
    return this.database.run(actor, async (manager) => {
      const clients = await manager.find(Client, { order: { legalName: 'ASC' } });
      const counts = (await manager.query(
        'SELECT client_id, count(*)::int AS people FROM employee GROUP BY client_id',
      )) as { client_id: string; people: number }[];
      return clients.map((client) => ({
        id: client.id,
        key: client.key,
        legalName: client.legalName,
        tradeName: client.tradeName,
        einTail: client.ein.slice(-4),
        state: client.state,
        depositSchedule: scheduleFromLookback(client.lookbackAmount).schedule,
        people: counts.find((row) => row.client_id === client.id)?.people ?? 0,
      }));
    });
  }

  view(actor: Actor, id: string): Promise<ClientView> {
    return this.database.run(actor, async (manager) => this.viewIn(manager, id));
  }

  async viewIn(manager: EntityManager, id: string): Promise<ClientView> {
    const client = await findClient(manager, id);
    const accounts = await manager.find(TaxAccount, { where: { clientId: id }, order: { agency: 'ASC', from: 'ASC' } });
    const banks = await manager.find(BankAccount, { where: { clientId: id }, order: { label: 'ASC' } });
    const { schedule, why } = scheduleFromLookback(client.lookbackAmount);
    const identity = Object.fromEntries(IDENTITY_FIELDS.map((field) => [field, client[field]])) as unknown as Record<
      (typeof IDENTITY_FIELDS)[number],
      string
    >;
    return {
      ...identity,
      id,
      key: client.key,
      kindOfEmployer: client.kindOfEmployer,
      payFrequency: client.payFrequency,
      depositSchedule: schedule,
      depositScheduleWhy: why,
      version: client.version,
      taxAccounts: accounts.map(accountView),
      bankAccounts: banks.map(bankView),
    };
  }

  create(actor: Actor, input: CreateClient): Promise<{ id: string }> {
    const ein = normalDigits(input.ein);
    const issues = checkEin(ein, 'ein');
    if (issues.length > 0) throw refuse(issues);
    return this.database.run(actor, async (manager) => {
      const id = randomUUID();
      const { newYorkDays, lookbackAmount, ...rest } = input;
      if (newYorkDays !== 3 && newYorkDays !== 5)
        throw refuse([problem('input.not-one-of', 'newYorkDays', { value: String(newYorkDays), choices: '3, 5' })]);
      await manager.insert(Client, {
        ...rest,
        id,
        firmId: actor.firmId,
        ein,
        newYorkDays,
        lookbackAmount: cents(lookbackAmount),
        nameControl: input.nameControl || proposeNameControl(input.legalName),
        version: 1,
      });
      await this.audit.record(manager, actor, 'client.create', 'client', id, { key: input.key });
      return { id };
    });
  }

  updateIdentity(actor: Actor, id: string, input: UpdateClientIdentity): Promise<ClientView> {
    const ein = normalDigits(input.ein);
    const issues = checkEin(ein, 'ein');
    if (issues.length > 0) throw refuse(issues);
    return this.database.run(actor, async (manager) => {
      const before = await findClient(manager, id);
      if (before.version !== input.version)
        throw conflict('Somebody changed this client meanwhile. Look again before you save.');
      const next = { ...Object.fromEntries(IDENTITY_FIELDS.map((field) => [field, input[field]])), ein };
      const changed = IDENTITY_FIELDS.filter((field) => before[field] !== (next as Record<string, string>)[field]);
      const result = await manager.update(
        Client,
        { id, version: input.version },
        { ...next, version: input.version + 1 },
      );
      if (result.affected !== 1) throw conflict('Somebody changed this client meanwhile. Look again before you save.');
      const detail = Object.fromEntries(
        changed.map((field) => [field, { from: before[field], to: (next as Record<string, string>)[field] }]),
      );
      await this.audit.record(manager, actor, 'client.identity', 'client', id, detail);
      return this.viewIn(manager, id);
    });
  }

  addTaxAccount(actor: Actor, clientId: string, input: CreateTaxAccount): Promise<{ id: string }> {
    if (!(input.agency in AGENCIES))
      throw refuse([
        problem('input.not-one-of', 'agency', { value: input.agency, choices: Object.keys(AGENCIES).join(', ') }),
      ]);
    const rate = input.unemploymentRate === null ? null : parsePercent(input.unemploymentRate);
    if (input.unemploymentRate !== null && !rate)
      throw refuse([problem('input.not-a-decimal', 'unemploymentRate', { value: input.unemploymentRate })]);
    const highest = findState(unemploymentStateOf(input.agency) ?? '')?.unemployment.highestPlausibleRate;
    if (rate && highest && rate.n * highest.d > highest.n * rate.d)
      throw refuse([problem('employer.rate-implausible', 'unemploymentRate', { rate: `${input.unemploymentRate}%` })]);
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const id = randomUUID();
      await manager.insert(TaxAccount, {
        id,
        firmId: actor.firmId,
        clientId,
        agency: input.agency,
        accountNumber: input.accountNumber,
        unemploymentRate: rate ? showRate(rate) : null,
        from: input.from,
      });
      await this.audit.record(manager, actor, 'tax-account.add', 'client', clientId, {
        agency: input.agency,
        rate: input.unemploymentRate,
        from: input.from,
      });
      return { id };
    });
  }

  addBankAccount(actor: Actor, clientId: string, input: CreateBankAccount): Promise<{ id: string }> {
    const issues = checkRouting(input.routing, 'routing');
    if (issues.length > 0) throw refuse(issues);
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const id = randomUUID();
      await manager.insert(BankAccount, {
        id,
        firmId: actor.firmId,
        clientId,
        label: input.label,
        bankName: input.bankName,
        routing: normalDigits(input.routing),
        accountCipher: this.secrets.seal(input.account),
        accountTail: input.account.slice(-4),
      });
      await this.audit.record(manager, actor, 'bank-account.add', 'client', clientId, { label: input.label });
      return { id };
    });
  }
}

/** The client with this id in the current firm; refuses with 404 otherwise. */
export async function findClient(manager: EntityManager, id: string): Promise<Client> {
  const client = await manager.findOneBy(Client, { id });
  if (!client) throw notFound('client');
  return client;
}

/** Unemployment rates in force on a day, by state. */
export async function unemploymentRatesOn(
  manager: EntityManager,
  clientId: string,
  day: string,
): Promise<Record<string, Rate>> {
  const accounts = await manager.find(TaxAccount, { where: { clientId }, order: { from: 'ASC' } });
  const rates: Record<string, Rate> = {};
  for (const account of accounts) {
    const state = unemploymentStateOf(account.agency);
    const rate = account.unemploymentRate === null ? null : parseRate(account.unemploymentRate);
    if (state && rate && account.from <= day) rates[state] = rate;
  }
  return rates;
}

/** The employer's account number with an agency on a day, or blank when there is none. */
export async function accountNumberOn(
  manager: EntityManager,
  clientId: string,
  agency: string,
  day: string,
): Promise<string> {
  const accounts = await manager.find(TaxAccount, { where: { clientId, agency }, order: { from: 'DESC' } });
  return accounts.find((account) => account.from <= day)?.accountNumber ?? '';
}

function accountView(account: TaxAccount): TaxAccountView {
  const rate = account.unemploymentRate === null ? null : parseRate(account.unemploymentRate);
  const percent = rate ? showRate({ n: rate.n * 100, d: rate.d }) : null;
  return {
    id: account.id,
    agency: account.agency,
    agencyName: agencyName(account.agency),
    accountNumber: account.accountNumber,
    unemploymentRate: percent,
    rateInWords: rate ? ratePerThousand(rate) : null,
    from: account.from,
  };
}
const bankView = (bank: BankAccount): BankAccountView => ({
  id: bank.id,
  label: bank.label,
  bankName: bank.bankName,
  routing: bank.routing,
  accountTail: bank.accountTail,
});
