import { Inject, Injectable } from '@nestjs/common';
import type { PassGap, ReadinessView } from '@zakat/contract/people';
import { addBusinessDays } from '@zakat/core/calendar/business-days';
import { BANKING } from '@zakat/core/calendar/holidays';
import { addDays, date, yearOf, type LocalDate } from '@zakat/core/calendar/local-date';
import { text } from '@zakat/core/facts/fact-kind';
import type { TieOutSide } from '@zakat/core/filings/kind';
import { periodWith } from '@zakat/core/filings/period';
import { FILING_KINDS } from '@zakat/core/filings/registry';
import { clientOnDay, type ClientOnDay } from '@zakat/core/facts/on-day';
import type { Issue } from '@zakat/core/issues/issue';
import type { TaxCode } from '@zakat/core/tax-registry/registry';
import type { ClientStanding, Gap, PurposeDates } from '@zakat/core/readiness/gap';
import { gapsOf, questionLines } from '@zakat/core/readiness/gaps';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Refusal, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { BankAccount, type Client, findClient, TaxAccount } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { PayAccounts } from '../direct-deposits/index.js';
import { Employee } from '../employees/index.js';
import { FactStore } from '../facts/index.js';
import { DepositSchedules } from '../deposit-schedules/index.js';
import { agenciesSetUp } from '../remittances/index.js';
import { computeEntry, nextPayroll, PeopleCases, type PersonCase, usualEntry } from '../payrolls/index.js';
import { OLD_HIRE_DAYS, passes, passKey, personStanding, reportedHires } from '../standing/index.js';

/** What is missing of a client and its people, for what, by when, and whose move it is. */
@Injectable()
export class ReadinessService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(PeopleCases) private readonly peopleCases: PeopleCases,
    @Inject(PayAccounts) private readonly accounts: PayAccounts,
    @Inject(DepositSchedules) private readonly schedules: DepositSchedules,
  ) {}

  view(actor: Actor, clientId: string): Promise<ReadinessView> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const today = await this.clock.today(manager);
      const gaps = await this.gapsIn(manager, client, today);
      const passed = await passes(manager, clientId);
      return {
        on: today,
        gaps: gaps.map((gap) => ({
          ...gap,
          neededFor: [...gap.neededFor],
          passedBecause: passed.get(passKey(gap.personId, gap.key)) ?? null,
        })),
        letter: questionLines(gaps).map((line) => ({ ...line, asks: [...line.asks] })),
      };
    });
  }

  async gapsIn(manager: EntityManager, client: Client, today: LocalDate): Promise<Gap[]> {
    const next = await nextPayroll(manager, this.store, client);
    const checkDate = next ? date(next.checkDate) : today;
    const cases = await this.peopleCases.on(manager, client, checkDate);
    const reported = await reportedHires(manager, client.id, addDays(today, -OLD_HIRE_DAYS));
    const computed = cases.map((person) => ({ person, result: computeEntry(person, usualEntry(person, 'regular')) }));
    const ids = cases.map((person) => person.employee.id);
    const accounts = await this.accounts.of(manager, client.id, ids, checkDate, today);
    const people = computed.map(({ person, result }) =>
      personStanding(
        person.employee,
        person.facts,
        result,
        reported,
        today,
        (accounts.get(person.employee.id) ?? []).map(({ label, prenote }) => ({ label, standing: prenote })),
      ),
    );
    const others = await manager.find(Employee, { where: { clientId: client.id, isWithdrawn: false } });
    const known = new Set(people.map((person) => person.id));
    const partners = others
      .filter((person) => !known.has(person.id) && person.kind === 'contractor')
      .map((person) => personStanding(person, NO_FACTS, { problems: [], taxes: [] }, reported, today));
    return gapsOf(
      await this.clientStanding(
        manager,
        client,
        checkDate,
        next !== null && (await lacksBalances(manager, client, next, cases)),
        await this.depositQuestions(
          manager,
          client,
          people.flatMap((person) => person.taxes),
          checkDate,
        ),
      ),
      [...people, ...partners],
      dates(next ? checkDate : null, today),
      yearOf(checkDate),
    );
  }

  /** A reviewer lets a gap pass: the next payroll no longer waits for it. The reason is kept. */
  pass(actor: Actor, clientId: string, input: PassGap): Promise<void> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      if (actor.role !== 'reviewer' && actor.role !== 'administrator')
        throw new Refusal(403, 'role', `A ${actor.role} cannot let a gap pass. Ask a reviewer or administrator.`);
      const gaps = await this.gapsIn(manager, client, await this.clock.today(manager));
      if (!gaps.some((gap) => gap.key === input.key && gap.personId === input.personId))
        throw refuseField('key', 'There is no such gap any more.', 'Look again.');
      await manager.query(
        'INSERT INTO gap_pass (firm_id, client_id, employee_id, gap_key, reason, passed_by, passed_at) VALUES ($1,$2,$3,$4,$5,$6,$7)',
        [actor.firmId, clientId, input.personId, input.key, input.reason, actor.userId, await this.clock.now(manager)],
      );
      await this.audit.record(
        manager,
        actor,
        'gap.pass',
        input.personId ? 'employee' : 'client',
        input.personId ?? clientId,
        {
          gap: input.key,
          reason: input.reason,
        },
      );
    });
  }

  /** What has to be answered before the taxes of the next checks have due dates, once for each deposit. */
  private async depositQuestions(
    manager: EntityManager,
    client: Client,
    taxes: readonly TaxCode[],
    checkDate: LocalDate,
  ): Promise<Issue[]> {
    if (taxes.length === 0) return [];
    const deposits = await this.schedules.of(manager, client);
    const families = new Map(taxes.map((tax) => [deposits.family(tax).code, deposits.family(tax)]));
    return [...families.values()].flatMap((family) => deposits.dueOn(family, checkDate)?.question ?? []);
  }

  private async clientStanding(
    manager: EntityManager,
    client: Client,
    day: LocalDate,
    isWithoutBalances: boolean,
    depositQuestions: readonly Issue[],
  ): Promise<ClientStanding> {
    const accounts = await manager.find(TaxAccount, { where: { clientId: client.id }, order: { from: 'ASC' } });
    const byAgency = new Map<string, ClientStanding['accounts'][number]>();
    for (const account of accounts) {
      if (account.from > day) continue;
      byAgency.set(account.agency, {
        agency: account.agency,
        number: account.accountNumber,
        isApplied: account.isApplied,
        hasRate: account.unemploymentRate !== null || byAgency.get(account.agency)?.hasRate === true,
      });
    }
    const banks = await manager.count(BankAccount, { where: { clientId: client.id } });
    const facts = clientOnDay(await this.store.ofClient(manager, client.id), day);
    return {
      legalName: client.legalName,
      ein: client.ein,
      street: client.street,
      city: client.city,
      state: client.state,
      zip: client.zip,
      phone: client.phone,
      email: client.email,
      contactName: client.contactName,
      signerName: client.signerName,
      signerTitle: client.signerTitle,
      hasBank: banks > 0,
      lacksBalances: isWithoutBalances && !startsIn(facts, day),
      accounts: [...byAgency.values()],
      agenciesSetUp: await agenciesSetUp(manager),
      depositQuestions,
      facts,
    };
  }
}

