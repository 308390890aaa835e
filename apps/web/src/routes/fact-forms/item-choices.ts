import type { Schemas } from '../../api/client.js';
import { PAY_ITEMS, type PayItem } from '@zakat/core/items/registry';

const LIST_WORDS: Readonly<Record<PayItem['list'], string>> = {
  earning: 'earning',
  deduction: 'deduction',
  employer: 'employer-paid',
};

/** The client's own pay items of today: code and label. */
export const ownItemChoices = (
  facts: readonly Pick<Schemas['ClientFactView'], 'kind' | 'isInForce' | 'value'>[],
): (readonly [string, string])[] =>
  facts
    .filter((fact) => fact.kind === 'pay-item' && fact.isInForce)
    .map((fact) => [String(fact.value['code']), String(fact.value['label'])] as const);

/** Standard pay items of some lists, and the client's own, for choosing from. */
export const itemChoices = (
  lists: readonly PayItem['list'][],
  own: readonly (readonly [code: string, label: string])[] = [],
): (readonly [string, string])[] => [
  ...own.map(([code, label]) => [code, `${label} (own)`] as const),
  ...PAY_ITEMS.filter((item) => lists.includes(item.list)).map(
    (item) => [item.code, `${item.label}, ${LIST_WORDS[item.list]}`] as const,
  ),
];
