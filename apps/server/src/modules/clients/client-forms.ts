import { choicesOf, employerOf } from '@zakat/core/facts/employer-of';
import type { DatedFact } from '@zakat/core/facts/in-force';
import { clientOnDay } from '@zakat/core/facts/on-day';
import type { EmployerFacts } from '@zakat/core/filings/kind';
import type { FormChoice } from '@zakat/core/filings/registry';

/** What a client is on a day, as its forms ask, and what was said about which forms it files. */
export function formsOnDay(
  facts: readonly DatedFact[],
  day: string,
): { readonly employer: EmployerFacts; readonly choices: FormChoice[] } {
  const { employer, forms } = clientOnDay(facts, day);
  return { employer: employerOf(employer), choices: choicesOf(forms) };
}
