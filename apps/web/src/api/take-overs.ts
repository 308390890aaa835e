import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

/** Balances brought in from a former provider. */
export const takeOversQuery = (clientId: string) =>
  queryOptions({
    queryKey: ['client', clientId, 'take-overs'],
    queryFn: () => take(api.GET('/api/clients/{id}/take-overs', path(clientId))),
  });
export const takeOverQuery = (id: string) =>
  queryOptions({ queryKey: ['take-over', id], queryFn: () => take(api.GET('/api/take-overs/{id}', path(id))) });

export const useBeginTakeOver = (clientId: string) =>
  useChange((year: number) => take(api.POST('/api/clients/{id}/take-overs', { ...path(clientId), body: { year } })));
export const useUploadBalances = (id: string) =>
  useChange((body: Schemas['UploadBalances']) => take(api.PUT('/api/take-overs/{id}/balances', { ...path(id), body })));
export const useMapBalances = (id: string) =>
  useChange((body: Schemas['ChooseMapping']) => take(api.PUT('/api/take-overs/{id}/mapping', { ...path(id), body })));
export const useSaveReported = (id: string) =>
  useChange((body: Schemas['SaveReported']) => take(api.PUT('/api/take-overs/{id}/reported', { ...path(id), body })));
export const usePassDifference = (id: string) =>
  useChange((body: Schemas['PassDifference']) => take(api.POST('/api/take-overs/{id}/passes', { ...path(id), body })));
export const useTakeOverAct = (id: string) =>
  useChange(async ({ act, version }: { act: 'accept' | 'take-back' | 'discard'; version: number }): Promise<void> => {
    const body = { version };
    if (act === 'accept') await take(api.POST('/api/take-overs/{id}/accept', { ...path(id), body }));
    else if (act === 'take-back') await take(api.POST('/api/take-overs/{id}/take-back', { ...path(id), body }));
    else await take(api.POST('/api/take-overs/{id}/discard', { ...path(id), body }));
  });
