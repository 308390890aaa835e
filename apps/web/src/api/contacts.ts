import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

/** People of a client who sign in, and the one page they see. */
export const contactsQuery = (clientId: string) =>
  queryOptions({
    queryKey: ['client', clientId, 'contacts'],
    queryFn: () => take(api.GET('/api/clients/{id}/contacts', path(clientId))),
  });
export const ownClientQuery = queryOptions({
  queryKey: ['own-client'],
  queryFn: () => take(api.GET('/api/own-client')),
});
export const useCreateContact = (clientId: string) =>
  useChange((body: Schemas['CreateContact']) =>
    take(api.POST('/api/clients/{id}/contacts', { ...path(clientId), body })),
  );
export const useOpenContact = (clientId: string) =>
  useChange(({ id, isActive }: { id: string; isActive: boolean }) =>
    take(
      api.PUT('/api/clients/{id}/contacts/{contactId}', {
        params: { path: { id: clientId, contactId: id } },
        body: { isActive },
      }),
    ),
  );
export const useAnswerOwn = () =>
  useChange(async ({ id, version, answer }: { id: string; version: number; answer: string }): Promise<void> => {
    await take(api.POST('/api/own-client/questions/{id}/answer', { ...path(id), body: { version, answer } }));
  });
export const useSendHours = () =>
  useChange(async ({ id, people }: Schemas['SendHours'] & { id: string }): Promise<void> => {
    await take(api.POST('/api/own-client/payrolls/{id}/hours', { ...path(id), body: { people } }));
  });
export const useApproveOwn = () =>
  useChange(async ({ id, version }: { id: string; version: number }): Promise<void> => {
    await take(api.POST('/api/own-client/payrolls/{id}/approve', { ...path(id), body: { version } }));
  });
