import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

/** A debit in process is asked after until the bank has said its last word. */
const ON_ITS_WAY: ReadonlySet<string> = new Set(['released', 'settled']);
const EVERY = 3000;

export const trustQuery = queryOptions({ queryKey: ['trust'], queryFn: () => take(api.GET('/api/trust')) });
export const trustEntriesQuery = queryOptions({
  queryKey: ['trust', 'entries'],
  queryFn: () => take(api.GET('/api/trust/entries')),
});
export const reconciliationQuery = (day: string) =>
  queryOptions({
    queryKey: ['trust', 'reconciliation', day],
    queryFn: () => take(api.GET('/api/trust/reconciliation', { params: { query: { day } } })),
    retry: false,
  });
export const reconciliationPath = (day: string): string => `/api/trust/reconciliation.pdf?day=${day}`;
export const fundsQuery = (clientId: string) =>
  queryOptions({
    queryKey: ['client', clientId, 'funds'],
    queryFn: () => take(api.GET('/api/clients/{id}/funds', path(clientId))),
  });
export const collectionQuery = (id: string) =>
  queryOptions({
    queryKey: ['collection', id],
    queryFn: () => take(api.GET('/api/collections/{id}', path(id))),
    refetchInterval: (query) => (ON_ITS_WAY.has(query.state.data?.status ?? '') ? EVERY : false),
  });
export const collectionSlipQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: ['collection', id, 'slip', version],
    queryFn: () => take(api.GET('/api/collections/{id}/slip', path(id))),
    staleTime: 0,
  });

export const useSaveTrustAccount = () =>
  useChange((body: Schemas['SaveTrustAccount']) => take(api.PUT('/api/trust/account', { body })));
export const useRecordTrustEntry = () =>
  useChange((body: Schemas['RecordTrustEntry']) => take(api.POST('/api/trust/entries', { body })));
export const useReverseTrustEntry = (id: string) =>
  useChange((reason: string) => take(api.POST('/api/trust/entries/{id}/reverse', { ...path(id), body: { reason } })));
export const useAdvance = (clientId: string) =>
  useChange((body: Schemas['AdvanceFunds']) =>
    take(api.POST('/api/clients/{id}/advances', { ...path(clientId), body })),
  );
export const useTrustStatement = () =>
  useChange((body: Schemas['ReadTrustStatement']) => take(api.POST('/api/trust/statement', { body })));
export const useFetchTrustStatement = () => useChange((_: null) => take(api.POST('/api/trust/statement/fetch')));
export const useMatchLine = (day: string) =>
  useChange((body: Schemas['MatchLine']) => take(api.POST('/api/trust/matches', { params: { query: { day } }, body })));
export const useKeepReconciliation = () =>
  useChange((day: string) => take(api.POST('/api/trust/reconciliation', { body: { day } })));
export const usePlanCollection = (clientId: string) =>
  useChange((body: Schemas['PlanCollection']) =>
    take(api.POST('/api/clients/{id}/collections', { ...path(clientId), body })),
  );
export const usePlanPrenote = (clientId: string) =>
  useChange((_: null) => take(api.POST('/api/clients/{id}/collections/prenote', path(clientId))));
export const useRetryCollection = (id: string) =>
  useChange((_: null) => take(api.POST('/api/collections/{id}/retry', path(id))));
export const useCollectionAct = (id: string) =>
  useChange(({ act, version }: { act: 'release' | 'withdraw'; version: number }) => {
    const body = { version };
    if (act === 'withdraw') return take(api.POST('/api/collections/{id}/withdraw', { ...path(id), body }));
    return take(api.POST('/api/collections/{id}/release', { ...path(id), body }));
  });
