import type { ClientIdentity } from '@zakat/contract/clients';
import { addressIssues } from '@zakat/core/identity/person';
import { checkEin, normalDigits } from '@zakat/core/identity/numbers';
import { problem, type Issue } from '@zakat/core/issues/issue';

const EMAIL = /^[^\s@]+@[^\s@]+\.[^\s@]+$/;
const NAME_CONTROL = /^[A-Z0-9&-]{1,4}$/;
const KEY = /^[A-Z][A-Z0-9]{1,11}$/;

export const emailIssues = (email: string, field: string): Issue[] =>
  email === '' || EMAIL.test(email) ? [] : [problem('email.shape', field, { value: email })];
export const phoneIssues = (phone: string, field: string): Issue[] =>
  phone === '' || /^1?\d{10}$/.test(phone.replace(/[\s().+-]/g, '')) ? [] : [problem('phone.shape', field)];
export const keyIssues = (key: string): Issue[] =>
  KEY.test(key) ? [] : [problem('client.key-shape', 'key', { value: key })];

/** Everything that can be wrong in who an employer is. Blank is a gap, not an issue. */
export function clientIssues(client: ClientIdentity & { einAgain?: string }): Issue[] {
  const ein = normalDigits(client.ein);
  const issues: Issue[] = ein === '' ? [] : checkEin(ein, 'ein');
  if (client.einAgain !== undefined && normalDigits(client.einAgain) !== ein)
    issues.push(problem('ein.again', 'einAgain'));
  if (client.nameControl !== '' && !NAME_CONTROL.test(client.nameControl))
    issues.push(problem('name-control.shape', 'nameControl', { value: client.nameControl }));
  issues.push(...addressIssues(client), ...phoneIssues(client.phone, 'phone'), ...emailIssues(client.email, 'email'));
  return issues;
}
