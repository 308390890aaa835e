import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

/** Takes in a wage file that somebody else filed. */
export const useTakeInWageFile = (clientId: string) =>
  useChange((body: Schemas['TakeInWageFile']) =>
    take(api.POST('/api/clients/{id}/filed-wage-files', { ...path(clientId), body })),
  );
/** Keeps statements that somebody else filed as they were typed from the paper. */
export const useTypeFiledStatements = (clientId: string) =>
  useChange((body: Schemas['TypeFiledStatements']) =>
    take(api.POST('/api/clients/{id}/filed-statements', { ...path(clientId), body })),
  );
/** The boxes of one statement on a correction that is typed. */
export const typedBoxesQuery = (id: string, employeeId: string) =>
  queryOptions({
    queryKey: ['filing', id, 'boxes', employeeId],
    queryFn: () => take(api.GET('/api/filings/{id}/boxes/{employeeId}', { params: { path: { id, employeeId } } })),
    enabled: employeeId !== '',
  });
export const useTypeBoxes = (id: string, employeeId: string) =>
  useChange((body: Schemas['TypeBoxes']) =>
    take(api.PUT('/api/filings/{id}/boxes/{employeeId}', { params: { path: { id, employeeId } }, body })),
  );
/** What a return still owes, by the deposits that pay it. */
export const returnPaymentsQuery = (id: string) =>
  queryOptions({
    queryKey: ['filing', id, 'payments'],
    queryFn: () => take(api.GET('/api/filings/{id}/payments', path(id))),
  });
