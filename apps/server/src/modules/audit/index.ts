export { Audit } from './audit.js';
