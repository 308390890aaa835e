import { Inject, Injectable } from '@nestjs/common';
import type { CollectionRow, CollectionView, FundsView, NeedView, PlanCollection } from '@zakat/contract/trust';
import type { ReleaseSlip, SlipCheck } from '@zakat/contract/remittances';
import { date, showDate, showShortDate } from '@zakat/core/calendar/local-date';
import { earliestSettlement } from '@zakat/core/deposits/ach-days';
import { writeCollection } from '@zakat/core/formats/nacha/collection';
import { sentence } from '@zakat/core/issues/issue';
import { showDollars, ZERO, type Cents } from '@zakat/core/money/cents';
import { collecting, usableFrom, usableOn, type Collecting, type FundingTerms } from '@zakat/core/trust/collecting';
import { DEBIT_RETURNS, retryRefusal } from '@zakat/core/trust/return-codes';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { dayFrom } from '../../http/day.js';
import { conflict, detailOf, notFound, refuseField } from '../../http/refusal.js';
import { WorkQueue } from '../../queue/work-queue.js';
import { Executor } from '../../state-machines/executor.js';
import { COLLECTION_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { accountWords, BankAccount, type Client, findClient, Firm } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { achChecks, mayReleaseCheck, Outbox, refuseFailed, Releases } from '../outbox/index.js';
import { entryViews, TrustLedger } from '../trust/index.js';
import { Collection } from './entities.js';
import { Needs } from './needs.js';

/** All that a plan, a slip or a page asks about one client's funds. */
interface Standing {
  readonly client: Client;
  readonly trust: BankAccount | null;
  readonly terms: FundingTerms | null;
  /** The account that the authorization names. */
  readonly debits: BankAccount | null;
  readonly next: Collecting | null;
  readonly advanced: Cents;
}

/** Money collected from clients by debit: planned by one person, released once by another, followed until it is safe. */
@Injectable()
export class Collections {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Needs) private readonly needs: Needs,
    @Inject(TrustLedger) private readonly ledger: TrustLedger,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Releases) private readonly releases: Releases,
    @Inject(Outbox) private readonly outbox: Outbox,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(WorkQueue) private readonly queue: WorkQueue,
  ) {}

  funds(actor: Actor, clientId: string): Promise<FundsView> {
    return this.database.run(actor, async (manager) => {
      const { client, trust, terms, debits, next, advanced } = await this.standing(manager, clientId);
      const held = trust ? await this.ledger.heldOf(manager, trust.id, clientId) : { balance: ZERO, held: [] };
      const rows = await manager.find(Collection, { where: { clientId }, order: { createdAt: 'DESC' }, take: 100 });
      return {
        terms: terms && { ...terms },
        debits: debits && accountWords(debits),
        trust: trust && { id: trust.id, label: trust.label, bankName: trust.bankName, tail: trust.accountTail },
        balance: held.balance,
        usable: usableOn(held, await this.clock.today(manager)),
        advanced,
        next: next && { ...next, lines: next.lines.map((line) => ({ ...line })), problems: next.issues.map(detailOf) },
        collections: rows.map((row) => rowOf(row, client)),
        entries: trust ? await entryViews(manager, trust.id, clientId) : [],
      };
    });
  }

  /** What the next collection comes to and by when; null where nothing is collected or nothing is open. For the ladder. */
  async nextIn(manager: EntityManager, clientId: string): Promise<Collecting | null> {
    const agreed = (await manager.query(`SELECT 1 FROM client_fact WHERE client_id = $1 AND kind = 'funding' LIMIT 1`, [
      clientId,
    ])) as unknown[];
    if (agreed.length === 0) return null;
    const { next } = await this.standing(manager, clientId);
    return next && next.amount > 0 ? next : null;
  }

  plan(actor: Actor, clientId: string, input: PlanCollection): Promise<{ id: string }> {
    const settles = dayFrom(input.settles, 'settles');
    return this.database.run(actor, async (manager) => {
      const standing = await this.standing(manager, clientId);
      const { next, terms } = standing;
      if (!next || next.amount <= 0 || !terms) throw conflict('Nothing is to be collected from this client now.');
      if (next.amount !== input.amount)
        throw conflict(`It comes to ${showDollars(next.amount)} now. Look again before it is planned.`);
      const [first] = next.issues;
      if (first) throw refuseField('amount', sentence(first), 'Change what stands against it first.');
      return this.insert(manager, actor, standing, {
        kind: 'debit',
        amount: next.amount,
        advance: next.advance,
        settles,
        retryOf: null,
        retries: 0,
        items: next.lines,
      });
    });
  }

  planPrenote(actor: Actor, clientId: string): Promise<{ id: string }> {
    return this.database.run(actor, async (manager) =>
      this.insert(manager, actor, await this.standing(manager, clientId), {
        kind: 'prenote',
        amount: ZERO,
        advance: ZERO,
        settles: earliestSettlement(await this.clock.today(manager)),
        retryOf: null,
        retries: 0,
        items: [],
      }),
    );
  }

  /** The debit that came back, once more: the same amount, as often and as long as the rules let it. */
  retry(actor: Actor, id: string): Promise<{ id: string }> {
    return this.database.run(actor, async (manager) => {
      const before = await find(manager, id);
      if (before.status !== 'returned' || before.kind === 'prenote')
        throw conflict('Only a debit that came back is sent again.');
      const refusal = await this.retryRefusal(manager, before);
      if (refusal) throw refuseField('retry', refusal.says, refusal.fix);
      return this.insert(manager, actor, await this.standing(manager, before.clientId), {
        kind: 'debit',
        amount: before.amount,
        advance: await this.ledger.advancedTo(manager, before.trustAccountId, before.clientId),
        settles: earliestSettlement(await this.clock.today(manager)),
        retryOf: before.id,
        retries: before.retries + 1,
        items: await itemsOf(manager, before.id),
      });
    });
  }

  view(actor: Actor, id: string): Promise<CollectionView> {
    return this.database.run(actor, (manager) => this.viewIn(manager, id));
  }

  withdraw(actor: Actor, id: string, version: number): Promise<CollectionView> {
    return this.database.run(actor, async (manager) => {
      await this.executor.apply(manager, actor, COLLECTION_MACHINE, { id, act: 'withdraw', version });
      await manager.query('UPDATE collection_item SET is_live = false WHERE collection_id = $1', [id]);
      return this.viewIn(manager, id);
    });
  }

  /** The slip of a release. Asking for it is the rehearsal: the real checks and the real file, and nothing changes. */
  slip(actor: Actor, id: string): Promise<ReleaseSlip> {
    return this.database.run(actor, async (manager) => (await this.rehearse(manager, actor, id)).slip);
  }

  /** Releases once: state, file and outbox row in one transaction; the sending is a job's. */
  async release(actor: Actor, id: string, version: number): Promise<CollectionView> {
    const view = await this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM collection WHERE id = $1 FOR UPDATE', [id]);
      const { collection, slip, content } = await this.rehearse(manager, actor, id);
      if (collection.status === 'planned') refuseFailed(slip);
      await this.releases.release(manager, actor, COLLECTION_MACHINE, {
        id,
        version,
        clientId: collection.clientId,
        kind: 'collection-file',
        receiver: 'bank',
        documentKind: 'collection-file',
        attempt: 1,
        name: `${collection.reference}.ach`,
        mediaType: 'text/plain',
        content: Buffer.from(content, 'ascii'),
        detail: { amount: collection.amount, settles: collection.settles },
      });
      return this.viewIn(manager, id);
    });
    await this.queue.wake();
    return view;
  }

  private async standing(manager: EntityManager, clientId: string): Promise<Standing> {
    const client = await findClient(manager, clientId);
    const trust = await this.ledger.account(manager);
    const today = await this.clock.today(manager);
    const { terms: termsOn, needs } = await this.needs.of(manager, clientId);
    const terms = termsOn(today);
    const banks = await manager.find(BankAccount, { where: { clientId } });
    const debits = terms ? (banks.find(({ accountTail }) => accountTail === terms.accountTail) ?? null) : null;
    const advanced = trust ? await this.ledger.advancedTo(manager, trust.id, clientId) : ZERO;
    const next = terms && trust ? collecting(terms, needs, advanced, today) : null;
    return { client, trust, terms, debits, next, advanced };
  }

  private async insert(
    manager: EntityManager,
    actor: Actor,
    { client, trust, terms, debits }: Standing,
    made: Pick<Collection, 'kind' | 'amount' | 'advance' | 'settles' | 'retryOf' | 'retries'> & {
      readonly items: readonly NeedView[];
    },
  ): Promise<{ id: string }> {
    if (!trust)
      throw refuseField('trust', 'The firm has no trust account.', 'An administrator sets it up on its page first.');
    if (!terms)
      throw refuseField('terms', 'The client has not agreed that anything is collected.', 'Record it in its setup.');
    if (!debits)
      throw refuseField(
        'accountTail',
        `The client has no bank account ending ${terms.accountTail}.`,
        'Add the account that the client has authorized.',
      );
    const id = randomUUID();
    const { items, ...rest } = made;
    await manager.insert(Collection, {
      ...rest,
      id,
      firmId: actor.firmId,
      clientId: client.id,
      trustAccountId: trust.id,
      bankAccountId: debits.id,
      reference: `ZC${id.replaceAll('-', '').slice(0, 12).toUpperCase()}`,
      entryClass: terms.entryClass,
      usable: usableFrom(date(made.settles), terms.holdDays),
      status: 'planned',
      version: 1,
      preparedBy: actor.userId ?? '',
      createdAt: await this.clock.now(manager),
    });
    await manager.query(
      `INSERT INTO collection_item (collection_id, position, firm_id, client_id, payroll_id, invoice_id, what, amount, is_live)
       SELECT $1, r.position, $2, $3, r."payrollId", r."invoiceId", r.what, r.amount, true FROM jsonb_to_recordset($4::jsonb) AS r(position int, "payrollId" uuid, "invoiceId" uuid, what text, amount bigint)`,
      [id, actor.firmId, client.id, JSON.stringify(items.map((item, position) => ({ ...item, position })))],
    );
    await this.audit.record(manager, actor, 'collection.plan', 'collection', id, {
      kind: made.kind,
      amount: made.amount,
      settles: made.settles,
      retries: made.retries,
    });
    return { id };
  }

  private async rehearse(
    manager: EntityManager,
    actor: Actor,
    id: string,
  ): Promise<{ collection: Collection; slip: ReleaseSlip; content: string }> {
    const collection = await find(manager, id);
    const { client, trust, terms, debits } = await this.standing(manager, collection.clientId);
    const [firm] = await manager.find(Firm);
    const bank = await manager.findOneByOrFail(BankAccount, { id: collection.bankAccountId });
    const account = await manager.findOneByOrFail(BankAccount, { id: collection.trustAccountId });
    const settles = date(collection.settles);
    const today = await this.clock.today(manager);
    const isPrenote = collection.kind === 'prenote';
    const file = writeCollection({
      bankRouting: account.routing,
      bankName: account.bankName,
      originName: firm?.name ?? '',
      companyId: `1${firm?.ein ?? ''}`,
      companyName: firm?.name ?? '',
      created: today,
      settles,
      fileIdModifier: 'C',
      entryClass: collection.entryClass,
      kind: isPrenote ? 'prenote' : collection.retries > 0 ? 'retry' : 'debit',
      routing: bank.routing,
      account: this.secrets.open(bank.accountCipher),
      amount: collection.amount,
      reference: collection.reference,
      name: client.legalName,
    });
    const isAuthorized = terms !== null && debits?.id === bank.id && terms.authorizedOn <= today && trust !== null;
    const isWithin = terms?.most == null || collection.amount <= terms.most;
    const isOwn = actor.userId === collection.preparedBy && (await this.executor.requiresSecondPerson(manager));
    const changed = isPrenote ? null : await this.changed(manager, collection);
    const checks: SlipCheck[] = [
      {
        label: 'The client has authorized the debit',
        isPassed: isAuthorized && isWithin,
        says: !isAuthorized
          ? `No authorization in force names the account ending ${bank.accountTail}.`
          : isWithin
            ? `Signed ${showShortDate(terms.authorizedOn)} by ${terms.signedBy}${terms.most === null ? ', without a limit' : `, up to ${showDollars(terms.most)}`}.`
            : `It authorizes ${showDollars(terms.most ?? ZERO)} at the most.`,
      },
      ...(changed === null
        ? []
        : [
            {
              label: 'The payrolls still need this amount',
              isPassed: changed === '',
              says: changed === '' ? 'As when it was planned.' : changed,
            },
          ]),
      ...achChecks(file, collection.amount, settles, today),
      {
        label: 'Another person prepared it',
        isPassed: !isOwn,
        says: isOwn ? 'You prepared it; another person must release it.' : 'Two persons stand for it.',
      },
      mayReleaseCheck(actor),
    ];
    const isOpen = collection.status === 'planned';
    return {
      collection,
      content: file.content,
      slip: {
        title: `${isPrenote ? 'Prenote of a debit' : 'Collection'} from ${client.legalName}`,
        act: isOpen ? 'release' : 'rehearsal',
        amount: isPrenote ? null : collection.amount,
        figures: [
          { label: 'Client', value: `${client.legalName}, EIN ending ${client.ein.slice(-4)}` },
          { label: 'Debits', value: accountWords(bank) },
          { label: 'Into', value: accountWords(account) },
          { label: 'Settles', value: showDate(settles) },
          { label: 'May be paid out from', value: showDate(date(collection.usable)) },
          { label: 'Reference', value: collection.reference },
        ],
        leaves: isPrenote
          ? 'No money moves. The client’s bank is asked whether it knows the account.'
          : `${showDollars(collection.amount)} is taken from ${client.legalName}'s account into the trust account.`,
        becomesImpossible: 'Once the bank has the file it cannot be called back from here.',
        wayBack:
          'A debit that comes back is taken off the client’s balance; what was paid out of it by then stands as the firm’s advance. Too much is refunded.',
        checks: isOpen ? checks : [],
        mayRelease: isOpen && checks.every((check) => check.isPassed),
        file: hidden(file.content),
      },
    };
  }

  /** What a payroll of it comes to now, where that is not what was planned: blank where nothing has changed. */
  private async changed(manager: EntityManager, collection: Collection): Promise<string> {
    for (const { payrollId, what, amount, checkDate } of await itemsOf(manager, collection.id)) {
      if (what !== 'taxes') continue;
      const [row] = (await manager.query(
        'SELECT coalesce(sum(amount), 0) AS amount FROM ledger_entry WHERE payroll_id = $1',
        [payrollId],
      )) as { amount: string }[];
      const now = rawCents(row?.amount ?? '0');
      if (now !== amount)
        return `The taxes of ${showShortDate(date(checkDate))} come to ${showDollars(now)} now. Withdraw it and plan again.`;
    }
    return '';
  }

  private async retryRefusal(
    manager: EntityManager,
    collection: Collection,
  ): Promise<{ says: string; fix: string } | null> {
    let first = collection;
    while (first.retryOf !== null) first = await find(manager, first.retryOf);
    return retryRefusal(
      collection.returnCode ?? '',
      collection.retries,
      date(first.settles),
      await this.clock.today(manager),
    );
  }

  private async viewIn(manager: EntityManager, id: string): Promise<CollectionView> {
    const collection = await find(manager, id);
    const client = await findClient(manager, collection.clientId);
    const bank = await manager.findOneByOrFail(BankAccount, { id: collection.bankAccountId });
    const names = (await manager.query('SELECT id, name FROM app_user')) as { id: string; name: string }[];
    const nameOf = (userId: string | null): string | null => names.find((user) => user.id === userId)?.name ?? null;
    const isReturned = collection.status === 'returned';
    const again = (await manager.query('SELECT 1 FROM collection WHERE retry_of = $1', [id])) as unknown[];
    const refusal = isReturned ? await this.retryRefusal(manager, collection) : null;
    return {
      ...rowOf(collection, client),
      items: await itemsOf(manager, id),
      advance: collection.advance,
      bankAccount: accountWords(bank),
      preparedBy: nameOf(collection.preparedBy) ?? '',
      releasedBy: nameOf(collection.releasedBy),
      delivery: await this.outbox.standing(manager, id),
      then: isReturned ? (refusal ? refusal.fix : (DEBIT_RETURNS[collection.returnCode ?? '']?.then ?? null)) : null,
      mayRetry: isReturned && refusal === null && again.length === 0 && collection.kind === 'debit',
    };
  }
}

