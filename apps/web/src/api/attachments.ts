import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { useChange } from './resources.js';

export type PaperSubject = Schemas['AddAttachment']['subject'];
export const papersQuery = (subject: PaperSubject, id: string) =>
  queryOptions({
    queryKey: ['papers', subject, id],
    queryFn: () => take(api.GET('/api/attachments', { params: { query: { subject, id } } })),
  });
export const useAddPaper = () =>
  useChange((body: Schemas['AddAttachment']) => take(api.POST('/api/attachments', { body })));
export const paperPath = (id: string): string => `/api/attachments/${id}/file`;
