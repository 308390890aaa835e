import { queryOptions } from '@tanstack/react-query';
import { api, take } from './client.js';
import { useChange } from './resources.js';

/** Accepted filings of a client that differ from what the records say today. */
export const correctionsQuery = (id: string) =>
  queryOptions({
    queryKey: ['client', id, 'corrections'],
    queryFn: () => take(api.GET('/api/clients/{id}/corrections', { params: { path: { id } } })),
  });
export const useBeginCorrections = (id: string) =>
  useChange(() => take(api.POST('/api/clients/{id}/corrections', { params: { path: { id } } })));
