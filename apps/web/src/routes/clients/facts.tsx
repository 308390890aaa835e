import type { ReactNode } from 'react';
import { useSaveClient } from '../../api/resources.js';
import { IdentityForm, type IdentityField } from '../identity-form.js';
import { useClient } from './client-frame.js';

const FIELDS: readonly IdentityField[] = [
  { name: 'legalName', label: 'Legal name', max: 57, help: 'As on the EIN notice' },
  { name: 'tradeName', label: 'Trade name', max: 57 },
  { name: 'ein', label: 'EIN', max: 12 },
  { name: 'nameControl', label: 'Name control', max: 4, help: 'Four characters the IRS keeps with the EIN' },
  { name: 'street', label: 'Street', max: 22 },
  { name: 'city', label: 'City', max: 22 },
  { name: 'state', label: 'State', max: 2 },
  { name: 'zip', label: 'ZIP', max: 5 },
  { name: 'phone', label: 'Telephone', max: 15 },
  { name: 'email', label: 'E-mail', max: 40 },
  { name: 'contactName', label: 'Contact', max: 27 },
  { name: 'signerName', label: 'Signer of returns', max: 35 },
  { name: 'signerTitle', label: 'Title of the signer', max: 35 },
];

export function FactsPage(): ReactNode {
  const client = useClient();
  const save = useSaveClient(client.id);
  const values = Object.fromEntries(
    FIELDS.map((field) => [field.name, String(client[field.name as keyof typeof client])]),
  );
  return (
    <>
      <section className="section" style={{ marginTop: 0 }}>
        <h2>Identity</h2>
        <IdentityForm
          key={client.version}
          fields={FIELDS}
          values={values}
          isSaving={save.isPending}
          error={save.error}
          onSave={(given, done) =>
            save.mutate(
              { ...(given as Omit<Parameters<typeof save.mutate>[0], 'version'>), version: client.version },
              { onSuccess: done },
            )
          }
        />
      </section>
      <section className="section">
        <h2>Tax accounts</h2>
        <table className="ruled">
          <thead>
            <tr>
              <th scope="col">Agency</th>
              <th scope="col">Account</th>
              <th scope="col">Unemployment rate</th>
              <th scope="col">From</th>
            </tr>
          </thead>
          <tbody>
            {client.taxAccounts.map((account) => (
              <tr key={account.id}>
                <td>{account.agencyName}</td>
                <td>{account.accountNumber}</td>
                <td>{account.rateInWords ?? ''}</td>
                <td>{account.from}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section className="section">
        <h2>Bank accounts</h2>
        <table className="ruled">
          <tbody>
            {client.bankAccounts.map((bank) => (
              <tr key={bank.id}>
                <td>{bank.label}</td>
                <td>{bank.bankName}</td>
                <td>routing {bank.routing}</td>
                <td>account ending {bank.accountTail}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="note">{client.depositScheduleWhy}</p>
      </section>
    </>
  );
}
