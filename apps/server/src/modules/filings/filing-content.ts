import { Inject, Injectable } from '@nestjs/common';
import { date } from '@zakat/core/calendar/local-date';
import { firstDayOf, lastDayOf, type Quarter } from '@zakat/core/calendar/quarter';
import { checkForm941, checkW2Set, type W2Set } from '@zakat/core/checks/return-checks';
import type { Issue } from '@zakat/core/issues/issue';
import type { Form941 } from '@zakat/core/returns/form-941';
import { createHash } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { Secrets } from '../../database/secrets.js';
import { notFound } from '../../http/refusal.js';
import { findClient } from '../clients/clients.service.js';
import type { Client } from '../clients/entities.js';
import { Filing } from './entities.js';
import { FilingSource } from './filing-source.js';

export type Content =
  { readonly form: '941'; readonly form941: Form941 } | { readonly form: 'W-2'; readonly set: W2Set };

/** A snapshot keeps no identity number: a mark shows whether it is still the same person's. */
function storable(content: Content, mark: (text: string) => string): unknown {
  if (content.form === '941') return content;
  return {
    ...content,
    set: {
      ...content.set,
      forms: content.set.forms.map((form) => ({
        ...form,
        person: { ...form.person, ssn: '', ssnTail: form.person.ssn.slice(-4), ssnMark: mark(form.person.ssn) },
      })),
    },
  };
}
export const digestOf = (stored: unknown): string => createHash('sha256').update(JSON.stringify(stored)).digest('hex');

/** What a filing holds: computed from the ledger, checked, and made ready to be stored. */
@Injectable()
export class FilingContent {
  constructor(
    @Inject(FilingSource) private readonly source: FilingSource,
    @Inject(Secrets) private readonly secrets: Secrets,
  ) {}

  async load(manager: EntityManager, id: string): Promise<{ filing: Filing; client: Client }> {
    const filing = await manager.findOneBy(Filing, { id });
    if (!filing) throw notFound('filing');
    return { filing, client: await findClient(manager, filing.clientId) };
  }

  async compute(manager: EntityManager, client: Client, filing: Filing): Promise<Content> {
    if (filing.quarter !== null)
      return {
        form: '941',
        form941: await this.source.form941(manager, client, { year: filing.year, quarter: filing.quarter }),
      };
    return { form: 'W-2', set: await this.source.w2Set(manager, client, filing.year) };
  }

  async issuesOf(manager: EntityManager, client: Client, filing: Filing, content: Content): Promise<Issue[]> {
    const period: Quarter | null = filing.quarter === null ? null : { year: filing.year, quarter: filing.quarter };
    const from = period ? firstDayOf(period) : date(`${filing.year}-01-01`);
    const to = period ? lastDayOf(period) : date(`${filing.year}-12-31`);
    const facts = await this.source.facts(manager, client, from, to);
    return content.form === '941' ? checkForm941(content.form941, facts) : checkW2Set(content.set, facts);
  }

  /** The content as it is kept and compared: without identity numbers. */
  stored(content: Content): unknown {
    return storable(content, (text) => this.secrets.mark(text).toString('hex').slice(0, 24));
  }
}
