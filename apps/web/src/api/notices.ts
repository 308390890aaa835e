import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

export const noticesQuery = (clientId: string) =>
  queryOptions({
    queryKey: ['client', clientId, 'notices'],
    queryFn: () => take(api.GET('/api/clients/{id}/notices', path(clientId))),
  });
export const useRecordNotice = (clientId: string) =>
  useChange((body: Schemas['RecordNotice']) =>
    take(api.POST('/api/clients/{id}/notices', { ...path(clientId), body })),
  );
export const useAnswerNotice = (id: string) =>
  useChange((body: Schemas['AnswerNotice']) => take(api.POST('/api/notices/{id}/answer', { ...path(id), body })));
export const useMoveNotice = (id: string) =>
  useChange(({ act, ...body }: Schemas['MoveNotice'] & { act: 'close' | 'reopen' }) => {
    if (act === 'close') return take(api.POST('/api/notices/{id}/close', { ...path(id), body }));
    return take(api.POST('/api/notices/{id}/reopen', { ...path(id), body }));
  });
export const noticeLetterPath = (id: string): string => `/api/notices/${id}/answer.pdf`;
