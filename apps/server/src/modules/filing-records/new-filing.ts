import type { FilingKind } from '@zakat/core/filings/kind';
import type { FilingPeriod } from '@zakat/core/filings/period';
import { randomUUID } from 'node:crypto';
import type { Actor } from '../../database/firm-database.js';
import type { Filing } from './entities.js';

type Begun =
  | 'id'
  | 'firmId'
  | 'clientId'
  | 'kind'
  | 'jurisdiction'
  | 'periodStart'
  | 'periodEnd'
  | 'corrects'
  | 'sequence'
  | 'due'
  | 'status'
  | 'version'
  | 'attempt'
  | 'entered'
  | 'answers'
  | 'preparedBy'
  | 'createdAt';
/** What every filing begins with; a row that is not a draft says the rest itself. */
export const newFiling = (
  actor: Actor,
  clientId: string,
  kind: FilingKind,
  period: FilingPeriod,
  createdAt: Date,
): Pick<Filing, Begun> => ({
  id: randomUUID(),
  firmId: actor.firmId,
  clientId,
  kind: kind.code,
  jurisdiction: kind.jurisdiction,
  periodStart: period.start,
  periodEnd: period.end,
  corrects: null,
  sequence: 1,
  due: kind.due(period).due,
  status: 'draft',
  version: 1,
  attempt: 1,
  entered: {},
  answers: {},
  preparedBy: actor.userId ?? '',
  createdAt,
});
