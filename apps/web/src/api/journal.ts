import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

export const journalQuery = (clientId: string, from: string, to: string) =>
  queryOptions({
    queryKey: ['client', clientId, 'journal', from, to],
    queryFn: () =>
      take(api.GET('/api/clients/{id}/journal', { params: { path: { id: clientId }, query: { from, to } } })),
  });
export const useExportJournal = (clientId: string) =>
  useChange((body: Schemas['ExportJournal']) =>
    take(api.POST('/api/clients/{id}/journal-exports', { ...path(clientId), body })),
  );
export const exportPath = (id: string, format: 'csv' | 'journal'): string => `/api/journal-exports/${id}.${format}`;
