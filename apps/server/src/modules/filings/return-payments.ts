import { Inject, Injectable } from '@nestjs/common';
import type { DepositView } from '@zakat/contract/remittances';
import { cents, sum } from '@zakat/core/money/cents';
import { taxNamed } from '@zakat/core/tax-registry/registry';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Deposits } from '../remittances/index.js';
import { FilingContent } from './filing-content.js';

/**
 * What of a return was not deposited yet, by the deposits that pay it, credits taken off as there: each is scheduled beside
 * the return or left out, and what is left out stays owed.
 */
@Injectable()
export class ReturnPayments {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(Deposits) private readonly deposits: Deposits,
  ) {}

  of(actor: Actor, id: string): Promise<DepositView[]> {
    return this.database.run(actor, async (manager) => {
      const { client, kind, period } = await this.contents.load(manager, id);
      const groups = new Set(kind.owedFor);
      return (await this.deposits.deposits(manager, client)).flatMap((deposit): DepositView[] => {
        if (deposit.isCredit) return [];
        const liabilities = deposit.liabilities.filter(({ tax, liabilityDate }) => {
          const group = taxNamed(tax)?.group;
          return (
            group !== undefined && groups.has(group) && liabilityDate >= period.start && liabilityDate <= period.end
          );
        });
        if (liabilities.length === 0) return [];
        return [
          {
            ...deposit,
            liabilities,
            owed: sum(liabilities.map(({ owed }) => cents(owed))),
            underWay: sum(liabilities.map(({ underWay }) => cents(underWay))),
          },
        ];
      });
    });
  }
}
