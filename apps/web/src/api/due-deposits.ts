import { queryOptions, useMutation } from '@tanstack/react-query';
import { api, take, type Refused, type Schemas } from './client.js';
import { useChange } from './resources.js';

type Payments = Schemas['PaymentAtVersion'][];
export const dueDepositsQuery = queryOptions({
  queryKey: ['due-deposits'],
  queryFn: () => take(api.GET('/api/due-deposits', {})),
  refetchInterval: ({ state }) => ((state.data?.waiting ?? 0) > 0 ? 1500 : false),
});
export const useScheduleDeposits = () =>
  useChange((deposits: Schemas['ScheduleDeposit'][]) =>
    take(api.POST('/api/due-deposits/schedule', { body: { deposits } })),
  );
export const useApproveMany = () =>
  useChange((payments: Payments) => take(api.POST('/api/due-deposits/approve', { body: { payments } })));
export const useReleaseMany = () =>
  useChange((payments: Payments) => take(api.POST('/api/due-deposits/release', { body: { payments } })));
/** The rehearsal of many payments: it changes nothing. */
export const useSlipOfMany = () =>
  useMutation<Schemas['ReleaseSlip'], Refused, Payments>({
    mutationFn: (payments) => take(api.POST('/api/due-deposits/slip', { body: { payments } })),
  });
