import { queryOptions, useMutation } from '@tanstack/react-query';
import { api, take, type Refused, type Schemas } from './client.js';
import { useChange } from './resources.js';

type Returns = Schemas['ReturnAtVersion'][];
/** `quarter`: `2026-Q3`. */
export const dueReturnsQuery = (quarter: string) =>
  queryOptions({
    queryKey: ['due-returns', quarter],
    queryFn: () => take(api.GET('/api/due-returns', { params: { query: { quarter } } })),
    // What was sent is answered within seconds.
    refetchInterval: ({ state }) =>
      state.data?.rows.some(({ status }) => status === 'released' || status === 'received') ? 3000 : false,
  });
export const useBeginReturns = () =>
  useChange((returns: Schemas['BeginReturn'][]) => take(api.POST('/api/due-returns/begin', { body: { returns } })));
export const useCheckReturns = () =>
  useChange((returns: Returns) => take(api.POST('/api/due-returns/check', { body: { returns } })));
export const useReleaseReturns = () =>
  useChange((returns: Returns) => take(api.POST('/api/due-returns/release', { body: { returns } })));
/** The rehearsal of many returns: it changes nothing. */
export const useSlipOfReturns = () =>
  useMutation<Schemas['ReleaseSlip'], Refused, Returns>({
    mutationFn: (returns) => take(api.POST('/api/due-returns/slip', { body: { returns } })),
  });
