export { Filing } from './entities.js';
export { periodOf, titleOf } from './titles.js';
export { newFiling } from './new-filing.js';