/** Whether the client began to pay wages in the year of a day. */
const startsIn = (facts: ClientOnDay, day: LocalDate): boolean =>
  text(facts.employer ?? {}, 'firstWages').startsWith(`${yearOf(day)}-`);

/** Whether the next payroll would be the first of a year in which somebody was already paid elsewhere. */
async function lacksBalances(
  manager: EntityManager,
  client: Client,
  next: { readonly periodStart: string; readonly checkDate: string },
  cases: readonly PersonCase[],
): Promise<boolean> {
  const year = yearOf(date(next.checkDate));
  if (next.checkDate <= `${year}-01-31`) return false;
  if (!cases.some(({ employee }) => employee.hiredOn === null || employee.hiredOn < next.periodStart)) return false;
  const rows = (await manager.query(
    `SELECT EXISTS (SELECT 1 FROM payroll WHERE client_id = $1 AND check_date >= $2)
         OR EXISTS (SELECT 1 FROM take_over WHERE client_id = $1 AND year = $3 AND status IN ('open', 'accepted')) AS known`,
    [client.id, `${year}-01-01`, year],
  )) as { known: boolean }[];
  return rows[0]?.known === false;
}

const NO_FACTS = {
  pay: null,
  federal: null,
  certificates: {},
  place: null,
  worker: null,
  jobs: null,
  employment: null,
  consent: null,
  standing: [],
  garnishments: [],
  leave: [],
  banks: [],
};

/** When each purpose comes next, from the next check date on. */
function dates(checkDate: LocalDate | null, today: LocalDate): PurposeDates {
  const paid = checkDate ?? today;
  const nextDue = (station: TieOutSide['station']): LocalDate | null =>
    // What the states ask for is due with it or after it; whose it is follows from what is paid.
    FILING_KINDS.filter(({ tieOut, jurisdiction }) => tieOut.station === station && jurisdiction === 'US')
      .map((kind) => kind.due(periodWith(kind.period, paid)).due)
      .sort()[0] ?? null;
  return {
    paycheck: checkDate,
    'new-hire': null,
    deposit: checkDate === null ? null : addBusinessDays(paid, 1, BANKING),
    return: nextDue('returns'),
    'wage-statement': nextDue('wage-statements'),
  };
}
