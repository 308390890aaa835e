import { lookingTwice } from './second-look.js';
import {
  keepPreviousData,
  queryOptions,
  useMutation,
  useQueryClient,
  type UseMutationResult,
} from '@tanstack/react-query';
import { Refused, api, take, type Schemas } from './client.js';

/** Query options and mutations, one block a resource. Server state comes from nowhere else. */
export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: () => take(api.GET('/api/session')),
  retry: false,
  staleTime: 30_000,
});
export const ladderQuery = (asked: { readonly from?: string; readonly to?: string; readonly count: string }) =>
  queryOptions({
    queryKey: ['ladder', asked],
    queryFn: () => take(api.GET('/api/ladder', { params: { query: asked } })),
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) => ((state.data?.waiting ?? 0) > 0 ? 1500 : false),
  });
export const clientsQuery = (find: string) =>
  queryOptions({
    queryKey: ['clients', find],
    queryFn: () => take(api.GET('/api/clients', { params: { query: { find } } })),
    placeholderData: keepPreviousData,
  });
export const searchQuery = (find: string) =>
  queryOptions({
    queryKey: ['search', find],
    queryFn: () => take(api.GET('/api/search', { params: { query: { find } } })),
    placeholderData: keepPreviousData,
    enabled: find.trim().length >= 2,
  });
/** A page of the audit trail; the filters are those of its address. */
export const trailQuery = (query: Readonly<Record<string, string>>) =>
  queryOptions({
    queryKey: ['trail', query],
    queryFn: () => take(api.GET('/api/audit', { params: { query } })),
    placeholderData: keepPreviousData,
  });

export const jurisdictionsQuery = queryOptions({
  queryKey: ['rules'],
  queryFn: () => take(api.GET('/api/rules')),
  staleTime: Infinity,
});
export const ruleRowsQuery = (jurisdiction: string) =>
  queryOptions({
    queryKey: ['rules', jurisdiction],
    queryFn: () => take(api.GET('/api/rules/rows', { params: { query: { jurisdiction } } })),
    staleTime: Infinity,
  });
export const rulePacksQuery = queryOptions({
  queryKey: ['rule-packs'],
  queryFn: () => take(api.GET('/api/rules/packs')),
});
export const rulePackQuery = (id: string) =>
  queryOptions({ queryKey: ['rule-packs', id], queryFn: () => take(api.GET('/api/rules/packs/{id}', path(id))) });

export const path = (id: string) => ({ params: { path: { id } } });
export const clientQuery = (id: string) =>
  queryOptions({ queryKey: ['client', id], queryFn: () => take(api.GET('/api/clients/{id}', path(id))) });
export const employeesQuery = (id: string, find = '') =>
  queryOptions({
    queryKey: ['client', id, 'employees', find],
    queryFn: () => take(api.GET('/api/clients/{id}/employees', { params: { path: { id }, query: { find } } })),
    placeholderData: keepPreviousData,
  });
/** Gives some people of an open payroll one of their own. */
export const useSplitPayroll = (id: string) =>
  useChange((body: Schemas['SplitPayroll']) => take(api.POST('/api/payrolls/{id}/split', { ...path(id), body })));
/** The posted checks of a year worked out again from the records and rules of today. */
export const recomputedQuery = (id: string, year: number) =>
  queryOptions({
    queryKey: ['client', id, 'recomputed', year],
    queryFn: () =>
      take(api.GET('/api/clients/{id}/recomputed', { params: { path: { id }, query: { year: String(year) } } })),
    staleTime: 0,
  });
export const payrollsQuery = (id: string) =>
  queryOptions({
    queryKey: ['client', id, 'payrolls'],
    queryFn: () => take(api.GET('/api/clients/{id}/payrolls', path(id))),
  });
export const nextPayrollQuery = (id: string, schedule = '') =>
  queryOptions({
    queryKey: ['client', id, 'next-payroll', schedule],
    queryFn: () =>
      take(
        api.GET('/api/clients/{id}/next-payroll', {
          params: { path: { id }, query: schedule === '' ? {} : { schedule } },
        }),
      ),
  });
