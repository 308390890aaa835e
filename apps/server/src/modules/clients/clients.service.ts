import { Inject, Injectable } from '@nestjs/common';
import type {
  BankAccountView,
  ClientFact,
  ClientList,
  ClientView,
  CreateBankAccount,
  CreateClient,
  CreateTaxAccount,
  TaxAccountView,
  UpdateClientIdentity,
} from '@zakat/contract/clients';
import { makeDate, yearOf } from '@zakat/core/calendar/local-date';
import { payrollsFrom } from '@zakat/core/calendar/pay-schedule';
import { CLIENT_FACTS } from '@zakat/core/facts/client-facts';
import { inForceOn } from '@zakat/core/facts/in-force';
import { clientOnDay } from '@zakat/core/facts/on-day';
import { scheduleOf } from '@zakat/core/facts/schedule';
import { checkAccountNumber } from '@zakat/core/identity/account-formats';
import { checkRouting, normalDigits, proposeNameControl } from '@zakat/core/identity/numbers';
import { ask, problem, type Issue } from '@zakat/core/issues/issue';
import { cents } from '@zakat/core/money/cents';
import { parsePercent, parseRate, ratePerThousand, showRate, type Rate } from '@zakat/core/money/rate';
import { findState } from '@zakat/core/jurisdictions/states';
import { depositClassesOf } from '@zakat/core/deposits/family';
import { AGENCIES, agencyName, unemploymentStateOf } from '@zakat/core/tax-registry/registry';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, notFound, refuse } from '../../http/refusal.js';
import { lookTwice } from '../../http/second-look.js';
import { Audit } from '../audit/index.js';
import { rawCents } from '../../database/cents-column.js';
import { Clock } from '../clock/index.js';
import { FactStore } from '../facts/index.js';
import { DepositSchedules } from '../deposit-schedules/index.js';
import { ClientFactsService } from './client-facts.service.js';
import { clientIssues, keyIssues } from './client-checks.js';
import { BankAccount, Client, TaxAccount } from './entities.js';

/** Another client with this EIN: lawful where both are one employer, and a slip otherwise. */
async function sharedEin(manager: EntityManager, ein: string, exceptClient: string | null): Promise<Issue[]> {
  if (ein === '') return [];
  const rows = (await manager.query('SELECT legal_name FROM client WHERE ein = $1 AND id IS DISTINCT FROM $2 LIMIT 1', [
    ein,
    exceptClient,
  ])) as { legal_name: string }[];
  return rows.map((row) => ask('doubt.ein-shared', 'ein', { client: row.legal_name }));
}

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
/** A page of clients at the most. */
const MOST_ROWS = 2000;

