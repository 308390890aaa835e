import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { useChange } from './resources.js';

export const paydaysQuery = queryOptions({
  queryKey: ['paydays'],
  queryFn: () => take(api.GET('/api/paydays', {})),
  refetchInterval: ({ state }) => ((state.data?.waiting ?? 0) > 0 ? 1500 : false),
});
export const useStartPayrolls = () =>
  useChange((payrolls: Schemas['StartPayroll'][]) => take(api.POST('/api/paydays/start', { body: { payrolls } })));
