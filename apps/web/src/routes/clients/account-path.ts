import { findState } from '@zakat/core/jurisdictions/states';

/** Where the unemployment account and rate of a state is entered that a paycheck lacks, and the way back; null for any other field. */
export function accountPath(field: string, clientId: string, back: string): string | null {
  const state = /employer\.unemploymentRates\.([A-Z]{2})$/.exec(field)?.[1];
  return state === undefined ? null : `/clients/${clientId}/facts?account=${state}&back=${encodeURIComponent(back)}`;
}

/** The agency of a state's unemployment tax; blank where the state is none. */
export const unemploymentAgency = (state: string): string => findState(state)?.agencies.unemployment.code ?? '';

/** Where the account with an agency is entered: its number, its rate, how often is deposited; and the way back. */
export const agencyAccountPath = (clientId: string, agency: string, back: string): string =>
  `/clients/${clientId}/facts?agency=${encodeURIComponent(agency)}&back=${encodeURIComponent(back)}`;
