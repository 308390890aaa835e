import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { conflict } from '../../http/refusal.js';
import type { Audit } from '../audit/index.js';
import { Filing } from '../filing-records/index.js';

interface Change {
  readonly audit: Audit;
  readonly actor: Actor;
  readonly filing: Filing;
  readonly version: number;
}

/** Writes what was typed on a draft that nobody changed meanwhile; the trail has it as it was and as it is. */
export async function changeDraft<Field extends 'entered' | 'answers'>(
  manager: EntityManager,
  { audit, actor, filing, version }: Change,
  field: Field,
  to: Filing[Field],
): Promise<void> {
  const { id } = filing;
  const result = await manager.update(Filing, { id, version, status: 'draft' }, {
    [field]: to,
    version: version + 1,
  } as Partial<Pick<Filing, 'entered' | 'answers' | 'version'>>);
  if (result.affected !== 1) throw conflict('Somebody changed this filing meanwhile. Look again before you save.');
  await audit.record(manager, actor, 'filing.enter', 'filing', id, { from: filing[field], to });
}
