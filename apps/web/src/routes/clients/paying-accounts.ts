import type { Schemas } from '../../api/client.js';

/** Accounts that a client's taxes or people may be paid from, the one that usually pays them first. */
export function payingAccounts(
  client: Pick<Schemas['ClientView'], 'bankAccounts' | 'trustAccount'> | undefined,
  what: 'taxes' | 'people',
  /** The account that the pay schedule names, before the others; not before the firm's, where it pays the people. */
  preferred: string | null = null,
): readonly { readonly value: string; readonly label: string }[] {
  if (!client) return [];
  const { bankAccounts, trustAccount } = client;
  const isFirst = ({ id }: { readonly id: string }): boolean => id === preferred;
  const inOrder = [...bankAccounts.filter(isFirst), ...bankAccounts.filter((bank) => !isFirst(bank))];
  const own = inOrder.map(({ id, label, accountTail }) => ({
    value: id,
    label: `${label}, ending ${accountTail}`,
  }));
  if (!trustAccount) return own;
  const { id, label, accountTail, paysPeople } = trustAccount;
  const trust = { value: id, label: `${label}, ending ${accountTail}: what the firm holds` };
  if (what === 'people' && !paysPeople) return own;
  return [trust, ...own];
}
