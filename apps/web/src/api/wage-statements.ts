import { keepPreviousData, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { api, take } from './client.js';
import { path } from './resources.js';

/** Some of the forms of a wage file. */
export const statementsQuery = (id: string, asked: { readonly find: string; readonly count: number }) =>
  queryOptions({
    queryKey: ['filing', id, 'w2', asked],
    queryFn: () =>
      take(
        api.GET('/api/filings/{id}/w2', {
          params: { path: { id }, query: { find: asked.find, count: String(asked.count) } },
        }),
      ),
    placeholderData: keepPreviousData,
  });

/** The copies for the people, looked at again while some are being drawn. */
export const copiesQuery = (id: string, isDrawing: boolean) =>
  queryOptions({
    queryKey: ['filing', id, 'w2-copies'],
    queryFn: () => take(api.GET('/api/filings/{id}/w2-copies', path(id))),
    refetchInterval: ({ state }) =>
      isDrawing && state.data?.parts.some(({ isMade }) => !isMade) !== false ? 1000 : false,
  });
export function useMakeCopies(id: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => take(api.POST('/api/filings/{id}/w2-copies', path(id))),
    onSuccess: (copies) => client.setQueryData(['filing', id, 'w2-copies'], copies),
  });
}
