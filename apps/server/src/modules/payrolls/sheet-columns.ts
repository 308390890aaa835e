import { findItem } from '@zakat/core/items/registry';
import type { EntityManager } from 'typeorm';
import { refuseField } from '../../http/refusal.js';
import { findClient } from '../clients/index.js';

const isColumn = (code: string): boolean => code === 'rate' || findItem(code) !== null;

/** Columns that the sheet of a client always has, besides those that somebody uses. */
export async function sheetColumns(manager: EntityManager, clientId: string): Promise<string[]> {
  const rows = (await manager.query('SELECT sheet_columns AS columns FROM client WHERE id = $1', [clientId])) as {
    columns: string[];
  }[];
  return rows[0]?.columns ?? [];
}

export async function keepSheetColumns(
  manager: EntityManager,
  clientId: string,
  columns: readonly string[],
): Promise<void> {
  await findClient(manager, clientId);
  const unknown = columns.find((code) => !isColumn(code));
  if (unknown !== undefined)
    throw refuseField('columns', `${unknown} is not a column of the sheet.`, 'Name pay items, or rate.');
  await manager.query('UPDATE client SET sheet_columns = $2 WHERE id = $1', [
    clientId,
    JSON.stringify([...new Set(columns)]),
  ]);
}
