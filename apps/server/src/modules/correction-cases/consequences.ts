import { Inject, Injectable } from '@nestjs/common';
import type { ConsequenceKind } from '@zakat/contract/correction-cases';
import type { LocalDate } from '@zakat/core/calendar/local-date';
import { firstDayOf, quarterOf, showQuarter } from '@zakat/core/calendar/quarter';
import { kindOf } from '@zakat/core/filings/registry';
import { sum, type Cents } from '@zakat/core/money/cents';
import { MoreThanOrEqual, Not, type EntityManager } from 'typeorm';
import type { Client } from '../clients/index.js';
import { Filing, periodOf, titleOf } from '../filing-records/index.js';
import { CorrectionsDue, FilingContent } from '../filings/index.js';
import { Deposits } from '../remittances/index.js';

/** Something that follows from a mistake, as the records of today say it. */
export interface Consequence {
  /** The same thing has the same key whenever it is worked out. */
  readonly key: string;
  readonly kind: ConsequenceKind;
  readonly title: string;
  readonly amount: Cents | null;
  readonly due: string | null;
  readonly path: string;
  /** Nobody can see in the records whether it was done: somebody says so. */
  readonly isSaid: boolean;
}

/** Works out what follows from a mistake: what was filed and differs, what was deposited and differs, and whose copies change. */
@Injectable()
export class Consequences {
  constructor(
    @Inject(CorrectionsDue) private readonly corrections: CorrectionsDue,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(Deposits) private readonly deposits: Deposits,
  ) {}

  async of(
    manager: EntityManager,
    client: Client,
    { since, foundOn, today }: { since: LocalDate; foundOn: LocalDate; today: LocalDate },
  ): Promise<Consequence[]> {
    return [
      ...(await this.returns(manager, client, since)),
      ...(await this.owed(manager, client, since, today)),
      ...(await this.copies(manager, client, since, foundOn)),
    ];
  }

  /** Filings since the day that are no longer what the records say, and corrections of them that are under way. */
  private async returns(manager: EntityManager, client: Client, since: LocalDate): Promise<Consequence[]> {
    const rows = await this.corrections.of(manager, client, since);
    return rows.map((row) => ({
      key: `return ${row.kind} ${row.period}`,
      kind: 'return',
      title: `${row.name} of ${row.title}`,
      amount: row.change as Cents,
      due: row.due,
      path: row.openId !== null ? `/filings/${row.openId}` : row.filingId !== null ? `/filings/${row.filingId}` : '',
      isSaid: false,
    }));
  }

  /** Deposits of days since then that are late or were too much, by quarter: what lies before its due date is no consequence. */
  private async owed(
    manager: EntityManager,
    client: Client,
    since: LocalDate,
    today: LocalDate,
  ): Promise<Consequence[]> {
    const open = (await this.deposits.owed(manager, client)).filter(
      ({ liabilityDate, owed, due }) => liabilityDate >= since && (owed < 0 || (due !== null && due < today)),
    );
    const keys = [
      ...new Set(open.map(({ family, liabilityDate }) => `${family.code} ${firstDayOf(quarterOf(liabilityDate))}`)),
    ];
    return keys.flatMap((key): Consequence[] => {
      const own = open.filter(
        ({ family, liabilityDate }) => `${family.code} ${firstDayOf(quarterOf(liabilityDate))}` === key,
      );
      const amount = sum(own.map(({ owed }) => owed));
      const [first] = own;
      if (!first || amount === 0) return [];
      const quarter = showQuarter(quarterOf(first.liabilityDate));
      return [
        {
          key: `deposit ${key}`,
          kind: amount < 0 ? 'credit' : 'deposit',
          title: `${first.family.label}, ${quarter}: ${amount < 0 ? 'deposited too much' : 'still to be deposited'}`,
          amount,
          due: amount < 0 ? null : first.due,
          path: `/clients/${client.id}/deposits`,
          isSaid: false,
        },
      ];
    });
  }

  /** Copies of statements that were corrected since it was found: each goes to its employee, and where a state box changes, to the state. */
  private async copies(
    manager: EntityManager,
    client: Client,
    since: LocalDate,
    foundOn: LocalDate,
  ): Promise<Consequence[]> {
    const rows = await manager.find(Filing, {
      where: { clientId: client.id, periodEnd: MoreThanOrEqual(since), status: Not('draft') },
      order: { periodStart: 'ASC', sequence: 'ASC' },
    });
    const found: Consequence[] = [];
    for (const filing of rows) {
      const kind = kindOf(filing.kind);
      if (!kind.copies || filing.createdAt.toISOString().slice(0, 10) < foundOn) continue;
      const loaded = { filing, client, kind, period: periodOf(filing) };
      for (const { person, stateBoxes } of kind.copies(await this.contents.shown(manager, loaded))) {
        const who = `${person.lastName}, ${person.firstName}`;
        const common = {
          kind: 'copy' as const,
          amount: null,
          due: null,
          path: `/filings/${filing.id}`,
          isSaid: true,
        };
        found.push({
          ...common,
          key: `copy ${filing.id} ${person.employeeId}`,
          title: `${titleOf(kind, loaded.period)}: copy to ${who}`,
        });
        if (stateBoxes.length > 0)
          found.push({
            ...common,
            key: `state-copy ${filing.id} ${person.employeeId}`,
            title: `${titleOf(kind, loaded.period)}: copy of ${who} to ${[...new Set(stateBoxes.map(({ box }) => box.replace(/^\d+ /, '')))].join(', ')}`,
          });
      }
    }
    return found;
  }
}
