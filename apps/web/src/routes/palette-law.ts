import { CORRECTION_NAMES, FORM_NAMES } from '@zakat/core/filings/names';
import { ALL_STATES } from '@zakat/core/jurisdictions/states';
import { AGENCIES, TAXES } from '@zakat/core/tax-registry/registry';
import type { Place } from './palette-places.js';

const taxesOf = (jurisdiction: string): string =>
  TAXES.filter((tax) => tax.jurisdiction === jurisdiction)
    .map((tax) => `${tax.label} ${tax.code}`)
    .join(' ');

/** Agencies, jurisdictions with their taxes, and forms. They bring every state's rules along, so they are loaded late. */
export function lawPlaces(clientId: string | null): Place[] {
  return [
    ...Object.values({ ...FORM_NAMES, ...CORRECTION_NAMES }).map((name) => ({
      label: clientId === null ? `${name}: what is due, on the ladder` : `${name} of this client`,
      path: clientId === null ? '/' : `/clients/${clientId}/returns`,
    })),
    { label: 'Federal rules', path: '/rules?at=US', words: taxesOf('US') },
    ...ALL_STATES.map((state) => ({
      label: `Rules of ${state.name}`,
      path: `/rules?at=${state.code}`,
      words: taxesOf(state.code),
    })),
    ...Object.entries(AGENCIES).map(([code, agency]) => ({
      label: `${agency.name}: how it is paid`,
      path: `/firm/agencies?agency=${code}`,
      words: `${agency.short} ${code}`,
    })),
  ];
}
