import { queryOptions, useMutation } from '@tanstack/react-query';
import { api, take, type Refused, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

export const useHoursFile = (payrollId: string) =>
  useMutation<Schemas['HoursFileView'], Refused, Schemas['ReadHoursFile']>({
    mutationFn: (body) => take(api.POST('/api/payrolls/{id}/hours-file', { ...path(payrollId), body })),
  });
export const clientHoursQuery = (payrollId: string) =>
  queryOptions({
    queryKey: ['client-hours', payrollId],
    queryFn: () => take(api.GET('/api/payrolls/{id}/client-hours', path(payrollId))),
  });
export const useTakeClientHours = (payrollId: string) =>
  useChange((version: number) =>
    take(api.POST('/api/payrolls/{id}/client-hours/take', { ...path(payrollId), body: { version } })),
  );
