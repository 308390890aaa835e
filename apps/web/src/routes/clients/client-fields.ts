import type { IdentityField } from '../identity-form.js';

/** Who an employer is: the fields of its identity, in the order of the form. */
export const CLIENT_FIELDS: readonly IdentityField[] = [
  { name: 'legalName', label: 'Legal name', max: 57, help: 'As on the EIN notice' },
  { name: 'tradeName', label: 'Trade name', max: 57 },
  { name: 'ein', label: 'EIN', max: 12, help: 'Blank while it is applied for' },
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
