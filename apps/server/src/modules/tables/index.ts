export { readTable } from './read-table.js';
export { harmless, sendTable, type TableFormat, writeTable } from './write-table.js';
