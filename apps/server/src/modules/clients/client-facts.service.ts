import { Inject, Injectable } from '@nestjs/common';
import type { ClientFact, ClientFactView } from '@zakat/contract/clients';
import { CLIENT_FACTS, isCopied } from '@zakat/core/facts/client-facts';
import { text, type FactValue } from '@zakat/core/facts/fact-kind';
import { inForceOn } from '@zakat/core/facts/in-force';
import { clientOnDay } from '@zakat/core/facts/on-day';
import { canEndPeriod } from '@zakat/core/calendar/pay-schedule';
import type { PayFrequency } from '@zakat/core/calendar/pay-frequency';
import { date } from '@zakat/core/calendar/local-date';
import { problem } from '@zakat/core/issues/issue';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { refuse, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { Clock } from '../clock/index.js';
import { clientFactIssues, FactStore, type GivenFact, inForceIds, type SignedFact } from '../facts/index.js';
import { Client } from './entities.js';
import { accountLabelled } from './paying-account.js';

const W3_KINDS: Readonly<Record<string, Client['kindOfEmployer']>> = { nonprofit: 'T', government: 'S', federal: 'F' };

/** Records facts about clients (and the firm's defaults), and keeps what the client's record shows of them in step. */
@Injectable()
export class ClientFactsService {
  constructor(
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Audit) private readonly audit: Audit,
  ) {}

  async add(
    manager: EntityManager,
    actor: Actor,
    clientId: string | null,
    facts: readonly ClientFact[],
    path = 'facts',
  ): Promise<void> {
    const issues = [...clientFactIssues(facts, path), ...scheduleIssues(facts, path)];
    if (issues.length > 0) throw refuse(issues);
    await refuseStrangeAccounts(manager, clientId, facts, path);
    await this.store.addToClient(manager, actor, clientId, facts);
    if (clientId !== null) await this.keepInStep(manager, clientId, facts);
    for (const fact of facts)
      await this.audit.record(
        manager,
        actor,
        `client.${fact.kind}`,
        clientId ? 'client' : 'firm',
        clientId ?? actor.firmId,
        {
          from: fact.from,
          says: CLIENT_FACTS.says(fact.kind, fact.value),
        },
      );
  }

  /** The rules (never people or history) of the firm's defaults or of another client, as facts for a new one. */
  async toCopy(manager: EntityManager, sourceId: string | null, from: string): Promise<GivenFact[]> {
    const today = await this.clock.today(manager);
    const current = inForceOn(await this.store.ofClient(manager, sourceId), today, CLIENT_FACTS.slotOf);
    return current
      .filter(isCopied)
      .map((fact) => ({ kind: fact.kind, from, value: withoutOwn(fact.kind, fact.value) }))
      .reverse();
  }

  async views(manager: EntityManager, clientId: string | null): Promise<ClientFactView[]> {
    const facts = await this.store.ofClient(manager, clientId);
    const current = inForceIds(facts, await this.clock.today(manager), CLIENT_FACTS);
    return facts.map((fact) => viewOf(fact, current));
  }

  /** The record's own columns follow the facts that are in force today. */
  private async keepInStep(manager: EntityManager, clientId: string, added: readonly GivenFact[]): Promise<void> {
    const today = await this.clock.today(manager);
    const kinds = new Set(added.map((fact) => fact.kind));
    const facts = inForceOn(await this.store.ofClient(manager, clientId), today, CLIENT_FACTS.slotOf);
    const one = (kind: string): FactValue | undefined => facts.find((fact) => fact.kind === kind)?.value;
    const { schedule } = clientOnDay(facts, today);
    if (kinds.has('schedule') && schedule)
      await manager.update(Client, { id: clientId }, { payFrequency: text(schedule, 'frequency') });
    const employer = one('employer');
    if (kinds.has('employer') && employer)
      await manager.update(Client, { id: clientId }, { kindOfEmployer: W3_KINDS[text(employer, 'kind')] ?? 'N' });
  }
}

/** Half-months and months end where the calendar says; a schedule that ends elsewhere would drift. */
const scheduleIssues = (facts: readonly GivenFact[], path: string) =>
  facts.flatMap((fact, index) => {
    if (fact.kind !== 'schedule') return [];
    const end = date(text(fact.value, 'periodEnd'));
    const frequency = text(fact.value, 'frequency') as PayFrequency;
    return canEndPeriod(frequency, end)
      ? []
      : [problem('schedule.period-end', `${path}[${index}].value.periodEnd`, { frequency, day: end })];
  });

/** A schedule is paid from an account that the client has. */
async function refuseStrangeAccounts(
  manager: EntityManager,
  clientId: string | null,
  facts: readonly GivenFact[],
  path: string,
): Promise<void> {
  for (const [index, fact] of facts.entries()) {
    const label = fact.kind === 'schedule' ? text(fact.value, 'account') : '';
    if (label !== '' && (clientId === null || (await accountLabelled(manager, clientId, label)) === null))
      throw refuseField(
        `${path}[${index}].value.account`,
        `There is no bank account ${label}.`,
        'Write its label as it stands under Bank accounts, or leave it blank.',
      );
  }
}

/** A copied fact leaves out what is one employer's alone. */
function withoutOwn(kind: string, value: FactValue): FactValue {
  if (kind === 'schedule') {
    const { account: _account, ...schedule } = value;
    return schedule;
  }
  if (kind !== 'employer') return value;
  const { firstWages: _first, lastWages: _last, successor: _successor, ...rest } = value;
  return rest;
}

const viewOf = (fact: SignedFact, current: ReadonlySet<string>): ClientFactView => ({
  kind: fact.kind,
  from: fact.from,
  value: { ...fact.value },
  sentence: CLIENT_FACTS.says(fact.kind, fact.value),
  isInForce: current.has(fact.id),
  recordedBy: fact.recordedBy,
  recordedAt: fact.recordedAt.toISOString(),
});
