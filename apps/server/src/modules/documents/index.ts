export { Documents, type StoredDocument } from './documents.js';
export { type Pdf, pdfOf } from './pdf-of.js';
export { pageOf } from './pdf-page.js';
export { printedDollars } from './printed-dollars.js';
export { mediaKindOf } from './media-kind.js';
