export { LedgerReader } from './ledger-reader.js';
export { LedgerWriter, type NewEntry } from './ledger-writer.js';
