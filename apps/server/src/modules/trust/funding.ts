import { Inject, Injectable } from '@nestjs/common';
import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { CLIENT_FACTS } from '@zakat/core/facts/client-facts';
import { text } from '@zakat/core/facts/fact-kind';
import { inForceOn } from '@zakat/core/facts/in-force';
import { dollars } from '@zakat/core/money/cents';
import type { FundingTerms } from '@zakat/core/trust/collecting';
import type { EntityManager } from 'typeorm';
import { FactStore, type StoredFact } from '../facts/index.js';

/** What a client has agreed that the firm collects before it pays. */
@Injectable()
export class Funding {
  constructor(@Inject(FactStore) private readonly facts: FactStore) {}

  /** The terms of any day, from one reading; null on a day on which nothing is collected. */
  async terms(manager: EntityManager, clientId: string): Promise<(day: LocalDate) => FundingTerms | null> {
    const facts = (await this.facts.ofClient(manager, clientId)).filter(({ kind }) => kind === 'funding');
    return (day) => {
      const fact = inForceOn(facts, day, CLIENT_FACTS.slotOf)[0];
      return fact ? termsOf(fact) : null;
    };
  }
}

function termsOf({ value }: StoredFact): FundingTerms {
  const most = text(value, 'most');
  return {
    what: text(value, 'what') === 'taxes' ? 'taxes' : 'taxes-and-net-pay',
    accountTail: text(value, 'accountTail'),
    entryClass: text(value, 'entryClass') === 'PPD' ? 'PPD' : 'CCD',
    authorizedOn: date(text(value, 'authorizedOn')),
    signedBy: text(value, 'signedBy'),
    most: most === '' ? null : dollars(most),
    daysBefore: Number(text(value, 'daysBefore')),
    holdDays: Number(text(value, 'holdDays')),
  };
}
