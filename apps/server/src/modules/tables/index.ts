export { readTable } from './read-table.js';
export { type RowsInParts, streamTable, tableBytes } from './stream-table.js';
export { harmless, sendTable, type TableFormat, writeTable } from './write-table.js';
