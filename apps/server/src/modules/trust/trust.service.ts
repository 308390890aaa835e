import { Inject, Injectable } from '@nestjs/common';
import type {
  AdvanceFunds,
  HeldOfClient,
  RecordTrustEntry,
  ReverseTrustEntry,
  SaveTrustAccount,
  TrustEntryView,
  TrustView,
} from '@zakat/contract/trust';
import { showDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { checkRouting, normalDigits } from '@zakat/core/identity/numbers';
import { problem } from '@zakat/core/issues/issue';
import { add, cents, showDollars, sum, ZERO } from '@zakat/core/money/cents';
import { trustKind, type TrustKindCode } from '@zakat/core/trust/kinds';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { dayFrom } from '../../http/day.js';
import { conflict, notFound, refuse, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { BankAccount, findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { refuseUnlessAdministrator } from '../firm/index.js';
import { entryViews } from './trust-entries.js';
import { TrustLedger } from './trust-ledger.js';

const MOST_ENTRIES = 500;

/** The account that holds the clients' money: whose it is, and what moved it. */
@Injectable()
export class TrustService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(TrustLedger) private readonly ledger: TrustLedger,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(actor: Actor): Promise<TrustView> {
    return this.database.run(actor, async (manager) => {
      const account = await this.ledger.account(manager);
      const clients = account ? await this.held(manager, account.id, null) : [];
      const ofFirm = account ? await this.ledger.balanceOf(manager, account.id, actor.firmId) : ZERO;
      const ofClients = sum(clients.map(({ balance }) => cents(balance)));
      const [days] = account
        ? ((await manager.query(
            `SELECT (SELECT max(day) FROM trust_closing WHERE bank_account_id = $1) AS statement, (SELECT max(day) FROM trust_reconciliation WHERE bank_account_id = $1) AS reconciled,
               (SELECT count(*)::int FROM trust_line l WHERE l.bank_account_id = $1 AND NOT EXISTS (SELECT 1 FROM trust_match m WHERE m.line_id = l.id)) AS unexplained`,
            [account.id],
          )) as { statement: string | null; reconciled: string | null; unexplained: number }[])
        : [];
      return {
        account: account && {
          id: account.id,
          label: account.label,
          bankName: account.bankName,
          tail: account.accountTail,
        },
        clients,
        ofClients,
        ofFirm,
        book: add(ofClients, ofFirm),
        statementDay: days?.statement ?? null,
        reconciledDay: days?.reconciled ?? null,
        unexplained: days?.unexplained ?? 0,
      };
    });
  }

  saveAccount(actor: Actor, input: SaveTrustAccount): Promise<TrustView> {
    refuseUnlessAdministrator(actor, 'say which account holds the clients’ money');
    const issues = [
      ...checkRouting(input.routing, 'routing'),
      ...(/^[0-9A-Za-z-]{4,17}$/.test(input.account) ? [] : [problem('bank.account-shape', 'account')]),
    ];
    if (issues.length > 0) throw refuse(issues);
    return this.database
      .run(actor, async (manager) => {
        if (await this.ledger.account(manager))
          throw conflict(
            'The firm has a trust account. What it holds has to be paid out before another takes its place.',
          );
        await manager.insert(BankAccount, {
          id: randomUUID(),
          firmId: actor.firmId,
          clientId: null,
          isTrust: true,
          label: input.label,
          bankName: input.bankName,
          routing: normalDigits(input.routing),
          accountCipher: this.secrets.seal(input.account),
          accountTail: input.account.slice(-4),
        });
        await this.audit.record(manager, actor, 'trust.account', 'firm', actor.firmId, { label: input.label });
      })
      .then(() => this.view(actor));
  }

  entries(actor: Actor, clientId: string | null): Promise<TrustEntryView[]> {
    return this.database.run(actor, async (manager) => {
      if (clientId !== null) await findClient(manager, clientId);
      const account = await this.ledger.account(manager);
      return account ? entryViews(manager, account.id, clientId, MOST_ENTRIES) : [];
    });
  }

  /** Money that moved outside, by the bank's reference. Money of the firm's own is moved by a reviewer or administrator. */
  record(actor: Actor, input: RecordTrustEntry): Promise<{ id: string }> {
    const day = dayFrom(input.day, 'day');
    const kind = trustKind(input.kind);
    if (input.amount <= 0) throw refuseField('amount', 'The amount is not above zero.', 'Give what the bank moved.');
    if (kind.of === 'client' && input.clientId === null)
      throw refuseField('clientId', 'No client is chosen.', 'Say whose money it is.');
    if (kind.of === 'firm' && input.clientId !== null)
      throw refuseField('clientId', `${kind.label} is the firm’s own.`, 'Leave the client blank.');
    if (kind.sign === -1 && actor.role === 'preparer')
      throw refuseField('kind', 'A preparer takes nothing out of the trust account.', 'Ask a reviewer.');
    return this.database.run(actor, async (manager) => {
      await this.refuseFuture(manager, day, 'day');
      const account = await this.accountOf(manager);
      const [kept] = (await manager.query(
        'SELECT max(day) AS day FROM trust_reconciliation WHERE bank_account_id = $1',
        [account.id],
      )) as { day: LocalDate | null }[];
      if (kept?.day && day <= kept.day)
        throw refuseField(
          'day',
          `The account is proved up to ${showDate(kept.day)}.`,
          'Give a later day: the report of a proved day stands.',
        );
      if (input.clientId !== null) {
        await findClient(manager, input.clientId);
        await this.ledger.hold(manager, account.id, input.clientId);
      } else if (kind.sign === -1 && input.kind === 'firm-drew') {
        const own = await this.ledger.balanceOf(manager, account.id, actor.firmId);
        if (own < input.amount)
          throw refuseField(
            'amount',
            `The firm’s own part of the account is ${showDollars(own)}; the rest is its clients’.`,
            'Draw no more than the firm’s own part.',
          );
      }
      const id = await this.ledger.post(manager, actor, {
        accountId: account.id,
        clientId: input.clientId,
        day,
        kind: input.kind,
        amount: cents(input.amount),
        reference: input.reference.trim(),
        memo: input.memo.trim(),
        subjectId: null,
      });
      await this.recordAudit(manager, actor, 'trust.record', input.clientId, {
        kind: kind.label,
        amount: input.amount,
        reference: input.reference,
        day,
      });
      return { id };
    });
  }

  /** The firm's own money for a client: only as much as the firm has in the account. */
  advance(actor: Actor, clientId: string, input: AdvanceFunds): Promise<{ id: string }> {
    if (actor.role === 'preparer') throw refuseField('amount', 'A preparer advances nothing.', 'Ask a reviewer.');
    if (input.amount <= 0) throw refuseField('amount', 'The amount is not above zero.', 'Give what is advanced.');
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const account = await this.accountOf(manager);
      await this.ledger.hold(manager, account.id, actor.firmId);
      const own = await this.ledger.balanceOf(manager, account.id, actor.firmId);
      if (own < input.amount)
        throw refuseField(
          'amount',
          `The firm’s own part of the account is ${showDollars(own)}.`,
          'Pay in more of the firm’s money first: what is advanced is never another client’s.',
        );
      const id = randomUUID();
      await this.ledger.advance(manager, actor, {
        accountId: account.id,
        clientId,
        day: await this.clock.today(manager),
        amount: cents(input.amount),
        reference: `ZA${id.replaceAll('-', '').slice(0, 12).toUpperCase()}`,
        memo: input.reason,
        subjectId: id,
      });
      await this.recordAudit(manager, actor, 'trust.advance', clientId, { amount: input.amount, reason: input.reason });
      return { id };
    });
  }

  /** Takes back what was written down by hand and is not on the bank's statement. */
  reverse(actor: Actor, id: string, { reason }: ReverseTrustEntry): Promise<{ id: string }> {
    return this.database.run(actor, async (manager) => {
      const rows = (await manager.query(
        `SELECT e.*, EXISTS (SELECT 1 FROM trust_match m WHERE m.entry_id = e.id) AS is_matched, EXISTS (SELECT 1 FROM trust_entry r WHERE r.reverses = e.id) AS is_reversed FROM trust_entry e WHERE e.id = $1`,
        [id],
      )) as {
        bank_account_id: string;
        client_id: string | null;
        kind: TrustKindCode;
        amount: string;
        reference: string;
        reverses: string | null;
        is_matched: boolean;
        is_reversed: boolean;
      }[];
      const [row] = rows;
      if (!row) throw notFound('entry');
      if (!trustKind(row.kind).isByHand || row.reverses !== null)
        throw conflict('This entry follows from what was sent; what the bank says of that changes it.');
      if (row.is_reversed) throw conflict('This entry was reversed already.');
      if (row.is_matched) throw conflict('The bank’s statement shows it. Take the match back first.');
      const amount = rawCents(row.amount);
      const reversal = await this.ledger.post(manager, actor, {
        accountId: row.bank_account_id,
        clientId: row.client_id,
        day: await this.clock.today(manager),
        kind: row.kind,
        amount: cents(Math.abs(amount)),
        reference: row.reference,
        memo: reason,
        subjectId: id,
        reverses: id,
      });
      await this.recordAudit(manager, actor, 'trust.reverse', row.client_id, { amount, reason });
      return { id: reversal };
    });
  }

  /** Balances by client, as of now or as they were at the end of a day. */
  async held(manager: EntityManager, accountId: string, asOf: LocalDate | null): Promise<HeldOfClient[]> {
    const today = await this.clock.today(manager);
    const rows = (await manager.query(
      `SELECT c.id, c.legal_name, sum(e.amount) AS balance, coalesce(sum(e.amount) FILTER (WHERE e.kind IN ('advance-received', 'advance-repaid')), 0) AS advanced,
         (SELECT coalesce(sum(k.amount), 0) FROM collection k WHERE k.client_id = c.id AND k.status = 'settled' AND k.usable > $3) AS held,
         (SELECT coalesce(sum(k.amount), 0) FROM collection k WHERE k.client_id = c.id AND k.status = 'released') AS coming
       FROM client c JOIN trust_entry e ON e.client_id = c.id AND e.bank_account_id = $1 AND ($2::date IS NULL OR e.day <= $2)
       GROUP BY c.id, c.legal_name ORDER BY c.legal_name, c.id`,
      [accountId, asOf, today],
    )) as Record<'id' | 'legal_name' | 'balance' | 'advanced' | 'held' | 'coming', string>[];
    return rows.map((row) => {
      const balance = rawCents(row.balance);
      const free = balance - rawCents(row.held);
      return {
        clientId: row.id,
        clientName: row.legal_name,
        balance,
        usable: free < 0 ? 0 : free,
        coming: rawCents(row.coming),
        advanced: rawCents(row.advanced),
      };
    });
  }

  async accountOf(manager: EntityManager): Promise<BankAccount> {
    const account = await this.ledger.account(manager);
    if (!account)
      throw refuseField(
        'account',
        'The firm has not said which account holds its clients’ money.',
        'An administrator sets up the trust account first.',
      );
    return account;
  }

  private async refuseFuture(manager: EntityManager, day: LocalDate, field: string): Promise<void> {
    if (day > (await this.clock.today(manager)))
      throw refuseField(field, 'This day is still to come.', 'Give the day on which the bank moved it.');
  }

  private recordAudit(
    manager: EntityManager,
    actor: Actor,
    action: string,
    clientId: string | null,
    detail: Readonly<Record<string, unknown>>,
  ): Promise<void> {
    return clientId === null
      ? this.audit.record(manager, actor, action, 'firm', actor.firmId, detail)
      : this.audit.record(manager, actor, action, 'client', clientId, detail);
  }
}
