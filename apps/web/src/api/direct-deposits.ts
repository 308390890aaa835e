import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

/** A file in process is asked after until the bank has said its last word. */
const ON_ITS_WAY: ReadonlySet<string> = new Set(['released']);
const EVERY = 2000;

/** How the net pay of a payroll reaches its people. */
export const payrollPayQuery = (payrollId: string) =>
  queryOptions({
    queryKey: ['payroll-pay', payrollId],
    queryFn: () => take(api.GET('/api/payrolls/{id}/pay', path(payrollId))),
    refetchInterval: (query) =>
      [query.state.data?.file, ...(query.state.data?.again ?? [])].some((file) => ON_ITS_WAY.has(file?.status ?? ''))
        ? EVERY
        : false,
  });
export const prenotesQuery = (clientId: string) =>
  queryOptions({
    queryKey: ['client', clientId, 'prenotes'],
    queryFn: () => take(api.GET('/api/clients/{id}/prenotes', path(clientId))),
    refetchInterval: (query) =>
      query.state.data?.files.some((file) => ON_ITS_WAY.has(file.status)) === true ? EVERY : false,
  });
export const directDepositSlipQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: ['direct-deposit', id, 'slip', version],
    queryFn: () => take(api.GET('/api/direct-deposits/{id}/slip', path(id))),
    staleTime: 0,
  });

export const voidReversalQuery = (voidId: string) =>
  queryOptions({
    queryKey: ['void', voidId, 'reversal'],
    queryFn: () => take(api.GET('/api/voids/{id}/reversal', path(voidId))),
    refetchInterval: (query) => (ON_ITS_WAY.has(query.state.data?.file?.status ?? '') ? EVERY : false),
  });
export const usePlanReversal = (voidId: string) =>
  useChange(() => take(api.POST('/api/voids/{id}/reversal', path(voidId))));
export const accountChangesQuery = (clientId: string) =>
  queryOptions({
    queryKey: ['client', clientId, 'account-changes'],
    queryFn: () => take(api.GET('/api/clients/{id}/account-changes', path(clientId))),
  });
export const useDecideAccountChange = (id: string) =>
  useChange((body: Schemas['DecideAccountChange']) =>
    take(api.POST('/api/account-changes/{id}', { ...path(id), body })),
  );
export const usePlanPay = (payrollId: string) =>
  useChange((bankAccountId: string) =>
    take(api.POST('/api/payrolls/{id}/direct-deposit', { ...path(payrollId), body: { bankAccountId } })),
  );
export const usePlanAgain = (payrollId: string) =>
  useChange(() => take(api.POST('/api/payrolls/{id}/direct-deposit-again', path(payrollId))));
export const usePlanPrenotes = (clientId: string) =>
  useChange((bankAccountId: string) =>
    take(api.POST('/api/clients/{id}/prenotes', { ...path(clientId), body: { bankAccountId } })),
  );
export const useDirectDepositAct = (id: string) =>
  useChange(({ act, version }: { act: 'release' | 'withdraw'; version: number }) => {
    const body = { version };
    if (act === 'withdraw') return take(api.POST('/api/direct-deposits/{id}/withdraw', { ...path(id), body }));
    return take(api.POST('/api/direct-deposits/{id}/release', { ...path(id), body }));
  });
