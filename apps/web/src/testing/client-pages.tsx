import type { ReactNode } from 'react';
import { Route } from 'react-router';
import { ClientFrame } from '../routes/clients/client-frame.js';

/** A client as the server tells of it. */
export const ofClient = {
  id: 'c1',
  legalName: 'Gannet Boatyard',
  tradeName: '',
  ein: '471234561',
  nameControl: 'GANN',
  street: '',
  city: '',
  state: 'NY',
  zip: '',
  phone: '',
  email: '',
  contactName: '',
  signerName: '',
  signerTitle: '',
  key: 'BOAT',
  kindOfEmployer: 'N',
  payFrequency: 'biweekly',
  depositSchedule: 'monthly',
  depositScheduleWhy: 'Lookback taxes of 21,500.00 are not more than 50,000.00.',
  version: 1,
  facts: [],
  taxAccounts: [],
  trustAccount: null,
  bankAccounts: [
    {
      id: 'b1',
      label: 'Operating',
      bankName: 'Harbor',
      routing: '000000123',
      accountTail: '2345',
      hasSignature: false,
      signatureMost: null,
      micrTestedOn: null,
    },
  ],
};

/** A page of a client, inside the frame that says which one it is. */
export const inClient = (page: ReactNode) => (
  <Route path="/clients/:clientId" element={<ClientFrame />}>
    <Route index element={page} />
    <Route path=":place" element={page} />
  </Route>
);
