import { queryOptions } from '@tanstack/react-query';
import { api, take } from './client.js';

export interface AskedReport {
  readonly code: string;
  readonly from: string;
  readonly to: string;
  readonly by: string;
  readonly employee: string;
  /** A group and one of its values: only what that row is made of. */
  readonly in: string;
  readonly of: string;
  readonly page: number;
}
const queryOf = ({ from, to, by, employee, page, in: group, of }: AskedReport) => ({
  from,
  to,
  ...(by === '' ? {} : { by }),
  ...(employee === '' ? {} : { employee }),
  ...(group === '' ? {} : { in: group, of }),
  ...(page === 0 ? {} : { page: String(page) }),
});

export const reportsQuery = queryOptions({
  queryKey: ['reports'],
  queryFn: () => take(api.GET('/api/reports', {})),
  staleTime: Infinity,
});
export const reportQuery = (clientId: string, asked: AskedReport) =>
  queryOptions({
    queryKey: ['client', clientId, 'report', asked],
    queryFn: () =>
      take(
        api.GET('/api/clients/{id}/reports/{code}', {
          params: { path: { id: clientId, code: asked.code }, query: { ...queryOf(asked), totals: 'no' } },
        }),
      ),
    placeholderData: (before) => (before?.code === asked.code && before.by === asked.by ? before : undefined),
  });
/** What a report comes to; the same on each of its pages. */
export const reportTotalsQuery = (clientId: string, asked: AskedReport) =>
  queryOptions({
    queryKey: ['client', clientId, 'report-totals', { ...asked, page: 0 }],
    queryFn: () =>
      take(
        api.GET('/api/clients/{id}/report-totals/{code}', {
          params: { path: { id: clientId, code: asked.code }, query: queryOf({ ...asked, page: 0 }) },
        }),
      ),
  });
export const reportFilePath = (clientId: string, asked: AskedReport, format: string): string =>
  `/api/clients/${clientId}/report-files/${asked.code}.${format}?${new URLSearchParams(queryOf({ ...asked, page: 0 })).toString()}`;
