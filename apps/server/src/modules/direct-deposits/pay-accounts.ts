import { Inject, Injectable } from '@nestjs/common';
import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { prenoteConfirmed, prenoteStanding, type SentEntry } from '@zakat/core/direct-deposit/prenote';
import type { PayAccount } from '@zakat/core/direct-deposit/split';
import { text } from '@zakat/core/facts/fact-kind';
import type { DatedFact } from '@zakat/core/facts/in-force';
import { personOnDay } from '@zakat/core/facts/on-day';
import { ZERO, parseDollars } from '@zakat/core/money/cents';
import { parsePercent } from '@zakat/core/money/rate';
import type { EntityManager } from 'typeorm';
import { Secrets } from '../../database/secrets.js';
import { FactStore } from '../facts/index.js';
import { cameBackWords } from './entities.js';

/** An account of a person with what it takes to send money there. */
export interface OwnAccount extends PayAccount {
  readonly employeeId: string;
  readonly type: 'checking' | 'savings';
  readonly routing: string;
  readonly account: string;
  readonly tail: string;
  readonly mark: Buffer;
  /** When a prenote that is out will count as confirmed. */
  readonly confirmedOn: LocalDate | null;
  readonly cameBack: string | null;
}

interface Sent {
  readonly mark: string;
  readonly settles: string;
  readonly returned_on: string | null;
  readonly return_code: string | null;
  readonly return_reason: string | null;
}

const shareOf = (fact: DatedFact): PayAccount['share'] => {
  switch (text(fact.value, 'share')) {
    case 'amount':
      return { is: 'amount', amount: parseDollars(text(fact.value, 'amount')) ?? ZERO };
    case 'percent':
      return { is: 'percent', percent: parsePercent(text(fact.value, 'percent')) ?? { n: 0, d: 1 } };
    default:
      return { is: 'rest' };
  }
};

/** The accounts that people are paid to, with what is known of them from the entries sent so far. */
@Injectable()
export class PayAccounts {
  constructor(
    @Inject(FactStore) private readonly facts: FactStore,
    @Inject(Secrets) private readonly secrets: Secrets,
  ) {}

  /** Accounts in force on a day, by person, in the order in which they were named. */
  async of(
    manager: EntityManager,
    clientId: string,
    employeeIds: readonly string[],
    day: string,
    today: LocalDate,
  ): Promise<Map<string, OwnAccount[]>> {
    const facts = await this.facts.ofPeople(manager, employeeIds);
    const rows = (await manager.query(
      `SELECT encode(e.account_mark, 'hex') AS mark, d.settles, e.returned_on, e.return_code, e.return_reason
       FROM direct_deposit_entry e JOIN direct_deposit d ON d.id = e.direct_deposit_id
       WHERE e.client_id = $1 AND d.status IN ('released', 'settled') ORDER BY d.settles, d.created_at`,
      [clientId],
    )) as Sent[];
    const byMark = new Map<string, Sent[]>();
    for (const row of rows) byMark.set(row.mark, [...(byMark.get(row.mark) ?? []), row]);
    return new Map(
      employeeIds.map((id) => [
        id,
        personOnDay(facts.get(id) ?? [], day).banks.map((fact) => this.accountOf(id, fact, byMark, today)),
      ]),
    );
  }

  private accountOf(
    employeeId: string,
    fact: DatedFact,
    sent: ReadonlyMap<string, readonly Sent[]>,
    today: LocalDate,
  ): OwnAccount {
    const { value } = fact;
    const routing = text(value, 'routing');
    const account = this.facts.open(value, 'account');
    const mark = this.secrets.mark(`${routing} ${account}`);
    const entries = (sent.get(mark.toString('hex')) ?? []).filter(
      // What came back before the account was entered anew no longer counts.
      (entry) => entry.returned_on === null || entry.returned_on >= fact.from,
    );
    const last = entries.reduce<SentEntry | null>((before, entry) => {
      if (entry.returned_on !== null) return { settles: date(entry.settles), isReturned: true };
      return before && !before.isReturned ? before : { settles: date(entry.settles), isReturned: false };
    }, null);
    const recorded = text(value, 'prenote') as 'wanted' | 'waived' | 'confirmed';
    const prenote = prenoteStanding(recorded, last, today);
    const back = entries.filter((entry) => entry.returned_on !== null).at(-1);
    return {
      employeeId,
      label: text(value, 'label'),
      share: shareOf(fact),
      prenote,
      type: text(value, 'type') === 'savings' ? 'savings' : 'checking',
      routing,
      account,
      tail: text(value, 'accountTail'),
      mark,
      confirmedOn: prenote === 'sent' && last ? prenoteConfirmed(last.settles) : null,
      cameBack:
        prenote === 'returned' && back
          ? cameBackWords({ returnCode: back.return_code, returnReason: back.return_reason })
          : null,
    };
  }
}
