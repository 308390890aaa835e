import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

export const correctionCasesQuery = (clientId: string) =>
  queryOptions({
    queryKey: ['client', clientId, 'correction-cases'],
    queryFn: () => take(api.GET('/api/clients/{id}/correction-cases', path(clientId))),
  });
export const correctionCaseQuery = (id: string) =>
  queryOptions({
    queryKey: ['correction-case', id],
    queryFn: () => take(api.GET('/api/correction-cases/{id}', path(id))),
  });
export const useOpenCase = (clientId: string) =>
  useChange((body: Schemas['OpenCase']) =>
    take(api.POST('/api/clients/{id}/correction-cases', { ...path(clientId), body })),
  );
export const useAddConsequence = (id: string) =>
  useChange((body: Schemas['AddConsequence']) =>
    take(api.POST('/api/correction-cases/{id}/consequences', { ...path(id), body })),
  );
export const useSettleConsequence = (id: string) =>
  useChange(({ consequenceId, ...body }: Schemas['SettleConsequence'] & { readonly consequenceId: string }) =>
    take(
      api.POST('/api/correction-cases/{id}/consequences/{consequenceId}', {
        params: { path: { id, consequenceId } },
        body,
      }),
    ),
  );
export const useMoveCase = (id: string) =>
  useChange(({ act, ...body }: Schemas['MoveCase'] & { readonly act: 'close' | 'reopen' }) =>
    act === 'close'
      ? take(api.POST('/api/correction-cases/{id}/close', { ...path(id), body }))
      : take(api.POST('/api/correction-cases/{id}/reopen', { ...path(id), body })),
  );
