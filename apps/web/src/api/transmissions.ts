import { queryOptions } from '@tanstack/react-query';
import { api, take } from './client.js';

export const transmissionsQuery = queryOptions({
  queryKey: ['transmissions'],
  queryFn: () => take(api.GET('/api/transmissions')),
  // What was sent is answered within seconds.
  refetchInterval: ({ state }) =>
    state.data?.some(({ accepted, rejected, count, refused }) => refused === null && accepted + rejected < count)
      ? 3000
      : false,
});
