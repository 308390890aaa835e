import type { FilingKind } from '@zakat/core/filings/kind';
import { periodLabel, type FilingPeriod } from '@zakat/core/filings/period';

/** `Form 941, Q3 2026`. */
export const titleOf = (kind: FilingKind, period: FilingPeriod): string => `${kind.name}, ${periodLabel(period)}`;
