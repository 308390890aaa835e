import { useQuery } from '@tanstack/react-query';
import type { LocalDate } from '@zakat/core/calendar/local-date';
import { CLIENT_FACTS, treatmentField } from '@zakat/core/facts/client-facts';
import type { FactValue } from '@zakat/core/facts/fact-kind';
import { PAY_ITEMS, findItem, type BaseFamily, type PayItem } from '@zakat/core/items/registry';
import { findState } from '@zakat/core/jurisdictions/states';
import { itemsOutOf } from '@zakat/core/computation/item-views';
import { isOffW2, w2PlaceOf } from '@zakat/core/filings/us-w2/boxes';
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
  { label: 'FUTA', family: 'unemployment', state: '', usual: null },
];
const columnsOf = (states: readonly string[]): Column[] => [
  ...FEDERAL,
  ...states.flatMap((state): Column[] => [
    ...(findState(state)?.incomeTax.kind === 'worksheet'
      ? [{ label: `${state} income`, family: 'state-income' as const, state, usual: 'income' as const }]
      : []),
    { label: `${state} unemployment`, family: 'state-unemployment', state, usual: 'unemployment' },
  ]),
  ...states
    .filter((state) => takesAllPay(state))
    .map((state): Column => ({ label: `${state} local`, family: 'local', state, usual: null })),
];
/** Whether a locality of the state takes all pay: others follow a base that has a column already. */
const takesAllPay = (state: string): boolean =>
  (findState(state)?.local?.places ?? []).some((place) => place.taxes.some((tax) => tax.wages === 'gross'));

const isOut = (item: PayItem, column: Pick<Column, 'family' | 'state'>, day: LocalDate): boolean =>
  itemsOutOf(column.family, column.state, day).has(item);
/** Whether an item is in the wages of a tax, in a word; for deductions, whether it lowers them. */
const word = (item: PayItem, isOutOfIt: boolean): string => {
  if (item.list === 'employer') return '–';
  if (item.list === 'deduction') return isOutOfIt ? 'lowers' : '–';
  return isOutOfIt ? '–' : 'wages';
};
const deviates = (item: PayItem, column: Column, day: LocalDate): boolean =>
  item.list !== 'employer' &&
  column.usual !== null &&
  isOut(item, column, day) !== isOut(item, { family: column.usual, state: '' }, day);

/** `1, 3, 5`, or `12 D, lowers 1`; blank for what is on no box. */
function boxWords(item: PayItem): string {
  const { fills, lowers } = w2PlaceOf(item);
  return [...fills, ...(lowers.length > 0 ? [`lowers ${lowers.join(', ')}`] : [])].join(', ');
}

const LISTS: readonly (readonly [PayItem['list'], string])[] = [
  ['earning', 'Earnings'],
  ['deduction', 'Deductions'],
  ['employer', 'Paid by the employer'],
];

const isOffBoxes = (value: FactValue): boolean => {
  const like = findItem(String(value['like']));
  return like !== null && value['code'] !== value['like'] && isOffW2(like);
};

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
          Custom pay codes <small>each is taxed like a standard item, but for what is said otherwise</small>
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
        {session && (
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
                  <th scope="col">W-2 boxes</th>
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
                      day={session.today as LocalDate}
                      own={own.filter((fact) => fact.value['like'] === item.code && fact.value['code'] !== item.code)}
                    />
                  ))}
                </tbody>
              ))}
            </table>
          </div>
        )}
      </section>
      <section className="section">
        <h2>
          On no box of Form W-2 <small>in the register only; of the items above</small>
        </h2>
        <p>
          {[
            ...PAY_ITEMS.filter((item) => isOffW2(item) && shown(item)).map((item) => item.label),
            ...own.filter(({ value }) => isOffBoxes(value)).map(({ value }) => `${String(value['label'])} (own)`),
          ].join(', ')}
        </p>
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
  'parking',
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
  day,
}: {
  readonly item: PayItem;
  readonly columns: readonly Column[];
  readonly own: readonly { readonly value: FactValue }[];
  readonly day: LocalDate;
}): ReactNode {
  const cell = (column: Column): ReactNode => (
    <td key={column.label} data-deviates={deviates(item, column, day) || undefined}>
      {word(item, isOut(item, column, day))}
      {deviates(item, column, day) && <span className="deviation"> unlike federal</span>}
    </td>
  );
  const ownCell = (value: FactValue, column: Column): ReactNode => {
    const isOutOfIt = value[treatmentField(column.family)] === 'untaxed';
    const isOwn = ['taxed', 'untaxed'].includes(String(value[treatmentField(column.family)]));
    if (!isOwn || isOutOfIt === isOut(item, column, day)) return cell(column);
    return (
      <td key={column.label} data-deviates>
        {word(item, isOutOfIt)}
        <span className="deviation"> unlike {item.label.toLowerCase()}</span>
      </td>
    );
  };
  return (
    <>
      <tr>
        <th scope="row">{item.label}</th>
        {columns.map(cell)}
        <td>{boxWords(item)}</td>
      </tr>
      {own.map((fact) => (
        <tr key={String(fact.value['code'])} className="own">
          <th scope="row">
            {String(fact.value['label'])} <small className="soft">own, {String(fact.value['code'])}</small>
          </th>
          {columns.map((column) => ownCell(fact.value, column))}
          <td>{boxWords(item)}</td>
        </tr>
      ))}
    </>
  );
}