export const depositsQuery = (id: string) =>
  queryOptions({
    queryKey: ['client', id, 'deposits'],
    queryFn: () => take(api.GET('/api/clients/{id}/deposits', path(id))),
  });
/** A list is asked for again soon while an agency or the bank has something of it to answer, else for what others did. */
const whileUnderWay = (rows: readonly { readonly status: string | null }[] | undefined): number =>
  rows?.some(({ status }) => status === 'released' || status === 'received') ? 4_000 : 30_000;
export const remittancesQuery = (id: string) =>
  queryOptions({
    queryKey: ['client', id, 'remittances'],
    queryFn: () => take(api.GET('/api/clients/{id}/remittances', path(id))),
    refetchInterval: ({ state }) => whileUnderWay(state.data),
  });
/** How many federal returns are expected to fall due in the year after one. */
export const efileDutyQuery = (id: string, year: number) =>
  queryOptions({
    queryKey: ['client', id, 'efile-duty', year],
    queryFn: () => take(api.GET('/api/clients/{id}/efile-duty', { params: { path: { id }, query: { year } } })),
  });
export const formsQuery = (id: string, year: number) =>
  queryOptions({
    queryKey: ['client', id, 'forms', year],
    queryFn: () => take(api.GET('/api/clients/{id}/forms', { params: { path: { id }, query: { year } } })),
    refetchInterval: ({ state }) => whileUnderWay(state.data),
  });
export const tieOutQuery = (id: string, year: number, quarter: string) =>
  queryOptions({
    queryKey: ['client', id, 'tie-out', year, quarter],
    queryFn: () =>
      take(
        api.GET('/api/clients/{id}/tie-out', {
          params: { path: { id }, query: { year, ...(quarter ? { quarter } : {}) } },
        }),
      ),
  });
export const ledgerQuery = (id: string, year: number, quarter: string, group: string, of: string) =>
  queryOptions({
    queryKey: ['client', id, 'ledger', year, quarter, group, of],
    queryFn: () =>
      take(
        api.GET('/api/clients/{id}/ledger', {
          params: {
            path: { id },
            query: {
              year,
              group,
              ...(quarter ? { quarter } : {}),
              ...(of === 'liabilities' || of === 'payments' ? { of } : {}),
            },
          },
        }),
      ),
  });
export const jobCostsQuery = (id: string, year: number, quarter: string) =>
  queryOptions({
    queryKey: ['client', id, 'job-costs', year, quarter],
    queryFn: () =>
      take(
        api.GET('/api/clients/{id}/job-costs', {
          params: { path: { id }, query: { year, ...(quarter ? { quarter } : {}) } },
        }),
      ),
  });
export const employeeQuery = (id: string, on: string) =>
  queryOptions({
    queryKey: ['employee', id, on],
    queryFn: () => take(api.GET('/api/employees/{id}', { params: { path: { id }, query: on ? { on } : {} } })),
  });
/** What is being typed must not be replaced underneath; coming back to the page asks anew. */
export const payrollQuery = (id: string) =>
  queryOptions({
    queryKey: ['payroll', id],
    queryFn: () => take(api.GET('/api/payrolls/{id}', path(id))),
    staleTime: Infinity,
    gcTime: 0,
  });
/** Columns that the sheet of a client always has. */
export const useKeepSheetColumns = (clientId: string) =>
  useMutation<unknown, Refused, string[]>({
    mutationFn: (columns) => take(api.PUT('/api/clients/{id}/sheet-columns', { ...path(clientId), body: { columns } })),
  });
/** Who changed a payroll last, asked for while its page is in sight: two people may work on one. */
export const latestPayrollQuery = (id: string) =>
  queryOptions({
    queryKey: ['payroll-latest', id],
    queryFn: () => take(api.GET('/api/payrolls/{id}/latest', path(id))),
    refetchInterval: 3_000,
    staleTime: 0,
    gcTime: 0,
  });
