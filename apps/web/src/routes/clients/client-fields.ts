import type { IdentityField } from '../identity-form.js';

/** Who an employer is: the fields of its identity, in the order of the form. */
export const CLIENT_FIELDS: readonly IdentityField[] = [
  { name: 'legalName', label: 'Legal name', max: 57, help: 'As on the EIN notice' },
  { name: 'tradeName', label: 'Trade name', max: 57 },
  { name: 'ein', label: 'EIN', max: 12, kind: 'ein', help: 'Blank while it is applied for' },
  { name: 'nameControl', label: 'Name control', max: 4, help: 'Four characters the IRS keeps with the EIN' },
  { name: 'street', label: 'Street', max: 121, kind: 'street' },
  { name: 'city', label: 'City', max: 22 },
  { name: 'state', label: 'State', max: 2, kind: 'state' },
  { name: 'zip', label: 'ZIP', max: 5, kind: 'zip' },
  { name: 'phone', label: 'Telephone', max: 15, kind: 'phone' },
  { name: 'email', label: 'E-mail', max: 40 },
  { name: 'contactName', label: 'Contact', max: 27 },
  { name: 'signerName', label: 'Authorized signer', max: 35 },
  { name: 'signerTitle', label: 'Signer’s title', max: 35 },
];
