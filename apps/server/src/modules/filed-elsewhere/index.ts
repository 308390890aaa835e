export { filedElsewhere, type FiledElsewhere, filedElsewhereByClient } from './filed-elsewhere.js';
