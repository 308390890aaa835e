import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

export const payrollChecksQuery = (payrollId: string) =>
  queryOptions({
    queryKey: ['payroll-checks', payrollId],
    queryFn: () => take(api.GET('/api/payrolls/{id}/checks', path(payrollId))),
  });
export interface AskedChecks {
  /** A number, an amount, or a part of the payee's name. */
  readonly words: string;
  readonly status: string;
  /** First and last check date; blank, or while it is typed: any. */
  readonly from: string;
  readonly to: string;
}
const isDay = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text);
export const checksQuery = (clientId: string, { words, status, from, to }: AskedChecks) =>
  queryOptions({
    queryKey: ['client', clientId, 'checks', words, status, from, to],
    queryFn: () =>
      take(
        api.GET('/api/clients/{id}/checks', {
          params: {
            path: { id: clientId },
            query: {
              ...(words === '' ? {} : { words }),
              ...(status === '' ? {} : { status: status as Schemas['CheckRow']['status'] }),
              ...(isDay(from) ? { from } : {}),
              ...(isDay(to) ? { to } : {}),
            },
          },
        }),
      ),
    placeholderData: (before) => before,
  });

export const usePrintChecks = (payrollId: string) =>
  useChange((body: Schemas['PrintChecks']) =>
    take(api.POST('/api/payrolls/{id}/checks', { ...path(payrollId), body })),
  );
export const useRecordCheck = (payrollId: string) =>
  useChange((body: Schemas['RecordCheck']) =>
    take(api.POST('/api/payrolls/{id}/handwritten-checks', { ...path(payrollId), body })),
  );
export const useRunOutcome = () =>
  useChange(({ runId, spoiled }: { runId: string; spoiled: string[] }) =>
    take(api.POST('/api/check-runs/{id}/outcome', { ...path(runId), body: { spoiled } })),
  );
export const useEndCheck = () =>
  useChange(({ id, ...body }: Schemas['EndCheck'] & { id: string }) =>
    take(api.POST('/api/checks/{id}/end', { ...path(id), body })),
  );
export const useSpoilStock = (clientId: string) =>
  useChange((body: Schemas['SpoilStock']) =>
    take(api.POST('/api/clients/{id}/spoiled-stock', { ...path(clientId), body })),
  );
export const runPath = (runId: string): string => `/api/check-runs/${runId}.pdf`;
export const imagePath = (id: string): string => `/api/checks/${id}/image.pdf`;
export const statementsPath = (payrollId: string): string => `/api/payrolls/${payrollId}/statements.pdf`;
export const useBankStatement = (clientId: string) =>
  useChange((body: Schemas['ReadBankStatement']) =>
    take(api.POST('/api/clients/{id}/bank-statements', { ...path(clientId), body })),
  );
export const positivePayPath = (clientId: string, year: string): string =>
  `/api/clients/${clientId}/positive-pay.csv?from=${year}-01-01&to=${year}-12-31`;
export const useSaveSignature = (bankAccountId: string) =>
  useChange((body: Schemas['SaveSignature']) =>
    take(api.PUT('/api/bank-accounts/{id}/signature', { ...path(bankAccountId), body })),
  );
export const useRemoveSignature = (bankAccountId: string) =>
  useChange(() => take(api.DELETE('/api/bank-accounts/{id}/signature', path(bankAccountId))));
export const micrTypefaceQuery = queryOptions({
  queryKey: ['micr-typeface'],
  queryFn: () => take(api.GET('/api/micr-typeface')),
});
export const useSaveMicrTypeface = () =>
  useChange((body: Schemas['SaveMicrTypeface']) => take(api.PUT('/api/micr-typeface', { body })));
export const useRemoveMicrTypeface = () => useChange(() => take(api.DELETE('/api/micr-typeface')));
export const useMicrTest = (bankAccountId: string) =>
  useChange((body: Schemas['MicrTest']) =>
    take(api.PUT('/api/bank-accounts/{id}/micr-test', { ...path(bankAccountId), body })),
  );
export const nextNumbersQuery = (clientId: string) =>
  queryOptions({
    queryKey: ['client', clientId, 'next-check-numbers'],
    queryFn: () => take(api.GET('/api/clients/{id}/next-check-numbers', path(clientId))),
    staleTime: 0,
  });
export const checkPrintersQuery = queryOptions({
  queryKey: ['check-printers'],
  queryFn: () => take(api.GET('/api/check-printers')),
});
/** Adds a printer, or changes the one with this id. */
export const useSaveCheckPrinter = () =>
  useChange(({ id, name, right, down }: Schemas['SaveCheckPrinter'] & { readonly id: string | null }) => {
    const body = { name, right, down };
    return id === null
      ? take(api.POST('/api/check-printers', { body }))
      : take(api.PUT('/api/check-printers/{id}', { ...path(id), body }));
  });
export const useRemoveCheckPrinter = () =>
  useChange((id: string) => take(api.DELETE('/api/check-printers/{id}', path(id))));
export const usePrintAgencyCheck = (remittanceId: string) =>
  useChange((body: Schemas['PrintAgencyCheck']) =>
    take(api.POST('/api/remittances/{id}/check', { ...path(remittanceId), body })),
  );
