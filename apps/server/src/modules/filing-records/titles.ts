import type { FilingKind } from '@zakat/core/filings/kind';
import { date } from '@zakat/core/calendar/local-date';
import { periodLabel, periodWith, type FilingPeriod } from '@zakat/core/filings/period';
import { kindOf } from '@zakat/core/filings/registry';
import type { Filing } from './entities.js';

/** `Form 941, Q3 2026`. */
export const titleOf = (kind: FilingKind, period: FilingPeriod): string => `${kind.name}, ${periodLabel(period)}`;

/** The period that a filing is for. */
export const periodOf = (filing: Pick<Filing, 'kind' | 'periodStart'>): FilingPeriod =>
  periodWith(kindOf(filing.kind).period, date(filing.periodStart));
