import { queryOptions, useMutation } from '@tanstack/react-query';
import { api, take, type Refused, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

export const ownPayQuery = queryOptions({ queryKey: ['own-pay'], queryFn: () => take(api.GET('/api/own-pay')) });
export const statementPath = (paycheckId: string): string => `/api/own-pay/statements/${paycheckId}/statement.pdf`;
export const wageStatementPath = (filingId: string): string => `/api/own-pay/wage-statements/${filingId}/w2.pdf`;
export const useConsent = () =>
  useChange((isElectronic: boolean) => take(api.PUT('/api/own-pay/consent', { body: { isElectronic } })));

export const welcomeQuery = (token: string) =>
  queryOptions({
    queryKey: ['welcome', token],
    queryFn: () => take(api.GET('/api/welcome/{token}', { params: { path: { token } } })),
    retry: false,
  });
export const useFirstPassword = (token: string) =>
  useMutation<unknown, Refused, string>({
    mutationFn: (password) =>
      take(api.POST('/api/welcome/{token}', { params: { path: { token } }, body: { password } })),
  });

export const employeeSignInQuery = (employeeId: string) =>
  queryOptions({
    queryKey: ['employee', employeeId, 'sign-in'],
    queryFn: () => take(api.GET('/api/employees/{id}/sign-in', path(employeeId))),
  });
export const useInviteEmployee = (employeeId: string) =>
  useChange((email: string) => take(api.POST('/api/employees/{id}/sign-in', { ...path(employeeId), body: { email } })));
export const useOpenSignIn = (employeeId: string) =>
  useChange((isOpen: boolean) =>
    take(api.PUT('/api/employees/{id}/sign-in', { ...path(employeeId), body: { isOpen } })),
  );
export type EmployeeSignIn = Schemas['EmployeeSignIn'];