export const reviewQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: ['payroll-review', id, version],
    queryFn: () => take(api.GET('/api/payrolls/{id}/review', path(id))),
  });
/** Follows a remittance while it is in process. */
export const remittanceQuery = (id: string) =>
  queryOptions({
    queryKey: ['remittance', id],
    queryFn: () => take(api.GET('/api/remittances/{id}', path(id))),
    refetchInterval: (query) => (query.state.data?.status === 'released' ? 1500 : false),
  });
export const remittanceSlipQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: ['remittance', id, 'slip', version],
    queryFn: () => take(api.GET('/api/remittances/{id}/slip', path(id))),
  });
export const filingQuery = (id: string) =>
  queryOptions({
    queryKey: ['filing', id],
    queryFn: () => take(api.GET('/api/filings/{id}', path(id))),
    refetchInterval: (query) => (['released', 'received'].includes(query.state.data?.status ?? '') ? 1500 : false),
  });
export const filingSlipQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: ['filing', id, 'slip', version],
    queryFn: () => take(api.GET('/api/filings/{id}/slip', path(id))),
  });

/** A change: whatever it answers, everything derived is asked for again. */
export function useChange<In, Out>(change: (input: In) => Promise<Out>): UseMutationResult<Out, Refused, In> {
  const queries = useQueryClient();
  return useMutation<Out, Refused, In>({
    mutationFn: change,
    // Not waited for: a page that is made anew by the fresh data must still hear that its own act succeeded.
    onSettled: () => {
      void queries.invalidateQueries({
        predicate: (query) => query.queryKey[0] !== 'session' && query.queryKey[0] !== 'payroll',
      });
    },
  });
}

export const useSignIn = () =>
  useMutation<void, Refused, Schemas['SignIn']>({
    mutationFn: async (body) => {
      await take(api.POST('/api/session', { body }));
    },
  });
export const useSignOut = () =>
  useMutation<void, Refused, void>({
    mutationFn: async () => {
      await take(api.DELETE('/api/session'));
    },
  });
export const useSaveClient = (id: string) =>
  useChange((body: Schemas['UpdateClientIdentity']) =>
    lookingTwice((confirmed) =>
      take(api.PUT('/api/clients/{id}/identity', { ...path(id), body: { ...body, confirmed } })),
    ),
  );
export const useSaveEmployee = (id: string) =>
  useChange((body: Schemas['UpdateEmployeeIdentity']) =>
    lookingTwice((confirmed) =>
      take(api.PUT('/api/employees/{id}/identity', { ...path(id), body: { ...body, confirmed } })),
    ),
  );
export const useRemoveClient = (id: string) =>
  useChange((version: number) => take(api.POST('/api/clients/{id}/remove', { ...path(id), body: { version } })));
export const useRemoveEmployee = (id: string) =>
  useChange((version: number) => take(api.POST('/api/employees/{id}/remove', { ...path(id), body: { version } })));
export const useReveal = (id: string) =>
  useMutation<Schemas['RevealedNumber'], Refused, void>({
    mutationFn: () => take(api.POST('/api/employees/{id}/number', path(id))),
  });
export const useCreatePayroll = (id: string) =>
  useChange((body: Schemas['CreatePayroll']) => take(api.POST('/api/clients/{id}/payrolls', { ...path(id), body })));
export const useSavePayroll = (id: string) =>
  useMutation<Schemas['PayrollView'], Refused, Schemas['SavePayroll']>({
    mutationFn: (body) => take(api.PUT('/api/payrolls/{id}', { ...path(id), body })),
  });
