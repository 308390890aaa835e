import { useMutation } from '@tanstack/react-query';
import { api, take, type Refused, type Schemas } from './client.js';
import { path } from './resources.js';

export const useHoursFile = (payrollId: string) =>
  useMutation<Schemas['HoursFileView'], Refused, Schemas['ReadHoursFile']>({
    mutationFn: (body) => take(api.POST('/api/payrolls/{id}/hours-file', { ...path(payrollId), body })),
  });
