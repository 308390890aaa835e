import { Inject, Injectable } from '@nestjs/common';
import type { ReturnPayment } from '@zakat/contract/filings';
import { achSendBy, earliestSettlement } from '@zakat/core/deposits/ach-days';
import { sum } from '@zakat/core/money/cents';
import { taxOf } from '@zakat/core/tax-registry/registry';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { detailOf } from '../../http/refusal.js';
import { Clock } from '../clock/index.js';
import { Deposits } from '../remittances/index.js';
import { FilingContent } from './filing-content.js';

/**
 * What a return says is owed and was not deposited yet, by the deposits that pay it: each is scheduled beside the return or
 * left out, and what is left out stays owed.
 */
@Injectable()
export class ReturnPayments {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(Deposits) private readonly deposits: Deposits,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  of(actor: Actor, id: string): Promise<ReturnPayment[]> {
    return this.database.run(actor, async (manager) => {
      const { client, kind, period } = await this.contents.load(manager, id);
      const today = await this.clock.today(manager);
      const groups = new Set(kind.owedFor);
      const own = (await this.deposits.owed(manager, client)).filter(
        ({ tax, liabilityDate, owed }) =>
          groups.has(taxOf(tax).group) && liabilityDate >= period.start && liabilityDate <= period.end && owed > 0,
      );
      const families = [...new Set(own.map(({ family }) => family.code))].sort();
      return families.map((family): ReturnPayment => {
        const lines = own.filter((line) => line.family.code === family);
        const due = lines.flatMap((line) => line.due ?? []).sort()[0] ?? null;
        const onTime = due === null ? null : achSendBy(due, 0).settles;
        const earliest = earliestSettlement(today);
        const question = lines.find((line) => line.question !== null)?.question ?? null;
        return {
          family,
          label: lines[0]?.family.label ?? family,
          owed: sum(lines.map((line) => line.owed)),
          underWay: sum(lines.map((line) => line.underWay)),
          due,
          settles: onTime !== null && onTime >= earliest ? onTime : earliest,
          items: lines.filter((line) => line.underWay === 0).map(({ tax, liabilityDate }) => ({ tax, liabilityDate })),
          question: question && detailOf(question),
        };
      });
    });
  }
}
