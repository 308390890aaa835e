export { InvoiceFunds } from './invoice-funds.js';
