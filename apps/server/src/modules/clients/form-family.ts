import type { FormFamily } from '@zakat/core/facts/client-facts';
import { clientOnDay } from '@zakat/core/facts/on-day';
import type { EntityManager } from 'typeorm';
import type { FactStore } from '../facts/fact-store.js';
import type { Client } from './entities.js';

/** The federal form a client files on a day; 941 where nothing else is recorded. */
export async function formFamilyOf(
  manager: EntityManager,
  store: FactStore,
  client: Pick<Client, 'id'>,
  day: string,
): Promise<FormFamily> {
  const facts = clientOnDay(await store.ofClient(manager, client.id), day);
  return (facts.employer?.['formFamily'] ?? '941') as FormFamily;
}
