export { CheckPrinting } from './check-printing.service.js';
