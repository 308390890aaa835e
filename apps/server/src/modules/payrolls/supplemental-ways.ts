import type { PayrollView, SupplementalView, SupplementalWay } from '@zakat/contract/payrolls';
import type { OwnRows } from '@zakat/core/casefile/compose';
import { isObject } from '@zakat/core/casefile/reader';
import { sentence } from '@zakat/core/issues/issue';
import { findItem } from '@zakat/core/items/registry';
import { sum } from '@zakat/core/money/cents';
import { taxOf } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import type { Payroll } from './entities.js';
import { computeEntry, lastRegularOf, type LastRegular } from './people-cases.js';

type Person = PayrollView['persons'][number];
const METHODS = ['flat', 'aggregate'] as const;

/** An item of the catalogue or of the client that is paid besides regular wages. */
function isSupplemental(code: string, base: Person['base']): boolean {
  const own = Array.isArray(base['items']) ? base['items'].filter(isObject) : [];
  const like = own.find((item) => item['code'] === code)?.['like'];
  const item = findItem(typeof like === 'string' ? like : code);
  return item?.list === 'earning' && item.kind === 'supplemental';
}

/**
 * Checks with supplemental pay, worked out both ways: at the flat rate, and together with regular wages (Publication 15,
 * section 7). The client's own way is chosen under its Setup; nothing is changed here.
 */
export async function supplementalWays(
  manager: EntityManager,
  payroll: Payroll,
  { persons, own }: PayrollView,
): Promise<SupplementalView[]> {
  const concerned = persons.filter(
    ({ isPaid, earnings, base }) => isPaid && earnings.some(({ item }) => isSupplemental(item, base)),
  );
  if (concerned.length === 0) return [];
  const last = await lastRegularOf(manager, payroll.clientId, payroll.checkDate, payroll.id);
  return concerned.map((person): SupplementalView => {
    const settings = isObject(person.base['settings']) ? person.base['settings'] : {};
    const chosen = settings['supplementalMethod'] === 'aggregate' ? 'aggregate' : 'flat';
    const ways = METHODS.map((method) => wayOf(person, own as unknown as OwnRows, method, last.get(person.employeeId)));
    return { employeeId: person.employeeId, name: person.name, chosen, ways };
  });
}

function wayOf(
  person: Person,
  own: OwnRows,
  method: (typeof METHODS)[number],
  last: LastRegular | undefined,
): SupplementalWay {
  const before = isObject(person.base['settings']) ? person.base['settings'] : {};
  const settings = {
    ...before,
    supplementalMethod: method,
    ...(method === 'aggregate' && last ? { lastRegular: last } : {}),
  };
  const result = computeEntry({ base: { ...person.base, settings }, own }, { ...person, isPaid: true });
  const errors = result.problems.filter(({ severity }) => severity === 'error');
  const incomeTax = sum(result.taxes.filter(({ code }) => taxOf(code).kind === 'income').map(({ amount }) => amount));
  return {
    method,
    amount: result.supplemental,
    incomeTax,
    net: result.net,
    problem: errors.map(sentence).join(' ').slice(0, 300),
  };
}
