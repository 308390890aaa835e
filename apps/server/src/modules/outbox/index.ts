export { checksOfMany, outcome } from './many.js';
export { Outbox, type OutboxRow, type Receiver } from './outbox.js';
export { refuseFailed, Releases } from './releases.js';
export { achChecks, AGENCY_HANDS, BANK_HANDS, mayReleaseCheck } from './slip-checks.js';
