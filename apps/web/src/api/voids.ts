import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

export const payrollVoidsQuery = (payrollId: string) =>
  queryOptions({
    queryKey: ['voids-of-payroll', payrollId],
    queryFn: () => take(api.GET('/api/payrolls/{id}/voids', path(payrollId))),
  });
/** What a void of these checks would do. */
export const voidEffectsQuery = (payrollId: string, paycheckIds: readonly string[], repaid?: number) =>
  queryOptions({
    queryKey: ['void-effects', payrollId, repaid ?? null, ...paycheckIds],
    queryFn: () =>
      take(
        api.POST('/api/payrolls/{id}/void-effects', {
          ...path(payrollId),
          body: { paycheckIds: [...paycheckIds], ...(repaid === undefined ? {} : { repaid }) },
        }),
      ),
    enabled: paycheckIds.length > 0,
    staleTime: 0,
  });
export const voidQuery = (id: string) =>
  queryOptions({ queryKey: ['void', id], queryFn: () => take(api.GET('/api/voids/{id}', path(id))) });

export const useProposeVoid = (payrollId: string) =>
  useChange((body: Schemas['ProposeVoid']) => take(api.POST('/api/payrolls/{id}/voids', { ...path(payrollId), body })));
export const useVoidAct = (id: string) =>
  useChange(({ act, version }: { act: 'post' | 'withdraw'; version: number }) => {
    const body = { version };
    if (act === 'withdraw') return take(api.POST('/api/voids/{id}/withdraw', { ...path(id), body }));
    return take(api.POST('/api/voids/{id}/post', { ...path(id), body }));
  });
/** The people of a posted void are paid again. */
export const usePayAgain = (id: string) =>
  useChange((body: Schemas['PayAgain']) => take(api.POST('/api/voids/{id}/pay-again', { ...path(id), body })));
/** A posted check beside what it should have been. */
export const differenceQuery = (payrollId: string, paycheckId: string, earnings: readonly Schemas['EntryEarning'][]) =>
  queryOptions({
    queryKey: ['difference', payrollId, paycheckId, earnings],
    queryFn: () =>
      take(
        api.POST('/api/payrolls/{id}/difference', {
          ...path(payrollId),
          body: { paycheckId, earnings: [...earnings] },
        }),
      ),
    enabled: paycheckId !== '',
    placeholderData: keepPreviousData,
    staleTime: 0,
  });
export const usePayDifference = (payrollId: string) =>
  useChange((body: Schemas['PayDifference']) =>
    take(api.POST('/api/payrolls/{id}/difference-payroll', { ...path(payrollId), body })),
  );
