export { Funding } from './funding.js';
export { entryViews } from './trust-entries.js';
export { type Held, type NewTrustEntry, TrustLedger } from './trust-ledger.js';
export { type PaidForClient, TrustPayments } from './trust-payments.js';
