import { Inject, Injectable } from '@nestjs/common';
import type { LocalDate } from '@zakat/core/calendar/local-date';
import { text } from '@zakat/core/facts/fact-kind';
import { clientOnDay } from '@zakat/core/facts/on-day';
import { DEDUCTION_ITEMS, findItem } from '@zakat/core/items/registry';
import {
  TAXES,
  codesWhere,
  isStateIncomeTax,
  isStateUnemployment,
  type Tax,
  type TaxCode,
} from '@zakat/core/tax-registry/registry';
import type { BalanceItem, BalanceScope } from '@zakat/core/take-over/columns';
import type { EntityManager } from 'typeorm';
import type { Client } from '../clients/index.js';
import { FactStore } from '../facts/index.js';
import { computeEntry, PeopleCases, usualEntry } from '../payrolls/index.js';

const FEDERAL: readonly TaxCode[] = codesWhere((tax) => tax.level === 'federal');
const ORDER = new Map(TAXES.map((tax, index) => [tax.code, index]));

/** Everything a client's file may have a column for, and what its people's usual checks have. */
export interface ClientScope extends BalanceScope {
  readonly usual: BalanceScope;
}

/** Which taxes and pay items the balances of a client can be about: what its people’s usual checks have, and its accounts. */
@Injectable()
export class BalanceScopes {
  constructor(
    @Inject(FactStore) private readonly facts: FactStore,
    @Inject(PeopleCases) private readonly peopleCases: PeopleCases,
  ) {}

  async of(manager: EntityManager, client: Client, day: LocalDate): Promise<ClientScope> {
    const usual = new Set<TaxCode>();
    const used = new Set<string>();
    for (const person of await this.peopleCases.on(manager, client, day)) {
      const entry = usualEntry(person, 'regular');
      for (const line of computeEntry(person, entry).taxes) usual.add(line.code);
      for (const line of entry.deductions) used.add(line.item);
    }
    // Without anybody whose check can be computed, the form asks for every federal tax.
    if (usual.size === 0) for (const tax of FEDERAL) usual.add(tax);
    const taxes = new Set<TaxCode>([...FEDERAL, ...usual]);
    const accounts = (await manager.query('SELECT DISTINCT agency FROM tax_account WHERE client_id = $1', [
      client.id,
    ])) as { agency: string }[];
    for (const { agency } of accounts) {
      const isAsked = (tax: Tax): boolean => isStateIncomeTax(tax) || isStateUnemployment(tax);
      for (const tax of codesWhere((one) => one.agency === agency && isAsked(one))) taxes.add(tax);
    }
    const items = await this.itemsOf(manager, client, day);
    return {
      taxes: inOrder(taxes),
      items,
      usual: { taxes: inOrder(usual), items: items.filter((item) => used.has(item.code)) },
    };
  }

  private async itemsOf(manager: EntityManager, client: Client, day: LocalDate): Promise<BalanceItem[]> {
    const { items } = clientOnDay(await this.facts.ofClient(manager, client.id), day);
    const own = items.flatMap((item): BalanceItem[] => {
      const like = text(item, 'like');
      return findItem(like)?.list === 'deduction'
        ? [{ code: text(item, 'code'), label: text(item, 'label'), item: like }]
        : [];
    });
    const standard = DEDUCTION_ITEMS.map(({ code, label }): BalanceItem => ({ code, label, item: code }));
    return [...own, ...standard.filter((item) => !own.some((one) => one.code === item.code))];
  }
}

const placeOf = (tax: TaxCode): number => ORDER.get(tax) ?? TAXES.length;
const inOrder = (taxes: ReadonlySet<TaxCode>): TaxCode[] => [...taxes].sort((a, b) => placeOf(a) - placeOf(b));