interface PayrollAct {
  readonly act: 'review' | 'reopen' | 'post';
  readonly version: number;
  /** Why it is posted although a return or a deposit of its days has left. */
  readonly closedReason?: string;
}
export const usePayrollAct = (id: string) =>
  useChange(({ act, version, closedReason }: PayrollAct) => {
    const body = { version };
    if (act === 'review')
      return lookingTwice((confirmed) =>
        take(api.POST('/api/payrolls/{id}/review', { ...path(id), body: { ...body, confirmed } })),
      );
    if (act === 'reopen') return take(api.POST('/api/payrolls/{id}/reopen', { ...path(id), body }));
    return take(
      api.POST('/api/payrolls/{id}/post', { ...path(id), body: closedReason ? { ...body, closedReason } : body }),
    );
  });
export const useDiscardFiling = (id: string) =>
  useChange(({ version }: { version: number }) =>
    take(api.POST('/api/filings/{id}/discard', { ...path(id), body: { version } })),
  );
export const useDiscardPayroll = (id: string) =>
  useChange(({ version }: { version: number }) =>
    take(api.POST('/api/payrolls/{id}/discard', { ...path(id), body: { version } })),
  );
export const usePlanRemittance = (id: string) =>
  useChange((body: Schemas['PlanRemittance']) =>
    take(api.POST('/api/clients/{id}/remittances', { ...path(id), body })),
  );
export const useRemittanceAct = (id: string) =>
  useChange(({ act, version }: { act: 'approve' | 'withdraw' | 'release'; version: number }) => {
    const body = { version };
    if (act === 'approve') return take(api.POST('/api/remittances/{id}/approve', { ...path(id), body }));
    if (act === 'withdraw') return take(api.POST('/api/remittances/{id}/withdraw', { ...path(id), body }));
    return take(api.POST('/api/remittances/{id}/release', { ...path(id), body }));
  });
export const useRecordPaid = (id: string) =>
  useChange((body: Schemas['RecordPaid']) => take(api.POST('/api/remittances/{id}/record', { ...path(id), body })));
export const useUnrecordPaid = (id: string) =>
  useChange((body: Schemas['UnrecordPaid']) => take(api.POST('/api/remittances/{id}/unrecord', { ...path(id), body })));
export const useCreateFiling = (id: string) =>
  useChange((body: Schemas['CreateFiling']) => take(api.POST('/api/clients/{id}/filings', { ...path(id), body })));
/** What is done with a filing; a signature may pay the balance of the return with it. */
export type FilingAct =
  | { readonly act: 'check' | 'reopen' | 'release'; readonly version: number }
  | ({ readonly act: 'sign' } & Schemas['SignFiling']);
export const useHandOver = (id: string) =>
  useChange((body: Schemas['HandedOver']) => take(api.POST('/api/filings/{id}/hand-over', { ...path(id), body })));
export const useFilingAct = (id: string) =>
  useChange((asked: FilingAct) => {
    if (asked.act === 'sign') {
      const { act: _act, ...body } = asked;
      return take(api.POST('/api/filings/{id}/sign', { ...path(id), body }));
    }
    const body = { version: asked.version };
    if (asked.act === 'check') return take(api.POST('/api/filings/{id}/check', { ...path(id), body }));
    if (asked.act === 'reopen') return take(api.POST('/api/filings/{id}/reopen', { ...path(id), body }));
    return take(api.POST('/api/filings/{id}/release', { ...path(id), body }));
  });
export const useAnswerQuestions = (id: string) =>
  useChange((body: Schemas['AnswerQuestions']) => take(api.PUT('/api/filings/{id}/answers', { ...path(id), body })));
export const useEnterAmounts = (id: string) =>
  useChange((body: Schemas['EnterAmounts']) => take(api.PUT('/api/filings/{id}/entered', { ...path(id), body })));

export const useProposeRulePack = () =>
  useChange((body: Schemas['ProposeRulePack']) => take(api.POST('/api/rules/packs', { body })));
export const useRulePackAct = (id: string) =>
  useChange(({ act, version }: { act: 'accept' | 'withdraw'; version: number }) => {
    const body = { version };
    if (act === 'accept') return take(api.POST('/api/rules/packs/{id}/accept', { ...path(id), body }));
    return take(api.POST('/api/rules/packs/{id}/withdraw', { ...path(id), body }));
  });
