import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

const ON_ITS_WAY: ReadonlySet<string> = new Set(['released']);
const EVERY = 3000;

export const payeesQuery = queryOptions({
  queryKey: ['garnishment-payees'],
  queryFn: () => take(api.GET('/api/garnishment-payees')),
});
export const useSavePayee = () =>
  useChange((body: Schemas['SaveGarnishmentPayee']) => take(api.PUT('/api/garnishment-payees', { body })));
export const garnishmentsQuery = (clientId: string) =>
  queryOptions({
    queryKey: ['client', clientId, 'garnishments'],
    queryFn: () => take(api.GET('/api/clients/{id}/garnishments', path(clientId))),
  });
export const garnishmentPaymentQuery = (id: string) =>
  queryOptions({
    queryKey: ['garnishment-payment', id],
    queryFn: () => take(api.GET('/api/garnishment-payments/{id}', path(id))),
    refetchInterval: (query) => (ON_ITS_WAY.has(query.state.data?.status ?? '') ? EVERY : false),
  });
export const garnishmentSlipQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: ['garnishment-payment', id, 'slip', version],
    queryFn: () => take(api.GET('/api/garnishment-payments/{id}/slip', path(id))),
    staleTime: 0,
  });
export const usePlanGarnishments = (clientId: string) =>
  useChange((body: Schemas['PlanGarnishmentPayment']) =>
    take(api.POST('/api/clients/{id}/garnishment-payments', { ...path(clientId), body })),
  );
export const useRecordGarnishment = (id: string) =>
  useChange((body: Schemas['RecordGarnishmentPaid']) =>
    take(api.POST('/api/garnishment-payments/{id}/record', { ...path(id), body })),
  );
export const useGarnishmentAct = (id: string) =>
  useChange(({ act, version }: { act: 'release' | 'withdraw'; version: number }) => {
    const body = { version };
    if (act === 'withdraw') return take(api.POST('/api/garnishment-payments/{id}/withdraw', { ...path(id), body }));
    return take(api.POST('/api/garnishment-payments/{id}/release', { ...path(id), body }));
  });