@Injectable()
export class ClientsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(ClientFactsService) private readonly facts: ClientFactsService,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(DepositSchedules) private readonly schedules: DepositSchedules,
  ) {}

  list(actor: Actor, asked: { find: string; from: number; count: number }): Promise<ClientList> {
    return this.database.run(actor, async (manager) => {
      const words = asked.find
        .trim()
        .toLowerCase()
        .replace(/[%_\\]/g, '\\$&');
      const where = `$1 = '' OR lower(legal_name || ' ' || trade_name || ' ' || key) LIKE '%' || $1 || '%' OR right(ein, 4) = $1`;
      const rows = (await manager.query(
        `SELECT c.id, c.key, c.legal_name, c.trade_name, c.ein, c.state, c.lookback_amount,
           (SELECT count(*)::int FROM employee e WHERE e.client_id = c.id AND NOT e.is_withdrawn) AS people, total
         FROM (SELECT *, count(*) OVER ()::int AS total FROM client WHERE ${where} ORDER BY legal_name, id LIMIT $2 OFFSET $3) c
         ORDER BY c.legal_name, c.id`,
        [words, Math.min(asked.count, MOST_ROWS), asked.from],
      )) as Record<string, string | number>[];
      // Beyond the last page no row says how many there are.
      const total = rows[0] ? Number(rows[0]['total']) : asked.from === 0 ? 0 : await this.count(manager, where, words);
      const schedules = await this.schedules.ofYear(
        manager,
        rows.map((row) => ({ id: String(row['id']), lookbackAmount: rawCents(row['lookback_amount'] ?? '0') })),
        yearOf(await this.clock.today(manager)),
      );
      return {
        rows: rows.map((row) => ({
          id: String(row['id']),
          key: String(row['key']),
          legalName: String(row['legal_name']),
          tradeName: String(row['trade_name']),
          einTail: String(row['ein']).slice(-4),
          state: String(row['state']),
          depositSchedule: schedules.get(String(row['id']))?.class ?? '',
          people: Number(row['people']),
        })),
        total,
      };
    });
  }

  private async count(manager: EntityManager, where: string, words: string): Promise<number> {
    const rows = (await manager.query(`SELECT count(*)::int AS total FROM client WHERE ${where}`, [words])) as {
      total: number;
    }[];
    return rows[0]?.total ?? 0;
  }

  view(actor: Actor, id: string): Promise<ClientView> {
    return this.database.run(actor, async (manager) => this.viewIn(manager, id));
  }

  async viewIn(manager: EntityManager, id: string): Promise<ClientView> {
    const client = await findClient(manager, id);
    const accounts = await manager.find(TaxAccount, { where: { clientId: id }, order: { agency: 'ASC', from: 'ASC' } });
    const banks = await manager.find(BankAccount, { where: { clientId: id }, order: { label: 'ASC' } });
    const deposits = await this.schedules.of(manager, client);
    const { class: depositClass, why } = deposits
      .of(deposits.family('US-FIT'))
      .classOn(await this.clock.today(manager));
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
      depositSchedule: depositClass ?? '',
      depositScheduleWhy: why,
      version: client.version,
      taxAccounts: accounts.map(accountView),
      bankAccounts: banks.map(bankView),
      trustAccount: await this.trustAccount(manager, id),
      facts: await this.facts.views(manager, id),
      nextChecks: await this.nextChecks(manager, id),
      states: await this.statesOf(manager, client),
    };
  }

  /** The firm's trust account, where what the client has agreed to collects its taxes today. */
  private async trustAccount(manager: EntityManager, id: string): Promise<ClientView['trustAccount']> {
    const account = await manager.findOneBy(BankAccount, { isTrust: true });
    if (!account) return null;
    const facts = (await this.store.ofClient(manager, id)).filter(({ kind }) => kind === 'funding');
    const terms = inForceOn(facts, await this.clock.today(manager), CLIENT_FACTS.slotOf)[0];
    if (!terms) return null;
    const { label, accountTail } = account;
    return { id: account.id, label, accountTail, paysPeople: terms.value['what'] === 'taxes-and-net-pay' };
  }

  private async statesOf(manager: EntityManager, client: Client): Promise<string[]> {
    const rows = (await manager.query(
      `SELECT DISTINCT s.state FROM employee e JOIN employee_fact f ON f.employee_id = e.id AND f.kind = 'place',
         LATERAL (VALUES (f.value->>'work'), (f.value->>'residence')) s(state)
        WHERE e.client_id = $1 AND NOT e.is_withdrawn AND s.state IS NOT NULL`,
      [client.id],
    )) as { state: string }[];
    return [...new Set([client.state, ...rows.map((row) => row.state)].filter((state) => state !== ''))].sort();
  }

  private async nextChecks(manager: EntityManager, id: string): Promise<ClientView['nextChecks']> {
    const today = await this.clock.today(manager);
    const schedule = scheduleOf(clientOnDay(await this.store.ofClient(manager, id), today).schedule);
    return schedule ? payrollsFrom(schedule, today, 4) : [];
  }

  create(actor: Actor, input: CreateClient): Promise<{ id: string }> {
    const ein = normalDigits(input.ein);
    const issues = [...keyIssues(input.key), ...clientIssues(input)];
    const { lookbackAmount = 0, startFrom = '', einAgain: _again, facts = [], confirmed, ...rest } = input;
    const errors = issues.filter((issue) => issue.severity === 'error');
    if (errors.length > 0) throw refuse(errors);
    return this.database.run(actor, async (manager) => {
      lookTwice([...issues, ...(await sharedEin(manager, ein, null))], confirmed);
      const id = randomUUID();
      await manager.insert(Client, {
        ...rest,
        kindOfEmployer: input.kindOfEmployer ?? 'N',
        payFrequency: input.payFrequency ?? 'biweekly',
        id,
        firmId: actor.firmId,
        ein,
        lookbackAmount: cents(lookbackAmount),
        nameControl: input.nameControl || proposeNameControl(input.legalName),
        version: 1,
      });
      await this.audit.record(manager, actor, 'client.create', 'client', id, { key: input.key, startFrom });
      if (startFrom !== '') {
        const source = startFrom === 'defaults' ? null : (await findClient(manager, startFrom)).id;
        const day = facts[0]?.from ?? makeDate(yearOf(await this.clock.today(manager)), 1, 1);
        await this.facts.add(manager, actor, id, await this.facts.toCopy(manager, source, day), 'startFrom');
      }
      await this.facts.add(manager, actor, id, facts);
      return { id };
    });
  }

  addFact(actor: Actor, id: string, fact: ClientFact): Promise<{ id: string }> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, id);
      await this.facts.add(manager, actor, id, [fact]);
      return { id };
    });
  }

  updateIdentity(actor: Actor, id: string, input: UpdateClientIdentity): Promise<ClientView> {
    const ein = normalDigits(input.ein);
    const issues = clientIssues(input);
    const errors = issues.filter((issue) => issue.severity === 'error');
    if (errors.length > 0) throw refuse(errors);
    return this.database.run(actor, async (manager) => {
      const before = await findClient(manager, id);
      const isMoved = ({ field }: Issue): boolean =>
        (input as unknown as Record<string, unknown>)[field] !== (before as unknown as Record<string, unknown>)[field];
      lookTwice(
        [...issues.filter(isMoved), ...(ein === before.ein ? [] : await sharedEin(manager, ein, id))],
        input.confirmed,
      );
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
    const frequencies = depositClassesOf(input.agency).map(({ code }) => code);
    const { depositFrequency = '' } = input;
    if (depositFrequency !== '' && !frequencies.includes(depositFrequency))
      throw refuse([
        problem('input.not-one-of', 'depositFrequency', { value: depositFrequency, choices: frequencies.join(', ') }),
      ]);
    const rate = input.unemploymentRate === null ? null : parsePercent(input.unemploymentRate);
    if (input.unemploymentRate !== null && !rate)
      throw refuse([problem('input.not-a-decimal', 'unemploymentRate', { value: input.unemploymentRate })]);
    const highest = findState(unemploymentStateOf(input.agency) ?? '')?.unemployment.highestPlausibleRate;
    const shape =
      input.isApplied && input.accountNumber !== ''
        ? [problem('account.applied-with-number', 'accountNumber')]
        : !input.isApplied && input.accountNumber === ''
          ? [problem('account.number-missing', 'accountNumber')]
          : input.isApplied || input.isAsPrinted
            ? []
            : checkAccountNumber(input.agency, input.accountNumber, 'accountNumber', agencyName(input.agency));
    if (shape.length > 0) throw refuse(shape);
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
        isApplied: input.isApplied ?? false,
        isAsPrinted: input.isAsPrinted ?? false,
        depositFrequency,
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
        isTrust: false,
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
    isApplied: account.isApplied,
    isAsPrinted: account.isAsPrinted,
    depositFrequency: account.depositFrequency,
  };
}
const bankView = (bank: BankAccount): BankAccountView => ({
  id: bank.id,
  label: bank.label,
  bankName: bank.bankName,
  routing: bank.routing,
  accountTail: bank.accountTail,
  hasSignature: bank.signatureId !== null,
  signatureMost: bank.signatureMost,
  micrTestedOn: bank.micrTestedOn,
});
