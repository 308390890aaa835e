import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

/** `month`: `2026-09`. */
export const invoicesQuery = (month: string) =>
  queryOptions({
    queryKey: ['invoices', month],
    queryFn: () => take(api.GET('/api/invoices', { params: { query: { month } } })),
  });
export const invoicePath = (id: string): string => `/api/invoices/${id}/invoice.pdf`;
export const useIssueInvoices = () =>
  useChange((body: Schemas['IssueInvoices']) => take(api.POST('/api/invoices', { body })));
export const usePayInvoice = (id: string) =>
  useChange((body: Schemas['InvoicePaid']) => take(api.POST('/api/invoices/{id}/pay', { ...path(id), body })));
export const useMoveInvoice = (id: string) =>
  useChange(({ act, ...body }: Schemas['InvoiceReason'] & { act: 'unpay' | 'void' }) =>
    act === 'void'
      ? take(api.POST('/api/invoices/{id}/void', { ...path(id), body }))
      : take(api.POST('/api/invoices/{id}/unpay', { ...path(id), body })),
  );
