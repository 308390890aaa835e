import type { Field } from './field.js';

type Column = readonly [
  name: string,
  from: number,
  to: number,
  kind: 'text' | 'digits' | 'amount' | 'blank' | `=${string}`,
  required?: 'required',
];

/** Field tables written the way publications print them: one row a field. */
export const columns = (rows: readonly Column[]): readonly Field[] =>
  rows.map(([name, from, to, kind, required]): Field => {
    const place = { name, from, to, isRequired: required === 'required' };
    if (kind.startsWith('=')) return { ...place, kind: 'fixed', value: kind.slice(1) };
    return { ...place, kind: kind as 'text' | 'digits' | 'amount' | 'blank' };
  });
