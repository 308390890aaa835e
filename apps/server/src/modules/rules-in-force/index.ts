export { forStates, ownRowsOn, rowsOn } from './own-rules.js';