/** Positions of the account number in an entry detail record: screens see its end. */
const hidden = (content: string): string =>
  content.replace(/^(6.{11})(.{17})/gm, (_, before: string, account: string) => {
    const digits = account.trimEnd();
    return `${before}${`${'*'.repeat(Math.max(digits.length - 4, 0))}${digits.slice(-4)}`.padEnd(17)}`;
  });

async function find(manager: EntityManager, id: string): Promise<Collection> {
  const collection = await manager.findOneBy(Collection, { id });
  if (!collection) throw notFound('collection');
  return collection;
}

async function itemsOf(manager: EntityManager, id: string): Promise<NeedView[]> {
  const rows = (await manager.query(
    `SELECT i.payroll_id, i.invoice_id, coalesce(p.check_date, v.due) AS day, i.what, i.amount FROM collection_item i LEFT JOIN payroll p ON p.id = i.payroll_id LEFT JOIN invoice v ON v.id = i.invoice_id
     WHERE i.collection_id = $1 ORDER BY i.position`,
    [id],
  )) as { payroll_id: string | null; invoice_id: string | null; day: string; what: NeedView['what']; amount: string }[];
  return rows.map((row) => ({
    payrollId: row.payroll_id,
    invoiceId: row.invoice_id,
    checkDate: row.day,
    what: row.what,
    amount: rawCents(row.amount),
  }));
}

const rowOf = (row: Collection, client: Client): CollectionRow => ({
  id: row.id,
  clientId: row.clientId,
  clientName: client.legalName,
  kind: row.kind,
  reference: row.reference,
  amount: row.amount,
  settles: row.settles,
  usable: row.usable,
  status: row.status,
  version: row.version,
  retries: row.retries,
  confirmation: row.confirmation,
  returnedReason: row.returnedReason,
});
