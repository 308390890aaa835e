import { useQuery } from '@tanstack/react-query';
import { CLIENT_FACTS } from '@zakat/core/facts/client-facts';
import { PAY_ITEMS, type BaseFamily, type PayItem } from '@zakat/core/items/registry';
import { findState } from '@zakat/core/jurisdictions/states';
import { itemsOutOf } from '@zakat/core/taxes/item-views';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { employeesQuery, sessionQuery } from '../../api/resources.js';
import { useAddClientFact } from '../../api/set-up.js';
import { FactSheet } from '../fact-forms/fact-sheet.js';
import { useClient } from './client-frame.js';

interface Column {
  readonly label: string;
  readonly family: BaseFamily;
  readonly state: string;
  /** The federal column whose treatment is the usual one here. */
  readonly usual: BaseFamily | null;
}
const FEDERAL: readonly Column[] = [
  { label: 'Federal income', family: 'income', state: '', usual: null },
  { label: 'OASDI and HI', family: 'social', state: '', usual: null },
  { label: 'Federal unemployment', family: 'unemployment', state: '', usual: null },
];
const columnsOf = (states: readonly string[]): Column[] => [
  ...FEDERAL,
  ...states.flatMap((state): Column[] => [
    ...(findState(state)?.incomeTax.kind === 'worksheet'
      ? [{ label: `${state} income`, family: 'state-income' as const, state, usual: 'income' as const }]
      : []),
    { label: `${state} unemployment`, family: 'state-unemployment', state, usual: 'unemployment' },
  ]),
  ...(states.some((state) => ['PA', 'OH', 'KY', 'MI', 'IN', 'MO', 'DE', 'AL'].includes(state))
    ? [{ label: 'Local', family: 'local' as const, state: '', usual: null }]
    : []),
];

const isOut = (item: PayItem, column: Pick<Column, 'family' | 'state'>): boolean =>
  itemsOutOf(column.family, column.state).has(item);
/** Whether an item is in the wages of a tax, in a word; for deductions, whether it lowers them. */
const word = (item: PayItem, column: Column): string =>
  item.list === 'employer'
    ? '–'
    : item.list === 'deduction'
      ? isOut(item, column)
        ? 'lowers'
        : '–'
      : isOut(item, column)
        ? '–'
        : 'wages';
const deviates = (item: PayItem, column: Column): boolean =>
  item.list !== 'employer' &&
  column.usual !== null &&
  isOut(item, column) !== isOut(item, { family: column.usual, state: '' });

const LISTS: readonly (readonly [PayItem['list'], string])[] = [
  ['earning', 'Earnings'],
  ['deduction', 'Deductions'],
  ['employer', 'Paid by the employer'],
];

/** Every pay item by every tax: what is wages where, and where a state sees it otherwise than the federal law. */
export function ItemsPage(): ReactNode {
  const client = useClient();
  const { data: session } = useQuery(sessionQuery);
  const { data: people } = useQuery(employeesQuery(client.id));
  const add = useAddClientFact(client.id);
  const [search, setSearch] = useSearchParams();
  const states = [...new Set([client.state, ...(people?.rows ?? []).map((row) => row.workState)])].filter(
    (state) => findState(state) !== null && findState(state) !== undefined,
  );
  const columns = columnsOf(states);
  const own = client.facts.filter((fact) => fact.kind === 'pay-item' && fact.isInForce);
  const usedOnly = search.get('show') !== 'all';
  const likes = new Set(own.map((fact) => String(fact.value['like'])));
  const shown = (item: PayItem): boolean => !usedOnly || COMMON.has(item.code) || likes.has(item.code);
  return (
    <>
      <section className="section" style={{ marginTop: 0 }}>
        <h2>
          Items of its own <small>each is treated as a standard item, and taxed like it</small>
        </h2>
        {session && (
          <FactSheet
            kinds={CLIENT_FACTS}
            shown={['pay-item']}
            facts={client.facts}
            today={session.today}
            firstFrom={`${session.today.slice(0, 4)}-01-01`}
            draftKey={`client.${client.id}`}
            isSaving={add.isPending}
            error={add.error}
            onSave={(fact, done) => add.mutate(fact, { onSuccess: done })}
          />
        )}
      </section>
      <section className="section">
        <h2>
          How each item is taxed
          <small>
            marked where a state sees it otherwise than the federal law ·{' '}
            <button
              type="button"
              className="plain"
              onClick={() => setSearch(usedOnly ? { show: 'all' } : {}, { replace: true })}
            >
              {usedOnly ? 'show every standard item' : 'show the usual ones'}
            </button>
          </small>
        </h2>
        <div className="scroll">
          <table className="ruled matrix">
            <thead>
              <tr>
                <th scope="col">Item</th>
                {columns.map((column) => (
                  <th key={column.label} scope="col">
                    {column.label}
                  </th>
                ))}
                <th scope="col">W-2 box 12</th>
              </tr>
            </thead>
            {LISTS.map(([list, title]) => (
              <tbody key={list}>
                <tr>
                  <th scope="colgroup" colSpan={columns.length + 2} className="group">
                    {title}
                  </th>
                </tr>
                {PAY_ITEMS.filter((item) => item.list === list && shown(item)).map((item) => (
                  <ItemRows
                    key={item.code}
                    item={item}
                    columns={columns}
                    own={own.filter((fact) => fact.value['like'] === item.code && fact.value['code'] !== item.code)}
                  />
                ))}
              </tbody>
            ))}
          </table>
        </div>
      </section>
    </>
  );
}

const COMMON: ReadonlySet<string> = new Set([
  'regular',
  'overtime',
  'holiday',
  'sick',
  'vacation',
  'salary',
  'bonus',
  'commission',
  'tips-reported',
  'reimbursement',
  'group-term-life',
  '401k',
  'roth-401k',
  'section-125-health',
  'dependent-care',
  'hsa',
  'transit',
  'union-dues',
  'after-tax',
  'loan',
  'match-401k',
  'employer-health',
]);

function ItemRows({
  item,
  columns,
  own,
}: {
  readonly item: PayItem;
  readonly columns: readonly Column[];
  readonly own: readonly { readonly value: Readonly<Record<string, unknown>> }[];
}): ReactNode {
  const cells = columns.map((column) => (
    <td key={column.label} data-deviates={deviates(item, column) || undefined}>
      {word(item, column)}
      {deviates(item, column) && <span className="deviation"> unlike federal</span>}
    </td>
  ));
  return (
    <>
      <tr>
        <th scope="row">{item.label}</th>
        {cells}
        <td>{item.box12 ?? ''}</td>
      </tr>
      {own.map((fact) => (
        <tr key={String(fact.value['code'])} className="own">
          <th scope="row">
            {String(fact.value['label'])} <small className="soft">own, {String(fact.value['code'])}</small>
          </th>
          {cells}
          <td>{item.box12 ?? ''}</td>
        </tr>
      ))}
    </>
  );
}
